package abbex.app.rules;

import abbex.app.page.Words;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The bays of a shop: those that it named and those in which somebody stands, by their numbers. */
@Component
public class Bays {
    private static final Pattern NUMBER = Pattern.compile("\\d{1,8}");

    private final Rules rules;
    private final Words words;

    Bays(Rules rules, Words words) {
        this.rules = rules;
        this.words = words;
    }

    /**
     * A bay.
     *
     * @param key as it is compared
     * @param lift its name says that it has one
     */
    public record Bay(String key, String name, boolean lift) {}

    /** @param stood names of bays in which vehicles stand */
    public List<Bay> of(UUID shop, Collection<String> stood) {
        Map<String, String> names = new LinkedHashMap<>();
        Stream.concat(rules.of(shop).bays().stream(), stood.stream())
                .sorted(Comparator.comparing(Bays::natural))
                .forEach(name -> names.putIfAbsent(ShopRules.bayKey(name), name));
        String lift = words.say("board.lift").toLowerCase(Locale.ENGLISH);
        List<Bay> bays = new ArrayList<>();
        names.forEach((key, name) -> bays.add(new Bay(key, name, key.contains(lift))));
        return bays;
    }

    /** Bay 2 before Bay 10. */
    static String natural(String name) {
        return NUMBER.matcher(name.toLowerCase(Locale.ENGLISH))
                .replaceAll(m -> String.format(Locale.ROOT, "%08d", Integer.parseInt(m.group())));
    }
}
