package nexa.desktop.picture;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Tolerance;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.core.overlay.Stroke;

/**
 * Keeps the strokes of the overlays that were asked for last: while a frame is moved or a photo is turned the same few are
 * asked for at every drawing and stay the same.
 */
public final class StrokeMemo {
    /** The chosen overlay, and the grid that shows while a photo is tilted. */
    private static final int KEPT = 2;

    private record Known(
            Optional<Overlay> overlay, double aspect, OverlayOptions options, List<List<Stroke>> orientations) {
        static Known of(Optional<Overlay> overlay, double aspect, OverlayOptions options) {
            return new Known(
                    overlay,
                    aspect,
                    options,
                    overlay.map(o -> o.orientations(aspect, options)).orElse(List.of(List.of())));
        }

        boolean answers(Optional<Overlay> asked, double frameAspect, OverlayOptions askedOptions) {
            return asked.equals(overlay) && Tolerance.sameShape(aspect, frameAspect) && askedOptions.equals(options);
        }
    }

    /** The one asked for last first. */
    private final Deque<Known> known = new ArrayDeque<>();

    public List<Stroke> strokes(OverlayChoice choice, double frameAspect, OverlayOptions options) {
        List<List<Stroke>> orientations = orientations(choice, frameAspect, options);
        return orientations.get(Math.floorMod(choice.orientation(), orientations.size()));
    }

    /** How many ways the overlay can lie. */
    public int count(OverlayChoice choice, double frameAspect, OverlayOptions options) {
        return orientations(choice, frameAspect, options).size();
    }

    private List<List<Stroke>> orientations(OverlayChoice choice, double frameAspect, OverlayOptions options) {
        Known found = known.stream()
                .filter(each -> each.answers(choice.overlay(), frameAspect, options))
                .findFirst()
                .orElseGet(() -> Known.of(choice.overlay(), frameAspect, options));
        known.remove(found);
        known.addFirst(found);
        if (known.size() > KEPT) {
            known.removeLast();
        }
        return found.orientations();
    }
}
