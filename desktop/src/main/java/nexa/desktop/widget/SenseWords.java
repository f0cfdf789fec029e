package nexa.desktop.widget;

import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.core.print.Sense;
import nexa.core.print.SetSense;
import nexa.core.print.SizeTarget;
import nexa.core.print.Thinned;
import nexa.desktop.session.Session;
import nexa.shoot.handover.HandoverPlan.OnGrid;
import nexa.words.Words;

/** What pixels make on paper, in words. Lengths in centimetres. */
public final class SenseWords {
    private static final double MILLIMETRES_PER_CENTIMETRE = 10;

    private SenseWords() {}

    /** Such as {@code 30.5 × 20.3 cm}. */
    public static String largest(PixelSize pixels, double ppi) {
        return Words.of("sense.print", centimetres(pixels.width(), ppi), centimetres(pixels.height(), ppi));
    }

    private static String centimetres(int pixels, double ppi) {
        return centimetres(Sense.millimetres(pixels, ppi));
    }

    private static String centimetres(double millimetres) {
        return Words.number("%.1f", millimetres / MILLIMETRES_PER_CENTIMETRE);
    }

    /** What a format asks for. */
    public static String asked(SizeTarget target) {
        return switch (target) {
            case SizeTarget.None() -> Words.of("handover.natural");
            case SizeTarget.Print(double width, double height, double ppi) ->
                Words.of("sense.asked", centimetres(width), centimetres(height), ppi);
            case SizeTarget other -> other.text().replace(" x ", " × ");
        };
    }

    /** The resolution, and from where a print of it looks sharp. */
    public static String verdict(double ppi) {
        return Words.of(
                "sense.verdict",
                Math.round(ppi),
                Math.round(Sense.sharpFrom(ppi) / MILLIMETRES_PER_CENTIMETRE),
                Words.of("reach", Sense.reach(ppi)));
    }

    /** The same where there is little room. */
    public static String briefVerdict(double ppi) {
        return Words.of("sense.brief", Math.round(ppi), Math.round(Sense.sharpFrom(ppi) / MILLIMETRES_PER_CENTIMETRE));
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
