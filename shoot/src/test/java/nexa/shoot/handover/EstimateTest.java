package nexa.shoot.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.core.brief.Format;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.print.SetSense;
import nexa.core.print.SizeTarget;
import nexa.imaging.codec.PhotoCodecs;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.handover.request.HandoverRequest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is told of a run before it, against what it then does. */
class EstimateTest {
    @TempDir
    Path base;

    private HandoverPlan plan(Shoot shoot, Format... formats) {
        return HandoverPlan.of(shoot, new HandoverRequest(base.resolve("not there/yet"), List.of(formats)));
    }

    @Test
    void bytes_areNearWhatIsWritten() throws IOException {
        TestShoot test = new TestShoot(base);
        for (int i = 0; i < 6; i++) {
            test.photo("k" + i + ".jpg", 500 + 40 * i, 400);
        }
        try (Shoot shoot = test.open()) {
            HandoverPlan plan = plan(
                    shoot,
                    TestShoot.addFormat(shoot, "Print", "4:5"),
                    TestShoot.addFormat(shoot, "Square", "1:1").filed(FileSettings.parse("png")));
            Estimate estimate = Estimate.of(plan, PhotoCodecs.STANDARD, () -> false);
            long written = 0;
            for (Outcome outcome : new Handover(plan, told -> {}, new RunControl()).run(shoot)) {
                written += Files.size(outcome.delivery().output());
            }
            assertEquals(written, estimate.bytes(), 0.15 * written);
            assertFalse(estimate.isTight());
            assertEquals(Files.getFileStore(base).getUsableSpace(), estimate.free(), 1e9);
        }
    }

    @Test
    void formatWhoseProfileIsGone_countsNothing() throws IOException {
        TestShoot test = new TestShoot(base);
        test.photo("k.jpg", 500, 400);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Format lost = TestShoot.addFormat(shoot, "Lost", "1:1")
                    .filed(print.files().coloured(DeliveredColour.profile("/gone.icc")));
            Estimate estimate = Estimate.of(plan(shoot, print, lost), PhotoCodecs.STANDARD, () -> false);
            Estimate without = Estimate.of(plan(shoot, print), PhotoCodecs.STANDARD, () -> false);
            assertEquals(without.bytes(), estimate.bytes());
            assertTrue(estimate.bytes() > 0);
        }
    }

    @Test
    void senses_tellWhatLacksPixels_andEnlargingMakesItLarger() throws IOException {
        TestShoot test = new TestShoot(base);
        test.photo("small.jpg", 400, 300);
        test.photo("large.jpg", 1200, 900);
        try (Shoot shoot = test.open()) {
            Format web = TestShoot.addFormat(shoot, "Web", "4:3").sized(SizeTarget.parse("800 x 600 px"));
            SetSense sense = plan(shoot, web).senses().get(web.id());
            assertEquals(1, sense.tooSmall());
            assertEquals(400, sense.fewest().width());
            Format enlarged = web.filed(FileSettings.parse("jpeg 92; enlarged up to 150 %"));
            HandoverPlan plan = plan(shoot, enlarged);
            assertEquals(1.5, plan.senses().get(web.id()).mostEnlarged(), 1e-9);
            assertTrue(plan.deliveries().stream()
                    .anyMatch(delivery -> delivery.size().width() == 600));
        }
    }
}
