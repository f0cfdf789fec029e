package nexa.desktop.widget;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/** A region filled by a canvas that is drawn anew, once a pulse, whenever it is asked to or its size changes. */
public abstract class DrawnPane extends Region {
    private final Canvas canvas = new Canvas();
    private boolean stale = true;

    protected DrawnPane() {
        getChildren().add(canvas);
        setMinSize(0, 0);
    }

    /** As large as fits in a square, in a shape. */
    public final void fit(double side, double aspect) {
        size(Math.round(side * Math.min(1, aspect)), Math.round(side * Math.min(1, 1 / aspect)));
    }

    /** As large as this, whatever room there is. */
    public final void size(double width, double height) {
        setMinSize(width, height);
        setPrefSize(width, height);
        setMaxSize(width, height);
    }

    /** Draws again at the next pulse. Nothing around it is laid out anew, as its size stays. */
    public final void redraw() {
        stale = true;
        setNeedsLayout(true);
    }

    @Override
    protected final void layoutChildren() {
        double width = Math.floor(getWidth());
        double height = Math.floor(getHeight());
        boolean resized = canvas.getWidth() != width || canvas.getHeight() != height;
        if (resized) {
            canvas.setWidth(width);
            canvas.setHeight(height);
        }
        if ((stale || resized) && width > 0 && height > 0) {
            stale = false;
            GraphicsContext graphics = canvas.getGraphicsContext2D();
            graphics.clearRect(0, 0, width, height);
            draw(graphics, width, height);
        }
    }

    /** Draws on the cleared canvas. */
    public abstract void draw(GraphicsContext canvas, double width, double height);
}
