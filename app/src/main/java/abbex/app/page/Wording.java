package abbex.app.page;

import java.util.LinkedHashMap;
import java.util.Map;

/** Words for the values of one package of the core, each found by its type. A package has one, as a component. */
public abstract class Wording {
    /** Says one value. */
    @FunctionalInterface
    public interface Teller<T> {
        String tell(T value, Words words, Reader reader);
    }

    private final Map<Class<?>, Teller<?>> tellers = new LinkedHashMap<>();

    /** Words for values of a type, its subtypes among them. */
    protected final <T> void of(Class<T> type, Teller<T> teller) {
        tellers.put(type, teller);
    }

    /** A type whose constants have a message each, by prefix and name. */
    protected final <T extends Enum<T>> void named(Class<T> type, String prefix) {
        of(type, (value, words, reader) -> words.say(prefix + value.name()));
    }

    Map<Class<?>, Teller<?>> tellers() {
        return tellers;
    }
}
