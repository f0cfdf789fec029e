package nexa.core.overlay;

import java.util.List;
import java.util.Optional;

/**
 * Which overlay is shown and how it lies.
 *
 * @param overlay empty for none
 * @param orientation counts the overlay's distinct orientations, taken modulo how many there are
 */
public record OverlayChoice(Optional<Overlay> overlay, int orientation) {
    public static final OverlayChoice DEFAULT = new OverlayChoice(Optional.of(Overlay.THIRDS), 0);

    public static OverlayChoice of(Overlay overlay) {
        return new OverlayChoice(Optional.of(overlay), 0);
    }

    public OverlayChoice turned() {
        return new OverlayChoice(overlay, orientation + 1);
    }

    public List<Stroke> strokes(double aspect, OverlayOptions options) {
        return overlay.map(o -> o.strokes(aspect, options, orientation)).orElse(List.of());
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        return overlay.map(Enum::name).orElse("NONE") + " " + orientation;
    }

    /** A text of another version gives the default. */
    public static OverlayChoice parse(String text) {
        try {
            String[] parts = text.split(" ");
            Optional<Overlay> overlay =
                    parts[0].equals("NONE") ? Optional.empty() : Optional.of(Overlay.valueOf(parts[0]));
            return new OverlayChoice(overlay, Integer.parseInt(parts[1]));
        } catch (IllegalArgumentException | IndexOutOfBoundsException unknown) { // of another version: no overlay
            return DEFAULT;
        }
    }
}
