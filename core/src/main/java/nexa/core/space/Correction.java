package nexa.core.space;

import java.util.List;
import java.util.Objects;
import nexa.core.geometry.Mapping;
import nexa.core.lens.Lens;
import nexa.core.pixel.LightStep;
import nexa.core.plumb.Plumb;
import org.jspecify.annotations.Nullable;

/**
 * What is corrected of a photo before it is turned and tilted: its lens, then its plumb. What that comes to is worked out
 * once. Immutable.
 */
public final class Correction {
    public static final Correction NONE = new Correction(Lens.OFF, Plumb.NONE);

    private final Lens lens;
    private final Plumb plumb;
    private final Mapping plumbed;
    private final Mapping mapping;
    private final LensOutline outline;

    public Correction(Lens lens, Plumb plumb) {
        this(lens, plumb, new LensOutline(lens.distortion().inverse()));
    }

    private Correction(Lens lens, Plumb plumb, LensOutline outline) {
        this.lens = lens;
        this.plumb = plumb;
        this.outline = outline;
        this.plumbed = plumb.mapping(lens.reach());
        this.mapping = outline.lensed().then(plumbed);
    }

    /**
     * From what {@link Lens#text} and {@link Plumb#text} said; null says nothing.
     *
     * @throws IllegalArgumentException if one is not such a text
     */
    public static Correction parse(@Nullable String lens, @Nullable String plumb) {
        return lens == null && plumb == null
                ? NONE
                : new Correction(
                        lens == null ? Lens.OFF : Lens.parse(lens), plumb == null ? Plumb.NONE : Plumb.parse(plumb));
    }

    public Correction withLens(Lens other) {
        return new Correction(other, plumb);
    }

    public Correction withPlumb(Plumb other) {
        return new Correction(lens, other, outline);
    }

    public Lens lens() {
        return lens;
    }

    public Plumb plumb() {
        return plumb;
    }

    /** From as shot to corrected, in the isotropic unit of both. */
    public Mapping mapping() {
        return mapping;
    }

    /** The lens's part of it. */
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

    /** Whether nothing is done to a photo. */
    public boolean isNone() {
        return keepsPlaces() && keepsValues();
    }

    /** Whether each place of the photo as shot keeps its colour. */
    public boolean keepsValues() {
        return light().isEmpty() && lens.red().isIdentity() && lens.blue().isIdentity();
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Correction correction && lens.equals(correction.lens) && plumb.equals(correction.plumb);
    }

    @Override
    public int hashCode() {
        return Objects.hash(lens, plumb);
    }

    @Override
    public String toString() {
        return lens.text() + "; " + plumb.text();
    }
}
