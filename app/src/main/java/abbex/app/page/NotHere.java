package abbex.app.page;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** There is no such thing, or it belongs to another shop: both answer alike. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotHere extends RuntimeException {
    public NotHere() {
        super(null, null, false, false);
    }
}
