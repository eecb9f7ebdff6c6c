package abbex.app.store;

import java.io.Serial;

/** More came at once than is worked on: nothing was looked at, and the same may be sent again in a moment. */
public final class Busy extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1;

    public Busy() {
        super("too many at once", null, false, false);
    }
}
