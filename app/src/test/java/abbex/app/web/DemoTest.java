package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
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

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
                    KT 4-207 | Still to read: hub to lip
                    GN 2-118 | Right front, hub to lip: probably misread
                    GN 2-118 | all other readings together say
                    BD 5-821 | Left front: another tyre pressure
                    WU 9-016 | Front came down less than promised
                    HM 6-663 | Left front stands lower as arrived
                    OS 1-442 | Nothing yet. Start at the left front.
                    LE 3-275 | Front is as promised
                    DK 8-590 | The tyre is in this drop
                    ZV 4-731 | The diagonal held
                    PX 7-340 | Rake cannot be told
                    """)
    void each_story(String plate, String says) {
        String job = Jobs.id(plate);
        assertTrue(
                tamsin.get("/jobs/" + job + "/sheets/" + Jobs.sheet(job)).body().contains(says));
    }

    @Test
    void the_floor_shows_where_they_stand() {
        String floor = tamsin.get("/").body();
        for (String text : new String[] {
            "Bay 1",
            "Bay 3, lift",
            "Waiting",
            "Out on the road",
            "Was due back",
            "Due back",
            "Done",
            "Take again: right front, hub to lip"
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
