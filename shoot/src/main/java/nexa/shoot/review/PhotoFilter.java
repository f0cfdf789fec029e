package nexa.shoot.review;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.PixelSize;
import nexa.core.space.PhotoSpace;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/**
 * Which photos to look at. An empty set lets all through.
 *
 * @param orientations as the photos are turned
 * @param states of the frame in the format that is looked at
 * @param repairs what was done to the photos; with several any of it
 * @param warned only photos with a warning in that format
 * @param aside whether photos set aside are among them, or alone
 * @param text part of the file's path, ignoring case; empty = all
 */
public record PhotoFilter(
        Set<Orientation> orientations,
        Set<FrameState> states,
        Set<Repair> repairs,
        boolean warned,
        Aside aside,
        String text) {
    /** What becomes of photos set aside. */
    public enum Aside {
        SHOWN,
        HIDDEN,
        ONLY
    }

    /** What can be done to a photo. */
    public enum Repair {
        TRIMMED,
        /** The frame in the format that is looked at shows more than photo. */
        BLANK
    }

    public static final PhotoFilter ALL = new PhotoFilter(Set.of(), Set.of(), Set.of(), false, Aside.SHOWN, "");

    public PhotoFilter {
        orientations = Set.copyOf(orientations);
        states = Set.copyOf(states);
        repairs = Set.copyOf(repairs);
    }

    public PhotoFilter lying(Set<Orientation> others) {
        return new PhotoFilter(others, states, repairs, warned, aside, text);
    }

    public PhotoFilter in(Set<FrameState> others) {
        return new PhotoFilter(orientations, others, repairs, warned, aside, text);
    }

    public PhotoFilter repaired(Set<Repair> others) {
        return new PhotoFilter(orientations, states, others, warned, aside, text);
    }

    public PhotoFilter warned(boolean only) {
        return new PhotoFilter(orientations, states, repairs, only, aside, text);
    }

    public PhotoFilter aside(Aside other) {
        return new PhotoFilter(orientations, states, repairs, warned, other, text);
    }

    public PhotoFilter named(String part) {
        return new PhotoFilter(orientations, states, repairs, warned, aside, part);
    }

    /** Unreadable photos have no orientation and no state: only a filter by name or set aside speaks of them. */
    public boolean lets(Shoot shoot, Photo photo, Optional<Format> format) {
        Framing framing = shoot.framing(photo);
        return letsName(photo)
                && letsAside(framing.setAside())
                && (orientations.isEmpty() || letsOrientation(shoot, photo))
                && (states.isEmpty()
                        || format.filter(f -> photo.isReadable() && states.contains(framing.state(f)))
                                .isPresent())
                && (repairs.isEmpty() || repairs.stream().anyMatch(repair -> has(shoot, photo, format, repair)))
                && (!warned
                        || format.filter(f -> !shoot.warnings(photo, f).isEmpty())
                                .isPresent());
    }

    private static boolean has(Shoot shoot, Photo photo, Optional<Format> format, Repair repair) {
        return switch (repair) {
            case TRIMMED -> shoot.framing(photo).pose().leavesOut();
            case BLANK ->
                format.flatMap(f -> shoot.frame(photo, f))
                        .filter(frame ->
                                !shoot.space(photo).orElseThrow().outline().holds(frame))
                        .isPresent();
        };
    }

    private boolean letsName(Photo photo) {
        return text.isBlank()
                || photo.file().toLowerCase(Locale.ROOT).contains(text.strip().toLowerCase(Locale.ROOT));
    }

    private boolean letsAside(boolean setAside) {
        return switch (aside) {
            case SHOWN -> true;
            case HIDDEN -> !setAside;
            case ONLY -> setAside;
        };
    }

    private boolean letsOrientation(Shoot shoot, Photo photo) {
        return lying(shoot, photo).filter(orientations::contains).isPresent();
    }

    /** How a photo lies as it is turned, without its borders; empty if it can't be read. */
    static Optional<Orientation> lying(Shoot shoot, Photo photo) {
        return shoot.space(photo).map(PhotoSpace::keptSize).map(PixelSize::orientation);
    }
}
