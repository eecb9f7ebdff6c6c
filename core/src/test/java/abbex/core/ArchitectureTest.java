package abbex.core;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.junit.jupiter.api.Assertions.assertThrows;

import abbex.core.vehicle.VehicleKind;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** The core's packages know each other in one direction and nothing of the world outside. */
@AnalyzeClasses(packages = "abbex.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    /** Which packages each may know, in the order in which they may know each other; one that is not here fails. */
    private static final Map<String, Set<String>> KNOWS = Map.ofEntries(
            Map.entry("units", Set.of()),
            Map.entry("figure", Set.of()),
            Map.entry("vehicle", Set.of("units", "figure")),
            Map.entry("adjust", Set.of()),
            Map.entry("stance", Set.of("adjust")),
            Map.entry("heights", Set.of("units", "figure", "vehicle", "adjust", "stance")),
            Map.entry("wheels", Set.of("units", "figure")),
            Map.entry("motion", Set.of("vehicle")),
            Map.entry("clearance", Set.of("units", "figure", "vehicle", "wheels", "motion")),
            Map.entry("ground", Set.of("units", "figure", "vehicle", "heights")),
            Map.entry("springs", Set.of()),
            Map.entry("motorcycle", Set.of()),
            Map.entry("truck", Set.of()),
            Map.entry(
                    "kit",
                    Set.of(
                            "units",
                            "figure",
                            "vehicle",
                            "adjust",
                            "stance",
                            "heights",
                            "springs",
                            "motorcycle",
                            "truck")),
            Map.entry("setting", Set.of("units", "figure", "vehicle", "adjust", "stance", "kit", "heights")),
            Map.entry("balance", Set.of()),
            Map.entry("alignment", Set.of("units", "figure", "vehicle")),
            Map.entry("settling", Set.of("units", "figure", "vehicle", "adjust")),
            Map.entry("electronics", Set.of("figure", "vehicle")),
            Map.entry("redact", Set.of()),
            Map.entry("torque", Set.of("units")),
            Map.entry("state", Set.of("figure", "vehicle", "heights")),
            Map.entry("workcard", Set.of("figure", "vehicle", "torque", "state")),
            Map.entry("day", Set.of("workcard")),
            Map.entry("instrument", Set.of()),
            Map.entry("parts", Set.of("figure", "vehicle", "clearance", "kit", "workcard", "springs", "torque")),
            Map.entry("verdict", Set.of("figure")));

    private static LayeredArchitecture layers(Map<String, Set<String>> knows) {
        LayeredArchitecture layers = Architectures.layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .ensureAllClassesAreContainedInArchitecture();
        for (String name : new TreeSet<>(knows.keySet())) {
            layers = layers.layer(name).definedBy("abbex.core." + name);
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
    static final ArchRule order = layers(KNOWS);

    /** What follows from the kind of a vehicle is asked of the kind: nobody compares it with one. */
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
        rule.check(classes.that(describe("others", c -> !c.getPackageName().equals("abbex.core.vehicle"))));
        assertThrows(AssertionError.class, () -> rule.check(classes), "the kind's own package names them");
    }

    /** A package that nobody listed and an import that nobody allowed are found. */
    @ArchTest
    static void the_rule_can_fail(JavaClasses classes) {
        Map<String, Set<String>> without = new HashMap<>();
        KNOWS.forEach((name, known) -> {
            Set<String> rest = new TreeSet<>(known);
            rest.remove("ground");
            without.put(name, rest);
        });
        without.remove("ground");
        assertThrows(AssertionError.class, () -> layers(without).check(classes));
        Map<String, Set<String>> strict = new HashMap<>(KNOWS);
        strict.put("clearance", Set.of("units", "figure", "vehicle", "motion"));
        assertThrows(AssertionError.class, () -> layers(strict).check(classes));
    }

    @ArchTest
    static final ArchRule noCycles =
            slices().matching("abbex.core.(*)..").should().beFreeOfCycles();

    private static final String[] PLAIN = {
        "abbex.core..",
        "java.lang..",
        "java.util..",
        "java.math..",
        "java.time..",
        "java.text..",
        "org.apache.commons.statistics..",
        "org.hipparchus..",
        "org.jspecify.."
    };

    @ArchTest
    static final ArchRule plain = classes()
            .that()
            .resideOutsideOfPackage("abbex.core.day")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(PLAIN);

    /** The day alone knows a solver. */
    @ArchTest
    static final ArchRule solved = classes()
            .that()
            .resideInAPackage("abbex.core.day")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(Stream.concat(Stream.of(PLAIN), Stream.of("com.google.ortools.."))
                    .toArray(String[]::new));

    @ArchTest
    static final ArchRule noClock = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now");
}
