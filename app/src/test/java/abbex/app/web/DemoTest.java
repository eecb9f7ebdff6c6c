package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The demo's ten stories say what they were made to say. */
@ExtendWith(Shop.class)
class DemoTest {
    private final Visitor tamsin = Visitor.signedIn("tamsin");

    @ParameterizedTest(name = "{0}: {1} {2}")
    @CsvSource(delimiter = '|', textBlock = """
                    KT 4-207 | finding.STILL_TO_READ.title | way | hub to lip
                    GN 2-118 | finding.READING_SUSPECT.title | place | Right front, hub to lip
                    BD 5-821 | finding.STATE_PRESSURE.title | place | Left front
                    WU 9-016 | finding.LESS_THAN_PROMISED.title | place | Front
                    HM 6-663 | finding.LEFT_RIGHT_BEFORE.title | lower | Left front
                    OS 1-442 | measure.says.none | |
                    LE 3-275 | finding.AS_PROMISED.title | place | Front
                    DK 8-590 | finding.TYRE_IN_DROP.title | |
                    ZV 4-731 | finding.DIAGONAL_HELD.title | |
                    PX 7-340 | finding.NO_FRAME.title | |
                    """)
    void each_story(String plate, String key, String name, String value) {
        String job = Jobs.id(plate);
        String says = name == null ? Said.by(key) : Said.by(key, name, value);
        assertTrue(
                tamsin.get("/jobs/" + job + "/sheets/" + Jobs.sheet(job)).body().contains(says), says);
    }

    @Test
    void the_floor_shows_where_they_stand() {
        String floor = tamsin.get("/").body();
        for (String text : new String[] {
            "Bay 1",
            "Bay 3, lift",
            Said.by("board.waiting"),
            Said.part("board.out"),
            Said.part("next.back.late"),
            Said.part("next.back"),
            Said.by("board.done"),
            Said.by("next.again", "place", "right front", "way", "hub to lip")
        }) {
            assertTrue(floor.contains(text), text);
        }
    }

    @Test
    void five_people_ten_stays_and_a_second_shop() {
        JdbcClient jdbc = Shop.bean(JdbcClient.class);
        assertEquals(
                5,
                jdbc.sql("select count(*) from person p join shop s on s.id = p.shop_id where s.name = 'Lowline Works'")
                        .query(Long.class)
                        .single());
        assertEquals(
                2,
                jdbc.sql("select count(*) from shop where name in ('Lowline Works', 'Second Yard')")
                        .query(Long.class)
                        .single());
    }
}
