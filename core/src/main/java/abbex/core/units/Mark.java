package abbex.core.units;

/** Where the lip stood against the mark that was read: on it, past it (+) or just short of it (−). */
public enum Mark {
    ON(""),
    PAST("+"),
    SHORT("-");

    private final String sign;

    Mark(String sign) {
        this.sign = sign;
    }

    public String sign() {
        return sign;
    }

    Mark opposite() {
        return this == ON ? ON : this == PAST ? SHORT : PAST;
    }
}
