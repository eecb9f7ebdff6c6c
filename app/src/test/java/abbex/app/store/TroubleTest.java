package abbex.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Shop;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.TransactionSystemException;

@ExtendWith(Shop.class)
class TroubleTest {
    /** A database that hangs in mid-commit: the driver gives up, the pool closes the connection, the rollback finds it closed. */
    @Test
    void a_rollback_on_a_connection_that_the_pool_has_closed_is_a_database_that_is_away() throws SQLException {
        Connection connection = Shop.bean(DataSource.class).getConnection();
        connection.close();
        SQLException closed = assertThrows(SQLException.class, connection::rollback);
        assertEquals(
                Optional.of(Trouble.AWAY), Trouble.of(new TransactionSystemException("JDBC rollback failed", closed)));
    }

    @Test
    void a_statement_that_is_wrong_is_none_of_the_database_s_troubles() {
        SQLException wrong = assertThrows(SQLException.class, () -> {
            try (Connection connection = Shop.bean(DataSource.class).getConnection()) {
                connection.createStatement().execute("select no_such_column from job");
            }
        });
        assertEquals(Optional.empty(), Trouble.of(wrong));
    }

    /** Whatever is typed behind a slash: a path is never a reason to fail before anything is looked for. */
    @Test
    void static_files_are_told_by_their_path_alone() {
        assertTrue(StaticFiles.is("/js/tape.mjs") && StaticFiles.is("/app.css"));
        assertFalse(StaticFiles.is("/js") || StaticFiles.is("/app.css/x") || StaticFiles.is("/jobs/%³0"));
    }
}
