package nexa.desktop.session;

import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.carry.By;
import nexa.core.carry.Carry;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.core.lineup.Placing;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;

/** Brings results to an exemplar: their marks to where its marks lie. */
final class Pulling {
    /** In fractions of the frame: less is as near as before. */
    private static final double NEARER = 1e-6;

    private final Session session;
    private final Format format;
    private final Carry carry;
    private final Optional<Placing> there;

    /** @param exemplar a readable photo with marks */
    Pulling(Session session, Photo exemplar, Format format) {
        this.session = session;
        this.format = format;
        this.carry = new Carry(
                exemplar.facts().orElseThrow().asShot(),
                session.shoot().framing(exemplar),
                format,
                session.brief(),
                Set.of(Part.SHAPE, Part.PLACE, Part.TILT),
                turned(session),
                By.MARKS);
        this.there = placing(exemplar, session.shoot().framing(exemplar));
    }

    /** Left alone is no choice for photos somebody chose. */
    private static Opposite turned(Session session) {
        Opposite chosen = session.settings().carryOppositeProperty().get();
        return chosen == Opposite.SKIP ? Opposite.TURN : chosen;
    }

    FramingChange of(Photo photo) {
        Framing before = session.shoot().framing(photo);
        return new FramingChange(
                photo.id(),
                before,
                carry.to(photo.facts().orElseThrow().asShot(), before).framing());
    }

    /** Whether a photo's result comes nearer by it; otherwise it is as near as the photo reaches. */
    boolean bringsNearer(Photo photo) {
        FramingChange change = of(photo);
        return away(photo, change.after()) < away(photo, change.before()) - NEARER;
    }

    private double away(Photo photo, Framing framing) {
        return placing(photo, framing)
                .flatMap(placed -> there.map(placed::from))
                .map(deviation -> deviation.amount()
                        + Math.toRadians(Math.abs(deviation.lean().orElse(0))))
                .orElse(0.0);
    }

    private Optional<Placing> placing(Photo photo, Framing framing) {
        return Placing.of(photo.facts().orElseThrow().asShot(), framing, format, session.brief());
    }
}
