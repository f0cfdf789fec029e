package nexa.desktop.review;

import nexa.core.brief.Framing;
import nexa.core.trim.TrimFinding;
import nexa.desktop.review.Proposals.State;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.trim.AutoTrimmer;

/** What is found of photos' borders. */
public record TrimProposals(Shoot shoot) implements Proposals.Looking<TrimFinding> {
    @Override
    public TrimFinding find(Photo photo, Framing framing) throws UnreadablePhotoException {
        return AutoTrimmer.find(shoot, photo);
    }

    @Override
    public State state(Framing framing, TrimFinding found) {
        if (found.accepted()) {
            return State.PROPOSED;
        }
        return found.isProposed() ? State.DOUBTFUL : State.NOTHING;
    }

    @Override
    public Framing accepted(Framing before, TrimFinding found) {
        return AutoTrimmer.trimmed(before, found.trim());
    }

    @Override
    public String label() {
        return "edit.trim.found";
    }
}
