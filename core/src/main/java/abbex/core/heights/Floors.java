package abbex.core.heights;

import java.util.List;

/**
 * Floor surveys are used on all sheets of a job or on none: with one sheet corrected and another as it was read, the floor
 * would count as a drop.
 */
final class Floors {
    private Floors() {}

    private static boolean all(List<HeightSheet> sheets) {
        return sheets.stream()
                .filter(s -> !s.isEmpty())
                .allMatch(s -> s.basis().floor().isPresent());
    }

    static boolean unused(List<HeightSheet> sheets) {
        return !all(sheets) && sheets.stream().anyMatch(s -> s.basis().floor().isPresent() && !s.isEmpty());
    }

    static List<HeightSheet> used(List<HeightSheet> sheets) {
        return unused(sheets) ? sheets.stream().map(HeightSheet::asRead).toList() : sheets;
    }
}
