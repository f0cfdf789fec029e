package nexa.desktop.picture;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import nexa.core.geometry.Tolerance;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayOptions;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;

/** An overlay drawn small, in a frame's own proportion. */
public final class Miniature extends Canvas {
    public Miniature(double width, double height) {
        super(width, height);
    }

    /** Whether a frame of one aspect needs another drawing than one of the other; rounding does not count. */
    public static boolean looksDifferent(double aspect, double drawn) {
        return !Tolerance.sameShape(drawn, aspect);
    }

    public void show(Overlay overlay, OverlayOptions options, int orientation, double aspect, boolean active) {
        double scale = Math.min((getWidth() - 2) / aspect, getHeight() - 2);
        double width = Math.max(8, Math.round(aspect * scale));
        double height = Math.max(8, Math.round(scale));
        ScreenBox box = new ScreenBox(
                Math.floor((getWidth() - width) / 2) + 0.5,
                Math.floor((getHeight() - height) / 2) + 0.5,
                width,
                height);
        GraphicsContext graphics = getGraphicsContext2D();
        graphics.clearRect(0, 0, getWidth(), getHeight());
        graphics.setFill(Color.gray(0.94));
        graphics.fillRect(box.x(), box.y(), box.width(), box.height());
        graphics.setLineWidth(1);
        graphics.setStroke(Color.gray(0.62));
        graphics.strokeRect(box.x(), box.y(), box.width(), box.height());
        graphics.setStroke(active ? Palette.ACCENT : Color.gray(0.38));
        graphics.save();
        graphics.beginPath();
        graphics.rect(box.x(), box.y(), box.width(), box.height());
        graphics.clip();
        overlay.strokes(aspect, options, orientation).forEach(stroke -> PhotoPainter.draw(graphics, stroke, box));
        graphics.restore();
    }
}
