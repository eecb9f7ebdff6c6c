package abbex.core.state;

/** What a vehicle stands on. */
public enum Footing {
    /** Its own wheels, all of them. */
    WHEELS,
    /** A lift. */
    LIFT,
    /** Stands, after jacks. */
    STANDS;

    public boolean raised() {
        return this != WHEELS;
    }
}
