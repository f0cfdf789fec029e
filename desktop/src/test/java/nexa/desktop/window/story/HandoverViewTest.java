package nexa.desktop.window.story;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.files.DeliveredColour;
import nexa.core.files.Description.Keep;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Finish.Sharpening;
import nexa.core.print.SizeTarget;
import nexa.desktop.session.MainView;
import nexa.desktop.window.WindowTest;
import nexa.shoot.edit.Edit;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** The plan, a format's files and the run, as somebody uses them. */
class HandoverViewTest extends WindowTest {
    private static String text(FxRobot robot, String id) {
        return robot.lookup(id).<Labeled>query().getText();
    }

    private Format format() {
        return session().brief().formats().getFirst();
    }

    private void plan(FxRobot robot) throws Exception {
        addFormat(robot, "4:5");
        press(robot, KeyCode.V);
        until(() -> text(robot, "#handover-plan").startsWith("3 files"));
    }

    /** Scrolls nothing: what is clicked is where it shows. */
    private void files(FxRobot robot) throws Exception {
        click(robot, "#files-" + format().id());
        until(() -> robot.lookup("#files-finished").<ImageView>query().getImage() != null);
    }

    private void choose(FxRobot robot, FileType type) {
        robot.interact(
                () -> robot.lookup("#files-type").<ChoiceBox<FileType>>query().setValue(type));
    }

    @Test
    void plan_tellsFilesBytesAndRoom(FxRobot robot) throws Exception {
        plan(robot);
        until(() -> text(robot, "#handover-room").contains("are free"));
        assertTrue(text(robot, "#handover-room").matches("about .* [kMG]B; .* are free"));
    }

    private List<Button> proofs(FxRobot robot) {
        return robot.lookup("#handover-proofs .proof").queryAllAs(Button.class).stream()
                .toList();
    }

    @Test
    void proofs_showWhatIsMeant_andLeadToIt(FxRobot robot) throws Exception {
        plan(robot);
        until(() -> proofs(robot).size() == 3);
        assertTrue(proofs(robot).getFirst().getAccessibleText().startsWith("kiln_0201 in "));
        until(() -> proofs(robot).stream().allMatch(proof -> shades(proof) > 20)); // not a grey box
        onFx(() -> session()
                .selection()
                .property()
                .set(Set.of(session().shoot().photos().get(1))));
        click(robot, "#meant-SELECTED");
        until(() -> proofs(robot).size() == 1);
        Button proof = proofs(robot).getFirst();
        untilAtRest(proof);
        click(robot, proof);
        until(() -> session().viewProperty().get() == MainView.BENCH);
        assertEquals("kiln_0206.jpg", session().photo().orElseThrow().file());
    }

    /** How many different colours a node shows. */
    private static long shades(Button node) {
        Image shown = node.snapshot(null, null);
        return IntStream.range(0, (int) shown.getWidth())
                .mapToObj(x -> shown.getPixelReader().getColor(x, (int) shown.getHeight() / 2))
                .distinct()
                .count();
    }

    @Test
    void filesOfAFormat_areKept(FxRobot robot) throws Exception {
        plan(robot);
        files(robot);
        click(robot, "#files-target").push(KeyCode.SHORTCUT, KeyCode.A).write("8 x 10 in at 300 ppi");
        choose(robot, FileType.TIFF);
        assertFalse(robot.lookup("#files-limits").query().getParent().isVisible());
        click(robot, "#sharpening-MATT");
        click(robot, "#keep-CREDIT");
        click(robot, "#files-no-place");
        type(robot, "#files-copyright", "Fennick Kiln");
        click(robot, "#files-keep");
        FileSettings kept = format().files();
        assertEquals(FileType.TIFF, kept.type());
        assertEquals(Sharpening.MATT, kept.finish().sharpening());
        assertEquals(Keep.CREDIT, kept.description().keep());
        assertTrue(kept.description().dropsPlace());
        assertEquals("Fennick Kiln", kept.description().copyright());
        assertEquals(SizeTarget.parse("8 x 10 in at 300 ppi"), format().target());
        until(() -> robot.lookup("#handover-formats .warned").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().equals("3 of 3 smaller than asked")));
        click(robot, "#undo");
        assertEquals(FileSettings.DEFAULT, format().files());
    }

    /** A profile that was moved away since is told of before the run, not of each file after it. */
    @Test
    void formatWhoseProfileIsGone_isSaidSoBeforehand(FxRobot robot) throws Exception {
        plan(robot);
        Path gone = base.resolve("gone.icc").toAbsolutePath();
        Format lost = format().filed(format().files().coloured(DeliveredColour.profile(gone.toString())));
        Brief brief = session().brief();
        onFx(() -> session().shoot().apply(Edit.brief("edit.brief", brief, brief.changed(lost))));
        until(() -> robot.lookup("#handover-formats .warned").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().equals("There is no profile file " + gone)));
    }

    @Test
    void sharpening_showsInTheExample(FxRobot robot) throws Exception {
        plan(robot);
        files(robot);
        Image before = robot.lookup("#files-finished").<ImageView>query().getImage();
        assertEquals(contrast(robot.lookup("#files-plain").<ImageView>query().getImage()), contrast(before), 1e-9);
        click(robot, "#sharpening-MATT");
        until(() -> robot.lookup("#files-finished").<ImageView>query().getImage() != before);
        double plain = contrast(robot.lookup("#files-plain").<ImageView>query().getImage());
        double sharp =
                contrast(robot.lookup("#files-finished").<ImageView>query().getImage());
        assertTrue(sharp > 1.3 * plain, sharp + " sharpened, " + plain + " before");
    }

    /** Mean step from a pixel to the next. */
    private static double contrast(Image image) {
        double sum = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 1; x < image.getWidth(); x++) {
                sum += Math.abs(image.getPixelReader().getColor(x, y).getBrightness()
                        - image.getPixelReader().getColor(x - 1, y).getBrightness());
            }
        }
        return sum / (image.getWidth() * image.getHeight());
    }

    @Test
    void nonsense_isRefusedAndStaysAsTyped(FxRobot robot) throws Exception {
        plan(robot);
        files(robot);
        type(robot, "#files-target", "as large as you can"); // with Enter, which keeps
        assertTrue(text(robot, "#files-message").contains("as large as you can"));
        assertEquals(SizeTarget.NONE, format().target());
    }

    @Test
    void aFormatLeftOut_isNotDelivered(FxRobot robot) throws Exception {
        plan(robot);
        CheckBox box = robot.lookup("#deliver-" + format().id()).query();
        click(robot, box);
        until(() -> robot.lookup("#handover-start").<Button>query().isDisabled());
        click(robot, "#deliver-" + format().id());
        until(() -> !robot.lookup("#handover-start").<Button>query().isDisabled());
    }

    @Test
    void onlyWhatIsMeant_isDelivered_andUncheckedOnesAreTold(FxRobot robot) throws Exception {
        Path out = folder.resolveSibling("out");
        plan(robot);
        type(robot, "#handover-folder", out.toString());
        onFx(() -> {
            session().choose(session().shoot().photos().getFirst());
            session().frameEdits().place("edit.frame", frame().scaled(0.8));
            session().frameEdits().checkAll();
            session()
                    .selection()
                    .property()
                    .set(Set.copyOf(session().shoot().photos().subList(1, 3)));
        });
        until(() -> text(robot, "#meant-CHECKED").equals("checked 1")
                && text(robot, "#meant-SELECTED").equals("chosen 2"));
        until(() -> robot.lookup("2 crops are not checked yet.").tryQuery().isPresent());
        click(robot, "#meant-SELECTED");
        until(() -> text(robot, "#handover-plan").startsWith("2 files: 2 photos"));
        click(robot, "#meant-CHECKED");
        until(() -> text(robot, "#handover-plan").startsWith("1 file: 1 photo"));
        click(robot, "#handover-start");
        until(() -> text(robot, "#handover-status").startsWith("1 file is in"));
        ListView<?> results = robot.lookup("#handover-results").query();
        assertEquals(1, results.getItems().size());
        until(() -> robot.lookup("#handover-results .image-view").<ImageView>queryAll().stream()
                .anyMatch(view -> view.getImage() != null && view.getImage().getProgress() == 1));
        ListCell<?> row = robot.lookup("#handover-results .list-cell")
                .match((ListCell<?> cell) -> cell.isVisible() && !cell.isEmpty()) // lists keep others at hand
                .query();
        doubleClick(robot, row, () -> session().viewProperty().get() == MainView.BENCH);
        assertEquals("kiln_0201.jpg", session().photo().orElseThrow().file());
    }

    @Test
    void failedFiles_areListedAndTriedAgain(FxRobot robot) throws Exception {
        Path out = folder.resolveSibling("out");
        Files.createDirectories(out);
        plan(robot);
        type(robot, "#handover-folder", out.toString());
        type(robot, "#handover-names", "{format}/{photo}");
        Path inTheWay = Files.write(out.resolve("4-5"), new byte[] {1});
        until(() -> text(robot, "#handover-plan").startsWith("3 files"));
        click(robot, "#handover-start");
        until(() -> text(robot, "#handover-status").contains("3 failed"));
        ListView<?> results = robot.lookup("#handover-results").query();
        assertEquals(3, results.getItems().size());
        Files.delete(inTheWay);
        until(() -> robot.lookup("#handover-resume").query().isVisible());
        assertEquals("Try what failed again", text(robot, "#handover-resume"));
        click(robot, "#handover-resume");
        until(() -> text(robot, "#handover-status").startsWith("3 files are in"));
        try (Stream<Path> files = Files.list(out.resolve("4-5"))) {
            assertEquals(3, files.count());
        }
    }

    @Test
    void paused_writesNothingFurtherUntilItGoesOn(FxRobot robot) throws Exception {
        Path out = folder.resolveSibling("out");
        plan(robot);
        type(robot, "#handover-folder", out.toString());
        WaitForAsyncUtils.waitForFxEvents();
        robot.interact(() -> {
            robot.lookup("#handover-start").<Button>query().fire();
            robot.lookup("#handover-pause").<Button>query().fire();
        });
        until(() -> text(robot, "#handover-status").endsWith("paused"));
        assertEquals("Go on", text(robot, "#handover-pause"));
        assertTrue(delivered(out) < 3, "not all are written");
        click(robot, "#handover-pause");
        until(() -> text(robot, "#handover-status").startsWith("3 files are in"));
        assertEquals(3, delivered(out));
        JsonNode list = new ObjectMapper().readTree(out.resolve("handover.json").toFile());
        assertEquals(3, list.path("files").size());
        assertEquals(list.path("files").get(0).path("bytes").asLong(), Files.size(out.resolve("kiln_0201_4-5.jpg")));
    }

    private static long delivered(Path out) throws IOException {
        if (!Files.isDirectory(out)) {
            return 0;
        }
        try (Stream<Path> files = Files.list(out)) {
            return files.filter(file -> file.toString().endsWith(".jpg")).count();
        }
    }

    @Test
    void contactSheet_isWritten(FxRobot robot) throws Exception {
        Path file = folder.resolveSibling("sheet.pdf");
        plan(robot);
        click(robot, "#handover-paper");
        click(robot, "#sheets-BY_PHOTO");
        robot.interact(() -> robot.lookup("#paper-file").<TextField>query().setText(file.toString()));
        click(robot, "#paper-write");
        until(() -> text(robot, "#paper-message").startsWith("3 pictures on 1 page are"));
        assertTrue(Files.size(file) > 10_000);
        click(robot, "#sheets-PRINTS");
        robot.interact(() -> robot.lookup("#paper-file").<TextField>query().setText(file.toString()));
        click(robot, "#paper-write");
        until(() -> text(robot, "#paper-message").endsWith("is there already."));
        click(robot, "#paper-replace");
        until(() -> text(robot, "#paper-message").startsWith("There was nothing to put on a page."));
        assertTrue(text(robot, "#paper-message").contains("4:5: it asks for no print size"));
    }

    @Test
    void sidecars_areWrittenKeptInStepAndReadAsOneStep(FxRobot robot) throws Exception {
        plan(robot);
        press(robot, KeyCode.W);
        robot.interact(() -> session().poseEdits().tiltBy(2));
        Path sidecar = folder.resolve("kiln_0201.jpg.xmp");
        press(robot, KeyCode.V);
        click(robot, "#handover-exchange");
        click(robot, "#exchange-write");
        until(() -> text(robot, "#exchange-message").startsWith("1 sidecar was written"));
        String first = Files.readString(sidecar);
        click(robot, "#exchange-in-step");
        robot.interact(() -> session().poseEdits().tiltBy(-5));
        until(() -> !Files.readString(sidecar).equals(first));
        click(robot, "#exchange-in-step");
        Files.writeString(sidecar, first);
        click(robot, "#exchange-read");
        until(() -> text(robot, "#exchange-message").startsWith("Crops of 1 photo were read"));
        assertEquals(2, session().framing().pose().tilt().degrees(), 1e-9);
        click(robot, "#undo");
        assertEquals(-3, session().framing().pose().tilt().degrees(), 1e-9);
    }

    @Test
    void escape_leavesAField_beforeItLeavesTheHandover(FxRobot robot) throws Exception {
        plan(robot);
        click(robot, "#handover-names").push(KeyCode.ESCAPE);
        assertEquals(MainView.HANDOVER, session().viewProperty().get());
        assertFalse(robot.lookup("#handover-names").query().isFocused());
        press(robot, KeyCode.ESCAPE);
        assertEquals(MainView.WALL, session().viewProperty().get());
    }

    @Test
    void keptHandover_isTakenFromTheShelf_withItsFormats(FxRobot robot) throws Exception {
        plan(robot);
        Path out = folder.resolveSibling("kept");
        click(robot, "#handover-folder").push(KeyCode.SHORTCUT, KeyCode.A).write(out.toString());
        click(robot, "#handover-kept");
        click(robot, "#kept-name").write("Client").push(KeyCode.ENTER);
        until(() -> robot.lookup("#kept-use-Client").tryQuery().isPresent());
        robot.push(KeyCode.ESCAPE);
        onFx(() -> session().briefEdits().remove(format()));
        click(robot, "#handover-folder").push(KeyCode.SHORTCUT, KeyCode.A).write(folder + "/other");
        click(robot, "#handover-kept");
        click(robot, "#kept-use-Client");
        until(() -> text(robot, "#handover-plan").startsWith("3 files"));
        assertEquals("4:5", format().name());
        assertEquals(
                out.toString(),
                robot.lookup("#handover-folder").queryAs(TextField.class).getText());
    }
}
