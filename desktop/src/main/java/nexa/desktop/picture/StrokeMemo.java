package nexa.desktop.picture;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Tolerance;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.core.overlay.Stroke;

/** Keeps the last overlay's strokes: while a frame is moved they are asked for at every drawing and stay the same. */
public final class StrokeMemo {
    private Optional<Overlay> overlay = Optional.empty();
    private OverlayOptions options = OverlayOptions.DEFAULT;
    private double aspect = Double.NaN;
    private List<List<Stroke>> orientations = List.of(List.of());

    public List<Stroke> strokes(OverlayChoice choice, double frameAspect, OverlayOptions asked) {
        refresh(choice, frameAspect, asked);
        return orientations.get(Math.floorMod(choice.orientation(), orientations.size()));
    }

    /** How many ways the overlay can lie. */
    public int count(OverlayChoice choice, double frameAspect, OverlayOptions asked) {
        refresh(choice, frameAspect, asked);
        return orientations.size();
    }

    private void refresh(OverlayChoice choice, double frameAspect, OverlayOptions asked) {
        boolean same =
                choice.overlay().equals(overlay) && Tolerance.sameShape(aspect, frameAspect) && asked.equals(options);
        if (!same) {
            overlay = choice.overlay();
            options = asked;
            aspect = frameAspect;
            orientations = overlay.map(o -> o.orientations(frameAspect, asked)).orElse(List.of(List.of()));
        }
    }
}
