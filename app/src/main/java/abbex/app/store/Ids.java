package abbex.app.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Identifiers are UUIDs, kept as their 36 characters. */
public final class Ids {
    private Ids() {}

    public static UUID fresh() {
        return UUID.randomUUID();
    }

    public static UUID id(ResultSet row, String column) throws SQLException {
        return UUID.fromString(row.getString(column));
    }

    @Nullable
    public static UUID maybe(ResultSet row, String column) throws SQLException {
        String text = row.getString(column);
        return text == null ? null : UUID.fromString(text);
    }

    @Nullable
    public static String text(@Nullable UUID id) {
        return id == null ? null : id.toString();
    }
}
