package nexa.shoot.review;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.Kernel;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.print.SizeTarget;
import nexa.core.review.Warning;
import nexa.core.trim.Trim;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoFilter.Repair;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ReviewTest {
    private static final Path DEMO = Path.of("..", "demo", "fennick-kiln");

    @TempDir
    Path base;

    private static List<String> let(Shoot shoot, PhotoFilter filter, Format format) {
        return shoot.photos().stream()
                .filter(photo -> filter.lets(shoot, photo, Optional.of(format)))
                .map(Photo::file)
                .toList();
    }

    private static Framing trimmed(Framing framing) {
        return framing.withPose(framing.pose().withTrim(new Trim(-0.4, -0.2, 0.4, 0.2, Tilt.NONE, 0)));
    }

    private static Framing outside(Framing framing, Format format) {
        return framing.withCrop(format, new Crop(TestShoot.WISH.movedBy(new Point(0.5, 0))).withOutside(true));
    }

    @Test
    void filters_letThroughWhatTheySay() throws IOException {
        TestShoot test = new TestShoot(base);
        test.photo("a.jpg", 300, 200);
        test.photo("b.jpg", 200, 300);
        test.photo("c.jpg", 300, 200);
        Files.writeString(test.folder().resolve("broken.jpg"), "no photo");
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            Photo c = TestShoot.photo(shoot, "c.jpg");
            TestShoot.place(shoot, a, print, TestShoot.WISH);
            shoot.apply(Edit.framing(
                    "edit.aside", c.id(), shoot.framing(c), shoot.framing(c).withSetAside(true)));
            PhotoFilter all = PhotoFilter.ALL;
            assertEquals(4, let(shoot, all, print).size());
            assertEquals(List.of("b.jpg"), let(shoot, all.lying(Set.of(Orientation.VERTICAL)), print));
            assertEquals(List.of("a.jpg"), let(shoot, all.in(Set.of(FrameState.PLACED)), print));
            assertEquals(List.of("b.jpg", "c.jpg"), let(shoot, all.in(Set.of(FrameState.DERIVED)), print));
            assertEquals(List.of("c.jpg"), let(shoot, all.aside(PhotoFilter.Aside.ONLY), print));
            assertEquals(
                    List.of("a.jpg", "b.jpg", "broken.jpg"), let(shoot, all.aside(PhotoFilter.Aside.HIDDEN), print));
            assertEquals(List.of("broken.jpg"), let(shoot, all.named(" BROK "), print));
            shoot.apply(Edit.framing("edit.trim", c.id(), shoot.framing(c), trimmed(shoot.framing(c))));
            shoot.apply(Edit.framing("edit.frame", a.id(), shoot.framing(a), outside(shoot.framing(a), print)));
            assertEquals(List.of("c.jpg"), let(shoot, all.repaired(Set.of(Repair.TRIMMED)), print));
            assertEquals(List.of("a.jpg"), let(shoot, all.repaired(Set.of(Repair.BLANK)), print));
            assertEquals(
                    List.of("a.jpg", "c.jpg"), let(shoot, all.repaired(Set.of(Repair.BLANK, Repair.TRIMMED)), print));
            shoot.undo();
            assertEquals(List.of(), let(shoot, all.warned(true), print));
            shoot.apply(Edit.framing(
                    "edit.level", a.id(), shoot.framing(a), shoot.framing(a).levelledAt(new Tilt(3))));
            assertEquals(List.of("a.jpg"), let(shoot, all.warned(true), print), "its level is known and not taken");
            assertEquals(
                    "a.jpg",
                    PhotoOrder.WARNINGS
                            .sort(shoot, shoot.photos(), Optional.of(print))
                            .getFirst()
                            .file());
            assertEquals(
                    "a.jpg",
                    PhotoOrder.STATE
                            .sort(shoot, shoot.photos(), Optional.of(print))
                            .getLast()
                            .file());
        }
    }

    @Test
    void warnings_followTheFormatsSizeAndTheFrame() throws IOException {
        TestShoot test = new TestShoot(base);
        test.photo("a.jpg", 300, 200);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            assertEquals(Set.of(), shoot.warnings(a, print));
            Format large = print.sized(SizeTarget.parse("long edge 2000"));
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), shoot.brief().changed(large)));
            assertEquals(Set.of(Warning.FEW_PIXELS), shoot.warnings(a, large));
        }
    }

    @Test
    void repeats_areThoseOfTheDemoShoot() throws IOException {
        TestShoot test = new TestShoot(base);
        for (int number = 201; number <= 236; number++) {
            String name = "kiln_0" + number + ".jpg";
            Files.copy(DEMO.resolve(name), test.folder().resolve(name));
        }
        try (Shoot shoot = test.open()) {
            assertEquals(
                    List.of(List.of("kiln_0211.jpg", "kiln_0212.jpg", "kiln_0213.jpg")),
                    Repeats.find(shoot).stream()
                            .map(group ->
                                    group.photos().stream().map(Photo::file).toList())
                            .toList());
        }
    }

    @Test
    void ofRepeats_theClearlySharpestIsNamed_andOfEqualOnesNone() throws IOException {
        TestShoot test = new TestShoot(base);
        BufferedImage sharp = ImageIO.read(DEMO.resolve("kiln_0206.jpg").toFile());
        ImageIO.write(sharp, "png", test.folder().resolve("b_sharp.png").toFile());
        ImageIO.write(blurred(sharp), "png", test.folder().resolve("a_soft.png").toFile());
        try (Shoot shoot = test.open()) {
            RepeatGroup group = Repeats.find(shoot).getFirst();
            assertEquals(2, group.photos().size());
            assertEquals(
                    List.of("b_sharp.png"),
                    group.left().stream().map(Photo::file).toList());
            assertEquals(Set.of(RepeatGroup.Reason.SHARPEST), group.reasons());
        }
        ImageIO.write(sharp, "jpg", test.folder().resolve("c_sharp.jpg").toFile());
        try (Shoot shoot = test.open()) {
            RepeatGroup group = Repeats.find(shoot).getFirst();
            assertEquals(3, group.photos().size());
            assertEquals(2, group.left().size(), "two are as sharp");
        }
    }

    private static BufferedImage blurred(BufferedImage image) {
        float[] box = new float[81];
        Arrays.fill(box, 1 / 81f);
        return new ConvolveOp(new Kernel(9, 9, box), ConvolveOp.EDGE_NO_OP, null).filter(image, null);
    }
}
