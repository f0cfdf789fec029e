package nexa.bench.delivery;

import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;

/** What the benchmarks hand over: all photos of a shoot in 4:5, as JPEGs. */
final class Deliveries {
    static final int QUALITY = 92;

    /** The second is so small that photos are decoded smaller for it. */
    static final List<Integer> LONG_EDGES = List.of(2048, 1500);

    private Deliveries() {}

    /** Holds all photos somehow. */
    static void hold(Shoot shoot, UnaryOperator<Pose> how) {
        for (Photo photo : shoot.photos()) {
            Framing before = shoot.framing(photo);
            shoot.apply(Edit.framing("edit.tilt", photo.id(), before, before.withPose(how.apply(before.pose()))));
        }
    }

    static HandoverPlan plan(Shoot shoot, Path out, int longEdge) {
        if (shoot.brief().formats().isEmpty()) {
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), shoot.brief().with("Print", Shape.parse("4:5"))));
        }
        List<Format> formats = shoot.brief().formats().stream()
                .map(format ->
                        format.sized(new SizeTarget.LongEdge(longEdge)).filed(new FileSettings(FileType.JPEG, QUALITY)))
                .toList();
        return HandoverPlan.of(shoot, new HandoverRequest(out, formats));
    }
}
