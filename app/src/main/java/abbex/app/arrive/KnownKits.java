package abbex.app.arrive;

import java.util.List;

/** The sets of parts of a stay by their names, for stations before the one where they are kept. */
public interface KnownKits {
    List<String> names(Job job);
}
