package abbex.app.store;

/**
 * A text that somebody wrote in their own words.
 *
 * @param name what it is, as its words are called
 * @param id of its row
 */
public record FreeText(String name, String id, String text) {
    public String key() {
        return name + ":" + id;
    }
}
