package abbex.app.store;

/** Fills an empty installation at its first start. */
public interface FirstShop {
    /** By which the start command asks for it. */
    String name();

    /**
     * Makes the shop if there is none yet.
     *
     * @param before the line of the last start, empty at the first
     * @return what to sign in with: {@code NAME / PASSWORD}, or {@code NAME / (as set)} when it may be another by now
     */
    String signIn(String before);
}
