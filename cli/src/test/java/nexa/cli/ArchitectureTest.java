package nexa.cli;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The arrows between modules and packages, as docs/architecture.md draws them. */
@AnalyzeClasses(
        packages = "nexa",
        importOptions = {ImportOption.DoNotIncludeTests.class, GuardTest.NoTestJar.class})
class ArchitectureTest {
    @ArchTest
    static final ArchRule MODULES = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("core")
            .definedBy("nexa.core..")
            .layer("imaging")
            .definedBy("nexa.imaging..")
            .layer("shoot")
            .definedBy("nexa.shoot..")
            .layer("words")
            .definedBy("nexa.words..")
            .layer("desktop")
            .definedBy("nexa.desktop..")
            .layer("cli")
            .definedBy("nexa.cli..")
            .whereLayer("cli")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("desktop")
            .mayOnlyBeAccessedByLayers("cli")
            .whereLayer("words")
            .mayOnlyBeAccessedByLayers("desktop", "cli")
            .whereLayer("shoot")
            .mayOnlyBeAccessedByLayers("words", "desktop", "cli")
            .whereLayer("imaging")
            .mayOnlyBeAccessedByLayers("shoot", "words", "desktop", "cli");

    @ArchTest
    static final ArchRule CORE_IS_PURE = classes()
            .that()
            .resideInAPackage("nexa.core..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "nexa.core..",
                    "java.lang..",
                    "java.util..",
                    "java.math..",
                    "java.text..",
                    "java.nio.charset..",
                    "org.jspecify..");

    @ArchTest
    static final ArchRule CORE_HAS_NO_CYCLES =
            slices().matching("nexa.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule IMAGING_HAS_NO_CYCLES =
            slices().matching("nexa.imaging.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule SHOOT_HAS_NO_CYCLES =
            slices().matching("nexa.(shoot..)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule DESKTOP_HAS_NO_CYCLES =
            slices().matching("nexa.(desktop..)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule ONLY_WINDOW_COMMANDS_KNOW_THE_DESKTOP = noClasses()
            .that()
            .resideInAPackage("nexa.cli..")
            .and()
            .haveSimpleNameNotStartingWith("WindowCommands")
            .and()
            .haveNameNotMatching(".*WindowCommands.*")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("nexa.desktop..");

    @ArchTest
    static final ArchRule NATIVE_PIXELS_STAY_IN_IMAGING = noClasses()
            .that()
            .resideOutsideOfPackages("nexa.imaging..", "nexa.bench..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.bytedeco..");

    @ArchTest
    static final ArchRule SESSION_KNOWS_NO_NODES = noClasses()
            .that()
            .resideInAnyPackage(
                    "nexa.desktop.session..",
                    "nexa.desktop.setting..",
                    "nexa.desktop.delivering..",
                    "nexa.desktop.model..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx.scene..", "javafx.stage..");
}
