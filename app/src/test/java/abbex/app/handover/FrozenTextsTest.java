package abbex.app.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

/** What is taken out of a sheet that left: never a tag, a code or a part of a word. */
class FrozenTextsTest {
    private static String body(String all, String text, String instead) {
        return FrozenTexts.without(FrozenTexts.TEXT, all, text, instead);
    }

    private static String facts(String all, String text, String instead) {
        return FrozenTexts.without(FrozenTexts.VALUE, all, text, instead);
    }

    @Test
    void a_short_text_goes_only_where_it_stands_alone() {
        String sheet = "<p class=\"low\">low</p><p>lower, low and below</p>";
        assertEquals("<p class=\"low\"></p><p>lower, low and below</p>", body(sheet, "low", ""));
        assertEquals("<p>Front \u2193 1 1/4</p>", body("<p>Front \u2193 1 1/4</p>", "Front", "\u2026"));
        assertEquals("<span>x</span>", body("<span>x</span>", "span", "\u2026"));
    }

    @Test
    void a_long_one_goes_from_the_middle_of_a_line() {
        assertEquals(
                "<p>Kit: \u2026 springs $1.</p>",
                body(
                        "<p>Kit: Ymke Quast\u2019s own springs.</p>",
                        "Ymke Quast\u2019s own springs",
                        "\u2026 springs $1"));
    }

    @Test
    void names_of_fields_and_kinds_stay() {
        String stored =
                "{\"version\":2,\"facts\":[{\"kind\":\"KIT\",\"about\":[\"KIT\"],\"says\":[\"about\",\"a \\\"b\\\"\"]}]}";
        assertEquals(stored.replace("[\"KIT\"]", "[\"\"]"), facts(stored, "KIT", ""));
        assertEquals(stored.replace("\"about\",\"a", "\"\u2026\",\"a"), facts(stored, "about", "\u2026"));
        assertEquals(stored.replace("a \\\"b\\\"", "\u2026"), facts(stored, "a \\\"b\\\"", "\u2026"));
    }
}
