package abbex.app.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.facts.Fact;
import abbex.app.facts.Facts;
import abbex.app.measure.Sheets;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Properties;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Every message says something else, and nothing that is stored changes: neither sheets, drafts, road tests nor grounds. */
@ExtendWith(Shop.class)
class RewordedTest {
    private static final Path WORDS = Path.of("src", "main", "resources", "words");

    /** Bundles elsewhere with every message changed. */
    private static void reword() throws IOException {
        Path classes = Path.of("target", "test-classes", "reworded");
        Files.createDirectories(classes);
        try (Stream<Path> files = Files.list(WORDS)) {
            for (Path file : files.toList()) {
                Properties words = new Properties();
                try (Reader in = Files.newBufferedReader(file)) {
                    words.load(in);
                }
                words.replaceAll((key, text) -> "other " + text + " words");
                try (Writer out = Files.newBufferedWriter(classes.resolve(file.getFileName()))) {
                    words.store(out, null);
                }
            }
        }
    }

    private static List<Facts> facts(ConfigurableApplicationContext app, Person person) {
        return stays(app, person).stream()
                .map(job -> app.getBean(HandOver.class)
                        .facts(job, app.getBean(Sheets.class).of(job.shop(), job.id())))
                .toList();
    }

    private static List<Job> stays(ConfigurableApplicationContext app, Person person) {
        return app
                .getBean(JdbcClient.class)
                .sql("select id from job where shop_id = :shop order by id")
                .param("shop", person.shop().toString())
                .query(String.class)
                .list()
                .stream()
                .map(id -> app.getBean(Jobs.class)
                        .find(person.shop(), UUID.fromString(id))
                        .orElseThrow())
                .toList();
    }

    private static Person orla(ConfigurableApplicationContext app) {
        String id = app.getBean(JdbcClient.class)
                .sql("select id from person where sign_in_name = 'orla'")
                .query(String.class)
                .single();
        return app.getBean(People.class).byId(UUID.fromString(id)).orElseThrow();
    }

    @Test
    void nothing_stored_depends_on_words() throws IOException {
        Visitor orla = Visitor.signedIn("orla");
        reword();
        try (ConfigurableApplicationContext other = Shop.start("--abbex.words=classpath:reworded/*.properties")) {
            Person person = orla(other);
            List<Facts> reworded = facts(other, person);
            List<Facts> usual = facts(Shop.context(), person);
            assertTrue(reworded.size() > 10);
            for (Fact.Kind kind :
                    List.of(Fact.Kind.PROBE, Fact.Kind.LOW_POINT, Fact.Kind.GROUND, Fact.Kind.ROAD_TEST)) {
                assertTrue(
                        usual.stream().flatMap(f -> f.all().stream()).anyMatch(f -> f.kind() == kind),
                        "the demo has a " + kind);
            }
            for (int i = 0; i < usual.size(); i++) {
                assertEquals(List.of(), reworded.get(i).since(usual.get(i)), "what goes into a sheet is the same");
                assertEquals(usual.get(i).stored(), reworded.get(i).stored());
            }
            untouched(other, person, orla);
        }
    }

    /** What was handed over before says the same on the page of an application with other words, and nothing has changed. */
    private static void untouched(ConfigurableApplicationContext other, Person person, Visitor orla) {
        Visitor reader = Visitor.signedIn("orla", Shop.address(other), Shop.password());
        int frozen = 0;
        for (Job job : stays(other, person)) {
            List<Handovers.Version> versions = other.getBean(Handovers.class).of(job.shop(), job.id());
            for (Handovers.Version version : versions) {
                String path = "/jobs/" + job.id() + "/sheet?version=" + version.number();
                assertEquals(
                        paper(orla.get(path).body()), paper(reader.get(path).body()));
                frozen++;
            }
            if (!versions.isEmpty()) {
                String now = reader.get("/jobs/" + job.id() + "/sheet").body();
                boolean changed =
                        orla.get("/jobs/" + job.id() + "/sheet").body().contains("<del>");
                assertEquals(changed, now.contains("<del>"), job.vehicle().plate());
            }
        }
        assertTrue(frozen > 0, "the demo has sheets that were handed over");
        assertFalse(reader.get("/").body().isEmpty());
    }

    private static String paper(String page) {
        int at = page.indexOf("<article class=\"paper\"");
        assertTrue(at > 0);
        return page.substring(at, page.indexOf("</article>", at));
    }
}
