package abbex.core.heights;

import abbex.core.vehicle.Corner;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Arches that were worked on between two sheets of a job: their lips have a new datum. */
final class Lips {
    private Lips() {}

    static Set<Corner> worked(List<HeightSheet> sheets, Assessment.Pair compared) {
        Set<Corner> worked = EnumSet.noneOf(Corner.class);
        for (int sheet = compared.before() + 1; sheet <= compared.after(); sheet++) {
            worked.addAll(sheets.get(sheet).basis().arches());
        }
        return worked;
    }
}
