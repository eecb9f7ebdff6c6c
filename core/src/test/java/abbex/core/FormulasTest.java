package abbex.core;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.heights.HeightFormula;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Every formula that a figure can name stands in docs/formulas.md with its source. */
class FormulasTest {
    @Test
    void every_formula_is_listed() throws IOException {
        String listed = Files.readString(Path.of("..", "docs", "formulas.md"));
        for (HeightFormula formula : HeightFormula.values()) {
            assertTrue(listed.contains("| `" + formula.name() + "` |"), formula + " is missing in docs/formulas.md");
            assertFalse(formula.source().isBlank(), formula + " names no source");
        }
    }
}
