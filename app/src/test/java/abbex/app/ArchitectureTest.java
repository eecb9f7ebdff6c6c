package abbex.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Stations know each other in the order of the work; each keeps its own tables; tests start the application themselves. */
@AnalyzeClasses(packages = "abbex.app")
class ArchitectureTest {
    @ArchTest
    static final ArchRule order = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .ignoreDependency(
                    com.tngtech.archunit.base.DescribedPredicate.describe(
                            "a test", c -> c.getSimpleName().endsWith("Test")),
                    com.tngtech.archunit.base.DescribedPredicate.alwaysTrue())
            .layer("store")
            .definedBy("abbex.app.store")
            .layer("people")
            .definedBy("abbex.app.people")
            .layer("page")
            .definedBy("abbex.app.page")
            .layer("drawing")
            .definedBy("abbex.app.drawing")
            .layer("account")
            .definedBy("abbex.app.account")
            .layer("arrive")
            .definedBy("abbex.app.arrive")
            .layer("rules")
            .definedBy("abbex.app.rules")
            .layer("measure")
            .definedBy("abbex.app.measure")
            .layer("fitment")
            .definedBy("abbex.app.fitment")
            .layer("prove")
            .definedBy("abbex.app.prove")
            .layer("ground")
            .definedBy("abbex.app.ground")
            .layer("handover")
            .definedBy("abbex.app.handover")
            .layer("board")
            .definedBy("abbex.app.board")
            .layer("api")
            .definedBy("abbex.app.api")
            .layer("demo")
            .definedBy("abbex.app.demo")
            .whereLayer("demo")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("api")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("board")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("account")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("handover")
            .mayOnlyBeAccessedByLayers("demo", "board")
            .whereLayer("ground")
            .mayOnlyBeAccessedByLayers("handover", "demo")
            .whereLayer("prove")
            .mayOnlyBeAccessedByLayers("ground", "handover", "demo")
            .whereLayer("fitment")
            .mayOnlyBeAccessedByLayers("prove", "ground", "handover", "demo")
            .whereLayer("measure")
            .mayOnlyBeAccessedByLayers("ground", "handover", "demo", "board")
            .whereLayer("rules")
            .mayOnlyBeAccessedByLayers("measure", "demo")
            .whereLayer("arrive")
            .mayOnlyBeAccessedByLayers("measure", "fitment", "prove", "ground", "handover", "demo", "board")
            .whereLayer("drawing")
            .mayOnlyBeAccessedByLayers("measure", "fitment", "prove", "ground", "handover", "board")
            .whereLayer("page")
            .mayOnlyBeAccessedByLayers(
                    "account",
                    "arrive",
                    "rules",
                    "measure",
                    "fitment",
                    "prove",
                    "ground",
                    "handover",
                    "board",
                    "demo",
                    "api")
            .whereLayer("people")
            .mayOnlyBeAccessedByLayers(
                    "page",
                    "account",
                    "arrive",
                    "rules",
                    "measure",
                    "fitment",
                    "prove",
                    "ground",
                    "handover",
                    "board",
                    "demo",
                    "api");

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
