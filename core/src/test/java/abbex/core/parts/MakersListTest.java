package abbex.core.parts;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

/** A list as it is copied from a sheet of paper; invented. */
class MakersListTest {
    @Test
    void numbers_stand_before_or_after_or_nowhere() {
        assertEquals(
                List.of(
                        new MakersList.Piece("top mount", 2),
                        new MakersList.Piece("bump stop 60 mm", 2),
                        new MakersList.Piece("M12x1.25 nut", 4),
                        new MakersList.Piece("dust boot", 2),
                        new MakersList.Piece("ring wrench", 1),
                        new MakersList.Piece("perch washer, thin", 3)),
                MakersList.read("""
                        - 2 x top mount
                        2×bump stop 60 mm

                        4 M12x1.25 nut
                        dust boot x2
                        • ring wrench
                        perch washer, thin, 2 pcs
                        perch washer, thin
                        """));
    }

    @Test
    void a_number_with_its_unit_is_no_count() {
        assertEquals(
                List.of(
                        new MakersList.Piece("10 mm spacer", 1),
                        new MakersList.Piece("bolt M12 x 60", 1),
                        new MakersList.Piece("mount", 2),
                        new MakersList.Piece("A-arm", 2)),
                MakersList.read("10 mm spacer\nbolt  M12  x 60\n2 mount\n2 A-arm"));
    }

    @Test
    void nothing_is_no_list_and_a_number_alone_is_a_name() {
        assertEquals(List.of(), MakersList.read(" \n\n"));
        assertEquals(List.of(new MakersList.Piece("0 x ring", 1)), MakersList.read("0 x ring"));
        assertEquals(List.of(new MakersList.Piece("2219", 1)), MakersList.read("2219"));
    }
}
