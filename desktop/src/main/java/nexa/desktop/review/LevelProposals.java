package nexa.desktop.review;

import nexa.core.brief.Framing;
import nexa.core.level.Finding;
import nexa.desktop.review.Proposals.State;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.level.AutoLeveller;
import nexa.shoot.photo.Photo;

/** What the automatic level proposes. */
public record LevelProposals(Shoot shoot) implements Proposals.Looking<Finding> {
    /** A twentieth of a degree moves the end of a horizon by a pixel or two. */
    private static final double NO_CHANGE = 0.05;

    @Override
    public Finding find(Photo photo, Framing framing) throws UnreadablePhotoException {
        return AutoLeveller.find(shoot, photo, framing);
    }

    @Override
    public State state(Framing framing, Finding found) {
        double change = found.tilt().degrees() - framing.pose().tilt().degrees();
        if (!found.accepted() && !found.offered()) {
            return State.REFUSED;
        }
        if (Math.abs(change) < NO_CHANGE) {
            return State.NOTHING;
        }
        return found.accepted() ? State.PROPOSED : State.DOUBTFUL;
    }

    @Override
    public Framing accepted(Framing before, Finding found) {
        return before.withPose(before.pose().withTilt(found.tilt())).levelledAt(found.tilt());
    }

    @Override
    public String label() {
        return "edit.level.auto";
    }
}
