package abbex.core;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Reason.Formula;
import abbex.core.ground.GroundFormula;
import abbex.core.heights.HeightFormula;
import abbex.core.kit.KitFormula;
import abbex.core.wheels.WheelFormula;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every formula that a figure can name stands in docs/formulas.md with its source. */
class FormulasTest {
    @Test
    void every_formula_is_listed() throws IOException {
        String listed = Files.readString(Path.of("..", "docs", "formulas.md"));
        List<Formula> all = new ArrayList<>();
        Stream.of(HeightFormula.values(), WheelFormula.values(), GroundFormula.values(), KitFormula.values())
                .forEach(some -> Collections.addAll(all, some));
        for (Formula formula : all) {
            // Two that are reckoned alike may share a row.
            assertTrue(
                    listed.lines()
                            .anyMatch(row -> row.split("\\|").length > 1
                                    && row.split("\\|")[1].contains("`" + formula.name() + "`")),
                    formula + " is missing in docs/formulas.md");
            assertFalse(formula.source().isBlank(), formula + " names no source");
        }
    }
}
