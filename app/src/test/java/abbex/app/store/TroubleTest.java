package abbex.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.UncategorizedSQLException;

/** Which failures are the database's own; the error codes are MariaDB's (Error Codes, knowledge base; from memory). */
class TroubleTest {
    private static Optional<Trouble> of(SQLException cause) {
        return Trouble.of(new IllegalStateException(new UncategorizedSQLException("task", "sql", cause)));
    }

    @Test
    void a_full_disk_is_told_from_a_database_that_is_away() {
        for (int code : new int[] {1021, 3, 1114, 1878}) {
            assertEquals(Optional.of(Trouble.FULL), of(new SQLException("x", "HY000", code)));
        }
        assertEquals(
                Optional.of(Trouble.FULL), of(new SQLException("errno: 28 \"No space left on device\"", "HY000", 1)));
        assertEquals(Optional.of(Trouble.AWAY), of(new SQLTransientConnectionException("gone")));
        assertEquals(Optional.empty(), of(new SQLException("syntax", "42000", 1064)));
        assertEquals(Optional.empty(), Trouble.of(new DuplicateKeyException("twice")));
    }
}
