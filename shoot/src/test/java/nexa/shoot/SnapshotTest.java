package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.Pose;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is planned is one moment of the shoot, whatever is edited meanwhile. */
class SnapshotTest {
    private static final int PHOTOS = 6;
    private static final int EDITS = 200;

    @TempDir
    Path base;

    private static Edit all(Shoot shoot, Framing framing) {
        List<FramingChange> changes = new ArrayList<>();
        shoot.photos().forEach(photo -> changes.add(new FramingChange(photo.id(), shoot.framing(photo), framing)));
        return new Edit("edit.frame", changes, null);
    }

    private static Framing framing(Format format, double tilt, double size) {
        return Framing.UNTOUCHED
                .withPose(new Pose(Turn.NONE, new Tilt(tilt)))
                .withCrop(format, new Crop(new Frame(0.02 * tilt, 0, 0.8 * size, size)));
    }

    @Test
    void plan_madeWhileAllPhotosAreEdited_isOfOneMoment() throws Exception {
        TestShoot test = new TestShoot(base);
        for (int i = 0; i < PHOTOS; i++) {
            test.photo("k" + i + ".jpg", 300, 200);
        }
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Framing one = framing(print, 4, 0.4);
            Framing other = framing(print, -9, 0.2);
            shoot.apply(all(shoot, one));
            Thread editor = Thread.ofPlatform().start(() -> {
                for (int i = 0; i < EDITS; i++) {
                    shoot.apply(all(shoot, i % 2 == 0 ? other : one));
                }
            });
            do {
                assertOneMoment(HandoverPlan.of(shoot, new HandoverRequest(base.resolve("out"), List.of(print))));
            } while (editor.isAlive());
        }
    }

    private static void assertOneMoment(HandoverPlan plan) {
        assertEquals(PHOTOS, plan.deliveries().size());
        Framing first = plan.deliveries().getFirst().framing();
        for (Delivery delivery : plan.deliveries()) {
            assertEquals(first, delivery.framing(), "one edit, all photos or none");
            Frame frame = Derivation.frame(
                    delivery.photo().facts().orElseThrow().asShot(), delivery.framing(), delivery.format());
            assertEquals(frame, delivery.frame(), "the frame is the framing's own");
        }
    }

    @Test
    void snapshot_staysAsItWas() throws IOException {
        TestShoot test = new TestShoot(base);
        test.photo("a.jpg", 300, 200);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            Snapshot before = shoot.snapshot();
            shoot.apply(all(shoot, framing(print, 4, 0.4)));
            assertEquals(Framing.UNTOUCHED, before.framing(a));
            assertSame(shoot.framing(a), shoot.snapshot().framing(a));
            assertEquals(shoot.frame(a, print), shoot.snapshot().frame(a, print));
        }
    }
}
