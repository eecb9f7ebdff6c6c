package abbex.app.store;

import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTimeoutException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import java.util.Set;
import org.springframework.dao.PessimisticLockingFailureException;

/** Why the database takes nothing just now, by the key of its words. */
enum Trouble {
    AWAY,
    FULL,
    BUSY,
    CROSSED;

    /** Error codes of a full disk: ER_DISK_FULL, ER_ERROR_ON_WRITE, ER_RECORD_FILE_FULL, ER_TEMP_FILE_WRITE_FAILURE. */
    private static final Set<Integer> FULL_CODES = Set.of(1021, 3, 1114, 1878);

    /** What a failure says of the database; empty when it is no trouble of the database's. */
    static Optional<Trouble> of(Throwable thrown) {
        for (Throwable t = thrown; t != null; t = t.getCause()) {
            if (t instanceof Busy) {
                return Optional.of(BUSY);
            }
            if (t instanceof PessimisticLockingFailureException) {
                return Optional.of(CROSSED);
            }
            if (t instanceof SQLException sql && full(sql)) {
                return Optional.of(FULL);
            }
            if (t instanceof SQLException sql && lost(sql)
                    || t instanceof SQLNonTransientConnectionException
                    || t instanceof SQLTransientConnectionException
                    || t instanceof SQLRecoverableException
                    || t instanceof SQLTimeoutException) {
                return Optional.of(AWAY);
            }
        }
        return Optional.empty();
    }

    /** The pool closes a connection that hangs; what is then rolled back on it fails with this alone, by text or by state. */
    private static boolean lost(SQLException sql) {
        return String.valueOf(sql.getSQLState()).startsWith("08") || "Connection is closed".equals(sql.getMessage());
    }

    private static boolean full(SQLException sql) {
        return FULL_CODES.contains(sql.getErrorCode())
                || String.valueOf(sql.getMessage()).contains("No space left on device");
    }
}
