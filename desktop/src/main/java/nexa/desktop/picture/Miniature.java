package nexa.desktop.picture;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import nexa.core.geometry.Tolerance;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayOptions;
import nexa.core.overlay.Stroke;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.widget.InkedPane;

/** An overlay drawn small, in a frame's own proportion and the colour of what it stands among. */
public final class Miniature extends InkedPane {
    private static final double EDGE = 0.55;

    private double aspect = 1;
    private List<Stroke> strokes = List.of();

    public Miniature(double width, double height) {
        size(width, height);
    }

    /** Whether a frame of one aspect needs another drawing than one of the other; rounding does not count. */
    public static boolean looksDifferent(double aspect, double drawn) {
        return !Tolerance.sameShape(drawn, aspect);
    }

    /** @param aspect of the frame */
    public void show(Overlay overlay, OverlayOptions options, int orientation, double aspect) {
        this.aspect = aspect;
        this.strokes = overlay.strokes(aspect, options, orientation);
        redraw();
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        ScreenBox box = box(width, height);
        canvas.setLineWidth(1);
        canvas.setStroke(ink().deriveColor(0, 1, 1, EDGE));
        canvas.strokeRect(box.x(), box.y(), box.width(), box.height());
        canvas.setStroke(ink());
        canvas.save();
        canvas.beginPath();
        canvas.rect(box.x(), box.y(), box.width(), box.height());
        canvas.clip();
        strokes.forEach(stroke -> PhotoPainter.draw(canvas, stroke, box));
        canvas.restore();
    }

    /** The frame, on whole pixels. */
    private ScreenBox box(double width, double height) {
        double scale = Math.min((width - 2) / aspect, height - 2);
        double wide = Math.max(8, Math.round(aspect * scale));
        double high = Math.max(8, Math.round(scale));
        return new ScreenBox(Math.floor((width - wide) / 2) + 0.5, Math.floor((height - high) / 2) + 0.5, wide, high);
    }
}
