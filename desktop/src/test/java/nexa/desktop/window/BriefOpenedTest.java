package nexa.desktop.window;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Label;
import nexa.core.brief.Format;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.desktop.MainWindow;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.exchange.BriefFile;
import nexa.shoot.exchange.Shelf;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationExtension;

/** A brief's file opened from a file manager, with no shoot open. */
@ExtendWith(ApplicationExtension.class)
class BriefOpenedTest {
    @TempDir
    static Path base;

    private MainWindow window;
    private Locations locations;

    @BeforeEach
    void start() throws Exception {
        Path own = Files.createTempDirectory(base, "brief");
        locations = new Locations(own.resolve("data"), own.resolve("cache"));
        FxToolkit.setupStage(stage -> {
            window = new MainWindow(stage, locations, 1280, 800);
            window.show();
        });
    }

    private static String message(FxRobot robot) {
        return robot.lookup("#start-message").<Label>query().getText();
    }

    @Test
    void itsFormatsAreOnTheShelf(FxRobot robot) throws Exception {
        Path file = base.resolve("catalogue.nexabrief");
        Format plate = new Format(1, "Plate", Shape.parse("4:5"), OrientationRule.FOLLOW_PHOTO);
        Files.writeString(file, new BriefFile("Catalogue", List.of(plate)).text());
        WindowTest.onFx(() -> window.takeBrief(file));
        WindowTest.until(() -> message(robot).startsWith("“Catalogue” with 1 format is on the shelf"));
        WindowTest.until(() -> shelved().equals(List.of("Catalogue"))); // settings are saved a little later
    }

    private List<String> shelved() {
        return new Shelf(Preferences.open(locations))
                .briefs().stream().map(BriefFile::name).toList();
    }

    @Test
    void whatIsNoBrief_isSaid(FxRobot robot) throws Exception {
        Path file = Files.writeString(base.resolve("list.nexabrief"), "eggs, milk");
        WindowTest.onFx(() -> window.takeBrief(file));
        WindowTest.until(() -> message(robot).contains("not JSON"));
    }
}
