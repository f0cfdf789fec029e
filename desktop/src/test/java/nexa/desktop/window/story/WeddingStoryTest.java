package nexa.desktop.window.story;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import nexa.core.geometry.Tilt;
import nexa.desktop.session.MainView;
import nexa.desktop.wall.PhotoTile;
import nexa.desktop.window.WindowTest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;

/** The job of a wedding, as {@code docs/tasks.md} tells it: two days, near-repeats, verticals by themselves, only what was checked. */
class WeddingStoryTest extends WindowTest {
    @Override
    protected String[] photos() {
        return new String[] {
            "kiln_0206.jpg",
            "kiln_0208.jpg",
            "kiln_0211.jpg",
            "kiln_0212.jpg",
            "kiln_0213.jpg",
            "kiln_0230.jpg",
            "kiln_0231.jpg"
        };
    }

    private Photo photo(String file) {
        return session().shoot().photos().stream()
                .filter(photo -> photo.file().equals(file))
                .findFirst()
                .orElseThrow();
    }

    private Set<String> selected() {
        return session().selection().property().get().stream().map(Photo::file).collect(Collectors.toSet());
    }

    private static List<Button> headings(FxRobot robot) {
        return robot.lookup(".wall-group").queryAllAs(Button.class).stream()
                .filter(Node::isVisible)
                .sorted(Comparator.comparing(Node::getLayoutY))
                .toList();
    }

    private void grouped(FxRobot robot, String how, int groups) throws Exception {
        press(robot, KeyCode.SHORTCUT, KeyCode.F);
        click(robot, "#grouping-" + how);
        press(robot, KeyCode.ESCAPE);
        until(() -> headings(robot).size() == groups);
    }

    private static String text(FxRobot robot, String query) {
        return robot.lookup(query).queryAs(Labeled.class).getText();
    }

    @Test
    void fromTheFolder_toWhatWasChecked(FxRobot robot) throws Exception {
        addFormat(robot, "2:3");
        addFormat(robot, "4:5");

        grouped(robot, "TIME", 2);
        Button secondDay = headings(robot).getLast();
        untilAtRest(secondDay);
        click(robot, secondDay);
        until(() -> selected().equals(Set.of("kiln_0230.jpg", "kiln_0231.jpg")));

        grouped(robot, "ALIKE", 2);
        PhotoTile repeat = robot.lookup(".photo-tile")
                .match((PhotoTile tile) -> tile.isUsed() && tile.photo().file().equals("kiln_0212.jpg"))
                .query();
        untilAtRest(repeat);
        click(robot, repeat);
        press(robot, KeyCode.S);
        until(() -> session().framing(photo("kiln_0212.jpg")).setAside());

        click(robot, "#chip-vertical");
        press(robot, KeyCode.SHORTCUT, KeyCode.A);
        until(() -> selected().equals(Set.of("kiln_0206.jpg")));
        onFx(() -> session().poseEdits().tilt(new Tilt(1), "edit.tilt"));
        click(robot, "#chip-vertical");
        assertEquals(
                List.of("kiln_0206.jpg"),
                session().shoot().photos().stream()
                        .filter(photo -> !session().framing(photo).pose().tilt().isNone())
                        .map(Photo::file)
                        .toList(),
                "what verticals are given meets no other");

        onFx(() -> session().choose(photo("kiln_0208.jpg")));
        press(robot, KeyCode.B);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.N);
        press(robot, KeyCode.SHORTCUT, KeyCode.N);
        press(robot, KeyCode.ENTER);
        deliveredOnly(robot, 2);
    }

    private void deliveredOnly(FxRobot robot, int checked) throws Exception {
        press(robot, KeyCode.V);
        assertEquals(MainView.HANDOVER, session().viewProperty().get());
        Path out = folder.resolveSibling("out");
        type(robot, "#handover-folder", out.toString());
        until(() -> text(robot, "#meant-CHECKED").equals("checked " + checked));
        click(robot, "#meant-CHECKED");
        until(() -> text(robot, "#handover-plan").startsWith(checked + " files"));
        click(robot, "#handover-start");
        until(() -> text(robot, "#handover-status").startsWith(checked + " files are in"));
        assertEquals(checked, pictures(out).size());
        assertFalse(pictures(out).stream().anyMatch(file -> file.contains("0212")), "it was set aside");
    }

    private static List<String> pictures(Path out) throws IOException {
        try (Stream<Path> files = Files.list(out)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> name.endsWith(".jpg"))
                    .toList();
        }
    }
}
