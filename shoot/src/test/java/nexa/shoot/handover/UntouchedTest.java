package nexa.shoot.handover;

import static org.bytedeco.opencv.global.opencv_core.NORM_INF;
import static org.bytedeco.opencv.global.opencv_core.norm;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.print.SizeTarget;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.TestPhotos;
import nexa.imaging.blocks.BlockCut.Part;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.handover.HandoverPlan.OnGrid;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files cut from a photo's JPEG without touching a pixel. */
class UntouchedTest {
    private static final FileSettings UNTOUCHED = FileSettings.parse("jpeg 92; untouched pixels");

    @TempDir
    Path base;

    private TestShoot test;

    @BeforeEach
    void photos() throws IOException {
        test = new TestShoot(base);
        for (int orientation = 1; orientation <= 8; orientation++) {
            TestPhotos.jpeg(test.folder().resolve("o" + orientation + ".jpg"), 611, 407, orientation);
        }
    }

    private static Source source(Path file) throws IOException {
        PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
        return PhotoCodecs.STANDARD.open(file, facts);
    }

    private HandoverPlan plan(Shoot shoot, Format format) {
        return HandoverPlan.of(shoot, new HandoverRequest(base.resolve("out"), List.of(format)));
    }

    @Test
    void everyOrientation_hasThePixelsOfThePhotoItself() throws IOException {
        try (Shoot shoot = test.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5").filed(UNTOUCHED);
            for (Photo photo : shoot.photos()) {
                TestShoot.place(shoot, photo, format, new Frame(0.031, -0.027, 0.5, 0.4));
            }
            HandoverPlan plan = plan(shoot, format);
            OnGrid onGrid = plan.onGrid().get(format.id());
            assertEquals(8, onGrid.files());
            assertTrue(onGrid.farthest() <= Math.hypot(4, 4), onGrid::toString);
            for (Outcome outcome : new Handover(plan, told -> {}, new RunControl()).run(shoot)) {
                assertTrue(outcome instanceof Outcome.Written, outcome::toString);
                assertSamePixels(outcome.delivery());
            }
        }
    }

    private static void assertSamePixels(Delivery delivery) throws IOException {
        Part part = delivery.untouched().map(Untouched::part).orElseThrow();
        PhotoFacts facts = delivery.photo().facts().orElseThrow();
        Mapping toStored = new PhotoSpace(facts.asShot(), Pose.AS_SHOT)
                .outputToStored(facts.decodedToAsShot(), delivery.frame(), delivery.size());
        Point middle = toStored.apply(
                new Point(delivery.size().width() / 2.0, delivery.size().height() / 2.0));
        assertEquals(part.left() + part.width() / 2.0, middle.x(), 0.5, "the frame is where the part is");
        assertEquals(part.top() + part.height() / 2.0, middle.y(), 0.5, "the frame is where the part is");
        try (Source photo = source(delivery.source());
                Source delivered = source(delivery.output());
                Picture got = delivered.picture().shared();
                Rect rect = new Rect(part.left(), part.top(), part.width(), part.height());
                Mat same = new Mat(photo.picture().mat(), rect)) {
            assertEquals(
                    0,
                    norm(got.mat(), same, NORM_INF, new Mat()),
                    delivery.photo().file());
            assertTrue(delivered.metadata().exif() != null);
        }
    }

    @Test
    void whereAPixelMustChange_theFileIsRendered() throws IOException {
        try (Shoot shoot = test.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5").filed(UNTOUCHED);
            Photo tilted = TestShoot.photo(shoot, "o1.jpg");
            var before = shoot.framing(tilted);
            shoot.apply(
                    Edit.framing("edit.tilt", tilted.id(), before, before.withPose(new Pose(Turn.NONE, new Tilt(1)))));
            assertEquals(7, plan(shoot, format).onGrid().get(format.id()).files());
            assertEquals(0, files(shoot, format.sized(SizeTarget.parse("long edge 200"))));
            assertEquals(0, files(shoot, format.filed(FileSettings.parse("jpeg 92 srgb; untouched pixels"))));
            assertEquals(
                    0, files(shoot, format.filed(FileSettings.parse("jpeg 92; untouched pixels; sharpened for matt"))));
            assertEquals(0, files(shoot, format.filed(FileSettings.parse("png; untouched pixels"))));
            List<Outcome> outcomes = new Handover(plan(shoot, format), told -> {}, new RunControl()).run(shoot);
            assertTrue(outcomes.stream().allMatch(Outcome.Written.class::isInstance), outcomes::toString);
        }
    }

    private long files(Shoot shoot, Format format) {
        return plan(shoot, format).onGrid().get(format.id()).files();
    }
}
