package abbex.app;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import abbex.core.vehicle.VehicleKind;
import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;

/** Stations know each other in the order of the work; each keeps its own tables; tests start the application themselves. */
@AnalyzeClasses(packages = "abbex.app")
class ArchitectureTest {
    /** Which packages each may know, beside the core; a package that is not here fails. */
    private static final Map<String, Set<String>> KNOWS = Map.ofEntries(
            entry("words"),
            entry("store", "words"),
            entry("people", "store"),
            entry("page", "people", "words"),
            entry("facts", "page"),
            entry("form", "page", "people"),
            entry("drawing"),
            entry("account", "form", "page", "people"),
            entry("arrive", "drawing", "form", "page", "people", "store"),
            entry("rules", "drawing", "form", "page", "people", "store"),
            entry("state", "arrive", "store"),
            entry("measure", "state", "form", "arrive", "drawing", "facts", "page", "people", "rules", "store"),
            entry("kit", "state", "arrive", "measure", "people", "store"),
            entry(
                    "plan", "state", "form", "arrive", "drawing", "fitment", "ground", "kit", "measure", "memory",
                    "page", "people", "prove", "store"),
            entry("set", "state", "form", "arrive", "kit", "measure", "page", "people", "store"),
            entry("workcard", "state", "form", "arrive", "drawing", "facts", "kit", "page", "people", "store"),
            entry("parts", "prove", "arrive", "facts", "form", "kit", "page", "people", "store", "workcard"),
            entry("instruments", "arrive", "form", "page", "people", "store"),
            entry("fitment", "form", "arrive", "drawing", "facts", "page", "people", "store"),
            entry(
                    "prove", "state", "form", "arrive", "drawing", "facts", "fitment", "kit", "measure", "page",
                    "people", "store"),
            entry(
                    "ground", "form", "arrive", "drawing", "facts", "fitment", "measure", "page", "people", "prove",
                    "store"),
            entry("memory", "arrive", "drawing", "form", "page", "people", "store"),
            entry("settle", "state", "arrive", "kit", "measure", "memory", "people", "set", "store"),
            entry("align", "arrive", "drawing", "facts", "form", "measure", "page", "people", "store"),
            entry(
                    "verdict",
                    "align",
                    "arrive",
                    "day",
                    "state",
                    "fitment",
                    "ground",
                    "kit",
                    "measure",
                    "page",
                    "parts",
                    "prove",
                    "set",
                    "settle",
                    "store",
                    "workcard"),
            entry(
                    "back",
                    "arrive",
                    "drawing",
                    "form",
                    "handover",
                    "kit",
                    "measure",
                    "page",
                    "people",
                    "settle",
                    "verdict"),
            entry(
                    "handover",
                    "form",
                    "drawing",
                    "state",
                    "align",
                    "arrive",
                    "facts",
                    "fitment",
                    "ground",
                    "kit",
                    "measure",
                    "memory",
                    "page",
                    "parts",
                    "people",
                    "plan",
                    "prove",
                    "set",
                    "settle",
                    "store",
                    "verdict",
                    "workcard"),
            entry(
                    "board", "form", "arrive", "drawing", "kit", "measure", "page", "parts", "people", "rules",
                    "verdict"),
            entry("day", "arrive", "form", "measure", "page", "parts", "people", "rules", "store", "workcard"),
            entry("api", "instruments", "page", "people", "store", "words", "workcard"),
            entry(
                    "demo",
                    "arrive",
                    "day",
                    "fitment",
                    "ground",
                    "handover",
                    "kit",
                    "measure",
                    "people",
                    "prove",
                    "set",
                    "workcard",
                    "rules",
                    "settle",
                    "store"));

    private static Map.Entry<String, Set<String>> entry(String of, String... known) {
        return Map.entry(of, Set.of(known));
    }

    private static final DescribedPredicate<JavaClass> OWN = DescribedPredicate.describe(
            "the application's own, no tests",
            c -> c.getPackageName().startsWith("abbex.app.")
                    && c.getSource()
                            .filter(f -> !f.getUri().toString().contains("test-classes"))
                            .isPresent());

    private static LayeredArchitecture layers(Map<String, Set<String>> knows) {
        LayeredArchitecture layers = Architectures.layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .ensureAllClassesAreContainedInArchitecture();
        for (String name : new TreeSet<>(knows.keySet())) {
            layers = layers.layer(name).definedBy("abbex.app." + name);
        }
        for (Map.Entry<String, Set<String>> of : knows.entrySet()) {
            layers = of.getValue().isEmpty()
                    ? layers.whereLayer(of.getKey()).mayNotAccessAnyLayer()
                    : layers.whereLayer(of.getKey())
                            .mayOnlyAccessLayers(of.getValue().toArray(String[]::new));
        }
        return layers;
    }

    @ArchTest
    static void every_package_knows_only_those_that_it_may(JavaClasses classes) {
        layers(KNOWS).check(classes.that(OWN));
    }

    /** What follows from the kind of a vehicle is asked of the kind: nobody compares it with one, but the demo makes some. */
    @ArchTest
    static void nobody_asks_which_kind(JavaClasses classes) {
        ArchRule rule = noClasses()
                .should()
                .accessFieldWhere(describe(
                        "a kind of vehicle is named",
                        access -> access.getTarget().getOwner().isEquivalentTo(VehicleKind.class)
                                && Stream.of(VehicleKind.values())
                                        .anyMatch(kind -> kind.name()
                                                .equals(access.getTarget().getName()))));
        JavaClasses own = classes.that(OWN);
        rule.check(own.that(
                DescribedPredicate.describe("not demo", c -> !c.getPackageName().equals("abbex.app.demo"))));
        assertThrows(AssertionError.class, () -> rule.check(own), "the demo names them");
    }

    /** The rule itself finds a package that nobody listed and an import that nobody allowed. */
    @ArchTest
    static void the_rule_can_fail(JavaClasses classes) {
        Map<String, Set<String>> without = new HashMap<>();
        KNOWS.forEach((name, known) -> {
            Set<String> rest = new TreeSet<>(known);
            rest.remove("prove");
            without.put(name, rest);
        });
        without.remove("prove");
        assertThrows(AssertionError.class, () -> layers(without).check(classes.that(OWN)));
        Map<String, Set<String>> strict = new HashMap<>(KNOWS);
        strict.put("ground", Set.of("arrive"));
        assertThrows(AssertionError.class, () -> layers(strict).check(classes.that(OWN)));
    }

    /** Whoever reads or writes a table is its owner; names and initials of people are joined by all, and what was withdrawn. */
    private static final Map<String, String> OWNERS = Map.ofEntries(
            Map.entry("shop", "people rules"),
            Map.entry("sent", "store"),
            Map.entry("audit", "people"),
            Map.entry("sheet_paper", "handover"),
            Map.entry("audit_head", "people"),
            Map.entry("attempt", "people"),
            Map.entry("second_factor", "people"),
            Map.entry("recovery_code", "people"),
            Map.entry("api_key", "people"),
            Map.entry("vehicle", "arrive"),
            Map.entry("vehicle_measure", "arrive"),
            Map.entry("job", "arrive"),
            Map.entry("job_advertised", "arrive"),
            Map.entry("stay_value", "arrive"),
            Map.entry("watch_answer", "settle"),
            Map.entry("memory_seen", "memory"),
            Map.entry("memory_bin", "memory"),
            Map.entry("memory_struck", "memory"),
            Map.entry("setting_move", "set"),
            Map.entry("sheet", "measure"),
            Map.entry("reading", "measure"),
            Map.entry("state_entry", "measure"),
            Map.entry("shop_limit", "rules"),
            Map.entry("floor_survey", "rules"),
            Map.entry("floor_pad", "rules"),
            Map.entry("point", "rules"),
            Map.entry("wheel_set", "fitment"),
            Map.entry("wheel_set_item", "fitment"),
            Map.entry("probe", "prove"),
            Map.entry("sweep_plan", "prove"),
            Map.entry("remedy_taken", "prove"),
            Map.entry("remedy_fitted", "prove"),
            Map.entry("road_test", "prove"),
            Map.entry("road_bump", "prove"),
            Map.entry("road_fitment", "prove"),
            Map.entry("road_mark", "prove"),
            Map.entry("needed_gap", "prove"),
            Map.entry("low_point", "ground"),
            Map.entry("own_ground", "ground"),
            Map.entry("kit", "kit"),
            Map.entry("kit_value", "kit"),
            Map.entry("kit_choice", "kit"),
            Map.entry("kit_fit", "kit"),
            Map.entry("step_book", "workcard"),
            Map.entry("instrument_pair", "instruments"),
            Map.entry("instrument_reading", "instruments"),
            Map.entry("part_entry", "parts"),
            Map.entry("part_figure", "parts"),
            Map.entry("tool_entry", "parts"),
            Map.entry("shelf_item", "parts"),
            Map.entry("shelf_move", "parts"),
            Map.entry("shop_hours", "day"),
            Map.entry("absence", "day"),
            Map.entry("agreed", "day"),
            Map.entry("day_wish", "day"),
            Map.entry("day_plan", "day"),
            Map.entry("day_job", "day"),
            Map.entry("day_stint", "day"),
            Map.entry("calendar_link", "day"),
            Map.entry("step_time", "workcard"),
            Map.entry("step_time_sum", "workcard"),
            Map.entry("card", "workcard"),
            Map.entry("card_entry", "workcard"),
            Map.entry("torque_spec", "workcard"),
            Map.entry("card_photo", "workcard"),
            Map.entry("own_step", "workcard"),
            Map.entry("step_tip", "workcard"),
            Map.entry("handed_over", "handover"),
            Map.entry("hand_over_answer", "handover"),
            Map.entry("sheet_printed", "handover"),
            Map.entry("stamp", "store"),
            Map.entry("withdrawal", "people rules fitment prove ground handover set memory"),
            Map.entry(
                    "person",
                    "people account api arrive board demo fitment ground handover measure page prove rules set workcard memory parts day"));

    private static final Pattern TABLE =
            Pattern.compile("\\b(?:from|join|update|into)\\s+([a-z]+(?:_[a-z]+)*)\\b", Pattern.CASE_INSENSITIVE);

    private static List<String> strangers(String where, String sql) {
        List<String> found = new ArrayList<>();
        Matcher table = TABLE.matcher(sql);
        while (table.find()) {
            String name = table.group(1);
            if (OWNERS.containsKey(name) && !Set.of(OWNERS.get(name).split(" ")).contains(where)) {
                found.add(where + " reads or writes " + name);
            }
        }
        return found;
    }

    @Test
    void a_station_asks_for_what_another_keeps() throws IOException {
        assertEquals(List.of("rules reads or writes reading"), strangers("rules", "select 1 from reading r"));
        List<String> found = new ArrayList<>();
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java/abbex/app"))) {
            for (Path source :
                    sources.filter(f -> f.toString().endsWith(".java")).toList()) {
                Matcher block = Pattern.compile("\"\"\"(.*?)\"\"\"|\"([^\"\\n]*)\"", Pattern.DOTALL)
                        .matcher(Files.readString(source));
                while (block.find()) {
                    String sql = block.group(1) != null ? block.group(1) : block.group(2);
                    if (Pattern.compile("(?i)^\\s*(select|insert|update|delete)\\b")
                            .matcher(sql)
                            .find()) {
                        found.addAll(strangers(source.getParent().getFileName().toString(), sql));
                    }
                }
            }
        }
        assertEquals(List.of(), found);
    }

    /** Every table of the migrations has an owner here. */
    @Test
    void every_table_is_owned() throws IOException {
        Set<String> made = new TreeSet<>();
        Set<String> dropped = new TreeSet<>();
        try (Stream<Path> migrations = Files.walk(Path.of("src/main/resources/db/migration"))) {
            for (Path migration : migrations.filter(Files::isRegularFile).toList()) {
                Matcher gone = Pattern.compile("(?m)^drop table (\\w+)").matcher(Files.readString(migration));
                while (gone.find()) {
                    dropped.add(gone.group(1));
                }
                Matcher table = Pattern.compile("(?m)^create table (\\w+)").matcher(Files.readString(migration));
                while (table.find()) {
                    made.add(table.group(1));
                }
            }
        }
        made.removeAll(dropped);
        assertEquals(made, new TreeSet<>(OWNERS.keySet()));
    }

    /** The compiler's null checker looks into packages that are marked: all are. */
    @ArchTest
    static final ArchRule marked =
            classes().that().haveSimpleName("package-info").should().beAnnotatedWith(NullMarked.class);

    @Test
    void every_package_is_marked() throws IOException {
        List<Path> bare = new ArrayList<>();
        for (Path root : List.of(Path.of("src/main/java"), Path.of("../core/src/main/java"))) {
            try (Stream<Path> folders = Files.walk(root)) {
                for (Path folder : folders.filter(Files::isDirectory).toList()) {
                    try (Stream<Path> files = Files.list(folder)) {
                        boolean code = files.anyMatch(f -> f.toString().endsWith(".java"));
                        if (code && !Files.exists(folder.resolve("package-info.java"))) {
                            bare.add(folder);
                        }
                    }
                }
            }
        }
        assertEquals(List.of(), bare);
    }

    @ArchTest
    static final ArchRule noCycles =
            slices().matching("abbex.app.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule controllersAskServices = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.springframework.jdbc..");

    /** Spring's own test support needs JUnit 6; see docs/decisions/junit-5-under-boot.md. */
    @ArchTest
    static final ArchRule noSpringTests = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework.test..", "org.springframework.boot.test..");
}
