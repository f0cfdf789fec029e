package nexa.desktop.widget;

import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.core.print.Sense;
import nexa.core.print.SetSense;
import nexa.core.print.SizeTarget;
import nexa.core.print.Thinned;
import nexa.desktop.session.Session;
import nexa.shoot.handover.HandoverPlan.OnGrid;
import nexa.words.Lengths;
import nexa.words.SizeWords;
import nexa.words.Words;

/** What pixels make on paper, in words. */
public final class SenseWords {
    private SenseWords() {}

    /** Such as {@code 30.5 × 20.3 cm}. */
    public static String largest(PixelSize pixels, double ppi) {
        return Lengths.size(Sense.millimetres(pixels.width(), ppi), Sense.millimetres(pixels.height(), ppi));
    }

    /** What a format asks for. */
    public static String asked(SizeTarget target) {
        return target.equals(SizeTarget.NONE)
                ? Words.of("handover.natural")
                : SizeWords.of(target).replace(" x ", " × ");
    }

    /** The resolution, and from where a print of it looks sharp. */
    public static String verdict(double ppi) {
        return Words.of(
                "sense.verdict",
                Math.round(ppi),
                Lengths.about(Sense.sharpFrom(ppi)),
                Words.of("reach", Sense.reach(ppi)));
    }

    /** The same where there is little room. */
    public static String briefVerdict(double ppi) {
        return Words.of("sense.brief", Math.round(ppi), Lengths.about(Sense.sharpFrom(ppi)));
    }

    /** How well a format's photos do. */
    public static String verdict(SetSense sense) {
        if (sense.ppi().isPresent()) {
            return verdict(sense.ppi().getAsDouble());
        }
        return sense.lacking() == 0 ? Words.of("sense.enough", sense.photos()) : "";
    }

    /** How many files are cut with their pixels as they are. */
    public static String onGrid(OnGrid onGrid) {
        return Words.of("sense.grid", onGrid.files(), onGrid.of(), (long) Math.ceil(onGrid.farthest()));
    }

    /** What one should know before a run; empty if all is well. */
    public static String warning(SetSense sense) {
        String enlarged = sense.mostEnlarged() > 1
                ? Words.of("sense.enlarged", sense.lacking(), Math.round(sense.mostEnlarged() * 100))
                : "";
        String small = sense.tooSmall() > 0 ? Words.of("sense.small", sense.tooSmall(), sense.photos()) : "";
        return enlarged.isEmpty() || small.isEmpty() ? enlarged + small : enlarged + " · " + small;
    }

    /** Where the corrected photo is pulled apart most in its frame, and what is left of its pixels there; empty if hardly anything is lost. */
    public static Optional<String> lost(Session session) {
        return session.frame()
                .flatMap(frame -> session.space().flatMap(space -> Thinned.of(space, frame)))
                .map(thinned -> Words.of(
                        "desk.thinned", Words.of("thinned", thinned.where()), Math.round(100 * thinned.share())));
    }
}
