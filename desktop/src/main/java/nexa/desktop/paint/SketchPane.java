package nexa.desktop.paint;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/**
 * A region on which something is drawn only now and then, drawn anew whenever it is asked to or its size changes. Its
 * canvas is cleared, and laid over all that is beneath, only while there is something.
 */
public abstract class SketchPane extends Region {
    private final Canvas canvas = new Canvas();
    private boolean stale = true;
    private boolean used;
    private double drawnAcross;
    private double drawnDown;

    protected SketchPane() {
        getChildren().add(canvas);
        setMinSize(0, 0);
        setMouseTransparent(true);
    }

    /** Draws again at the next pulse. Nothing around it is laid out anew, as its size stays. */
    public final void redraw() {
        stale = true;
        setNeedsLayout(true);
    }

    @Override
    protected final void layoutChildren() {
        boolean resized = drawnAcross != across() || drawnDown != down();
        if ((stale || resized) && across() > 0 && down() > 0) {
            stale = false;
            drawnAcross = across();
            drawnDown = down();
            used = false;
            draw();
            canvas.setVisible(used);
        }
    }

    /** Draws all there is, if there is anything. */
    protected abstract void draw();

    /** To be asked for by what is drawn, when it is; clear at first. */
    protected final GraphicsContext canvas() {
        if (!used) {
            used = true;
            canvas.setWidth(across());
            canvas.setHeight(down());
            canvas.getGraphicsContext2D().clearRect(0, 0, across(), down());
        }
        return canvas.getGraphicsContext2D();
    }

    private double across() {
        return Math.floor(getWidth());
    }

    private double down() {
        return Math.floor(getHeight());
    }
}
