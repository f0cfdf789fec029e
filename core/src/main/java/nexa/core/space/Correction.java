package nexa.core.space;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Mapping;
import nexa.core.lens.Lens;
import nexa.core.neutral.Neutral;
import nexa.core.pixel.FinishStep;
import nexa.core.pixel.LightStep;
import nexa.core.pixel.PixelSteps;
import nexa.core.plumb.Plumb;
import nexa.core.trim.Bands;
import org.jspecify.annotations.Nullable;

/**
 * What is corrected of a photo before it is turned and tilted: bands inside it that are
 * closed up, its lens, then its plumb, which move places; the glow of its
 * eyes and the colour of its light, which don't. What the former come to is worked out once. Immutable.
 */
public final class Correction {
    private static final String LENS = "lens";
    private static final String PLUMB = "plumb";
    private static final String NEUTRAL = "neutral";
    private static final String EYES = "eyes";
    private static final String BANDS = "bands";

    /** The names of its parts' texts. */
    public static final List<String> NAMES = List.of(LENS, PLUMB, NEUTRAL, EYES, BANDS);

    public static final Correction NONE = new Correction(Lens.OFF, Plumb.NONE);

    private final Lens lens;
    private final Plumb plumb;
    private final Neutral neutral;
    private final GlowingEyes eyes;
    private final Bands bands;
    private final Mapping plumbed;
    private final Mapping mapping;
    private final LensOutline outline;

    public Correction(Lens lens, Plumb plumb) {
        this(lens, plumb, Neutral.AS_FILED, GlowingEyes.NONE, Bands.NONE);
    }

    private Correction(Lens lens, Plumb plumb, Neutral neutral, GlowingEyes eyes, Bands bands) {
        this(lens, plumb, neutral, eyes, bands, new LensOutline(lensed(bands, lens)));
    }

    private static Mapping lensed(Bands bands, Lens lens) {
        Mapping undistorted = lens.distortion().inverse();
        return bands.isNone() ? undistorted : bands.mapping().then(undistorted);
    }

    private Correction(Lens lens, Plumb plumb, Neutral neutral, GlowingEyes eyes, Bands bands, LensOutline outline) {
        this.lens = lens;
        this.plumb = plumb;
        this.neutral = neutral;
        this.eyes = eyes;
        this.bands = bands;
        this.outline = outline;
        this.plumbed = plumb.mapping(lens.reach());
        this.mapping = outline.lensed().then(plumbed);
    }

    /**
     * From what the parts' own texts said, each by its name in {@link #texts}; null says nothing.
     *
     * @throws IllegalArgumentException if one is not such a text
     */
    public static Correction parse(UnaryOperator<@Nullable String> texts) {
        Correction parsed = new Correction(
                part(texts, LENS, Lens::parse, Lens.OFF),
                part(texts, PLUMB, Plumb::parse, Plumb.NONE),
                part(texts, NEUTRAL, Neutral::parse, Neutral.AS_FILED),
                part(texts, EYES, GlowingEyes::parse, GlowingEyes.NONE),
                part(texts, BANDS, Bands::parse, Bands.NONE));
        return parsed.equals(NONE) ? NONE : parsed;
    }

    private static <T> T part(
            UnaryOperator<@Nullable String> texts, String name, Function<String, T> parse, T missing) {
        String text = texts.apply(name);
        return text == null ? missing : parse.apply(text);
    }

    /** What {@link #parse} reads, by names and in order; empty texts for what nothing is done about. */
    public Map<String, String> texts() {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put(LENS, lens.text());
        texts.put(PLUMB, plumb.text());
        texts.put(NEUTRAL, neutral.text());
        texts.put(EYES, eyes.text());
        texts.put(BANDS, bands.text());
        return texts;
    }

    public Correction withLens(Lens other) {
        return new Correction(other, plumb, neutral, eyes, bands);
    }

    public Correction withPlumb(Plumb other) {
        return new Correction(lens, other, neutral, eyes, bands, outline);
    }

    public Correction withNeutral(Neutral other) {
        return new Correction(lens, plumb, other, eyes, bands, outline);
    }

    public Correction withEyes(GlowingEyes other) {
        return new Correction(lens, plumb, neutral, other, bands, outline);
    }

    public Correction withBands(Bands other) {
        return new Correction(lens, plumb, neutral, eyes, other);
    }

    public Lens lens() {
        return lens;
    }

    public Plumb plumb() {
        return plumb;
    }

    public Neutral neutral() {
        return neutral;
    }

    public GlowingEyes eyes() {
        return eyes;
    }

    /** What is left out of the photo. */
    public Bands bands() {
        return bands;
    }

    /** From as shot to corrected, in the isotropic unit of both. */
    public Mapping mapping() {
        return mapping;
    }

    /** The lens's part of it, with what is left out before. */
    public Mapping lensMapping() {
        return outline.lensed();
    }

    /** The plumb's part of it, which leaves straight lines straight. */
    Mapping plumbMapping() {
        return plumbed;
    }

    /** What its lens's part makes of the photo's edge. */
    LensOutline lensOutline() {
        return outline;
    }

    /** Whether nothing moves; light may change all the same. */
    public boolean keepsPlaces() {
        return mapping.isIdentity();
    }

    /** What is given back of the light that the lens took away. */
    public List<LightStep> light() {
        return lens.light();
    }

    /** All that is done to the photo's values. */
    public PixelSteps steps(List<FinishStep> finish) {
        return new PixelSteps(light(), eyes, bands, neutral, finish);
    }

    /** Whether nothing is done to a photo. */
    public boolean isNone() {
        return keepsPlaces() && keepsValues();
    }

    /** Whether each place of the photo as shot keeps its colour. */
    public boolean keepsValues() {
        return light().isEmpty()
                && neutral.isNone()
                && eyes.isNone()
                && bands.isNone()
                && lens.red().isIdentity()
                && lens.blue().isIdentity();
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Correction correction
                && lens.equals(correction.lens)
                && plumb.equals(correction.plumb)
                && neutral.equals(correction.neutral)
                && eyes.equals(correction.eyes)
                && bands.equals(correction.bands);
    }

    @Override
    public int hashCode() {
        return Objects.hash(lens, plumb, neutral, eyes, bands);
    }

    @Override
    public String toString() {
        return texts().toString();
    }
}
