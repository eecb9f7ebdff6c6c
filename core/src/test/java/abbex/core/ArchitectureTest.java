package abbex.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The core's packages know each other in one direction and nothing of the world outside. */
@AnalyzeClasses(packages = "abbex.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule order = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("units")
            .definedBy("abbex.core.units")
            .layer("figure")
            .definedBy("abbex.core.figure")
            .layer("vehicle")
            .definedBy("abbex.core.vehicle")
            .layer("heights")
            .definedBy("abbex.core.heights")
            .layer("adjust")
            .definedBy("abbex.core.adjust")
            .layer("stance")
            .definedBy("abbex.core.stance")
            .whereLayer("stance")
            .mayOnlyBeAccessedByLayers("heights")
            .whereLayer("adjust")
            .mayOnlyBeAccessedByLayers("heights", "stance")
            .whereLayer("heights")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("vehicle")
            .mayOnlyBeAccessedByLayers("heights")
            .whereLayer("figure")
            .mayOnlyBeAccessedByLayers("vehicle", "heights")
            .whereLayer("units")
            .mayOnlyBeAccessedByLayers("figure", "vehicle", "heights");

    @ArchTest
    static final ArchRule noCycles =
            slices().matching("abbex.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule plain = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "abbex.core..",
                    "java.lang..",
                    "java.util..",
                    "java.math..",
                    "java.time..",
                    "java.text..",
                    "org.apache.commons.statistics..",
                    "org.jspecify..");

    @ArchTest
    static final ArchRule noClock = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now");
}
