package nexa.cli;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.nio.file.Files;
import java.util.Set;
import nexa.shoot.disk.AtomicFile;

/** The promise that no photo is written is kept by one class that all writers go through. */
@AnalyzeClasses(
        packages = "nexa",
        importOptions = {ImportOption.DoNotIncludeTests.class, GuardTest.NoTestJar.class})
class GuardTest {
    /** What the tests of several modules share comes as a jar, which looks like any other. */
    static final class NoTestJar implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("-tests.jar");
        }
    }

    private static final Set<String> WRITING = Set.of(
            "write",
            "writeString",
            "newOutputStream",
            "newBufferedWriter",
            "move",
            "copy",
            "delete",
            "deleteIfExists",
            "createFile",
            "createLink",
            "createSymbolicLink",
            "setLastModifiedTime");

    private static final DescribedPredicate<JavaMethodCall> WRITES = DescribedPredicate.describe(
            "write, move or delete files",
            call -> call.getTargetOwner().isEquivalentTo(Files.class) && WRITING.contains(call.getName()));

    /**
     * Nexa's own files (store, previews, settings, log, the demo's copy, the warming picture, pixels that come from another process) are no business of the guard;
     * the journal asks it first.
     */
    @ArchTest
    static final ArchRule ONLY_THE_GUARD_WRITES = noClasses()
            .that(DescribedPredicate.not(resideInAnyPackage(
                    "nexa.shoot.guard..",
                    "nexa.shoot.disk..",
                    "nexa.shoot.store..",
                    "nexa.shoot.preview..",
                    "nexa.cli.log..",
                    "nexa.bench..")))
            .and()
            .doNotHaveFullyQualifiedName("nexa.shoot.handover.Journal")
            .and()
            .doNotHaveFullyQualifiedName("nexa.shoot.ShootFiles")
            .and()
            .doNotHaveFullyQualifiedName("nexa.shoot.Elsewhere")
            .and()
            .doNotHaveFullyQualifiedName("nexa.shoot.DemoShoot")
            .and()
            .doNotHaveFullyQualifiedName("nexa.shoot.DemoCamera")
            .and()
            .doNotHaveFullyQualifiedName("nexa.desktop.Warming")
            .and()
            .doNotHaveFullyQualifiedName("nexa.imaging.apart.PixelFile")
            .should()
            .callMethodWhere(WRITES);

    /** The user's settings and key are in the user's own folder; all else asks the guard. */
    @ArchTest
    static final ArchRule ONLY_THE_GUARD_MAKES_FILES_APPEAR = noClasses()
            .that()
            .resideOutsideOfPackages("nexa.shoot.guard..", "nexa.shoot.disk..")
            .and()
            .doNotHaveFullyQualifiedName("nexa.shoot.scan.DeliverySeal")
            .and()
            .doNotHaveFullyQualifiedName("nexa.shoot.Preferences")
            .should()
            .callMethodWhere(DescribedPredicate.describe(
                    "write files at once",
                    (JavaMethodCall call) -> call.getTargetOwner().isEquivalentTo(AtomicFile.class)
                            && call.getName().equals("write")));
}
