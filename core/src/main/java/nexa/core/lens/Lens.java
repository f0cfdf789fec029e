package nexa.core.lens;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.pixel.CornerLight;
import nexa.core.pixel.LightStep;

/**
 * What is done about a photo's lens. It holds what was measured of it, as that came to on this photo, so that the photo
 * stays as it was looked at whatever becomes of the lens data.
 *
 * @param name of the lens; empty unless it was found or chosen
 * @param terms what the lens does to the photo; none unless it was found or chosen
 */
public record Lens(LensUse use, String name, LensTerms terms, LensAmounts amounts, ByHand hand) {
    public static final Lens OFF = new Lens(LensUse.OFF, "", LensTerms.NONE, LensAmounts.MEASURED, ByHand.NONE);

    public static Lens byHand(ByHand hand) {
        return new Lens(LensUse.BY_HAND, "", LensTerms.NONE, LensAmounts.MEASURED, hand);
    }

    /** By the measures of a lens that was found or chosen; amounts and what was done by hand stay. */
    public Lens measured(LensUse how, String lens, LensTerms measures) {
        return new Lens(how, lens, measures, amounts, hand);
    }

    /** By eye; the amounts stay for when it is measured again. */
    public Lens handled(ByHand by) {
        return byHand(by).withAmounts(amounts);
    }

    /** Not corrected; the amounts stay for when it is again. */
    public Lens off() {
        return new Lens(LensUse.OFF, "", LensTerms.NONE, amounts, hand);
    }

    public Lens withAmounts(LensAmounts other) {
        return new Lens(use, name, terms, other, hand);
    }

    public Lens withHand(ByHand other) {
        return new Lens(use, name, terms, amounts, other);
    }

    public boolean isMeasured() {
        return use == LensUse.FOUND || use == LensUse.CHOSEN;
    }

    /** From the corrected photo to the photo as shot, both in the isotropic unit. */
    public Mapping distortion() {
        return switch (use) {
            case OFF -> Affine.IDENTITY;
            case FOUND, CHOSEN -> measured(terms.distortion().times(amounts.distortion()));
            case BY_HAND -> bent(hand.distortion(), Point.ORIGIN, ByHand.UNIT);
        };
    }

    /**
     * How far the corrected photo reaches from its middle, in the isotropic unit, or a little less far: a photo's corner is
     * half a long edge to the side and, for most, a unit of the measures up.
     */
    public double reach() {
        double unit = use == LensUse.BY_HAND ? ByHand.UNIT : isMeasured() ? terms.unit() : 1;
        double corner = Math.min(Math.hypot(0.5, unit), Math.sqrt(0.5));
        return distortion().inverse().apply(new Point(corner, 0)).x();
    }

    /** From where something green is in the photo as shot to where the same in red is. */
    public Mapping red() {
        return isMeasured() ? measured(terms.red().times(amounts.fringes())) : Affine.IDENTITY;
    }

    /** The same of blue. */
    public Mapping blue() {
        return isMeasured() ? measured(terms.blue().times(amounts.fringes())) : Affine.IDENTITY;
    }

    private Mapping measured(Bend bend) {
        return bent(bend, terms.centre(), terms.unit());
    }

    private static Mapping bent(Bend bend, Point centre, double unit) {
        return bend.isNone() ? Affine.IDENTITY : bend.mapping(centre, unit);
    }

    public List<LightStep> light() {
        return switch (use) {
            case OFF -> List.of();
            case FOUND, CHOSEN ->
                measuredLight().stream().<LightStep>map(light -> light).toList();
            case BY_HAND -> hand.light();
        };
    }

    private Optional<CornerLight> measuredLight() {
        return terms.light().filter(light -> amounts.corners() > 0).map(light -> light.times(amounts.corners()));
    }

    /** As {@link #parse} reads it; empty if nothing was ever done about the lens. */
    public String text() {
        return equals(OFF) ? "" : LensText.of(this);
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Lens parse(String text) {
        return text.isBlank() ? OFF : LensText.parse(text);
    }
}
