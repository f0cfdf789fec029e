package nexa.desktop.wall;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ObservableValue;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Group;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Frame;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;

/**
 * A frame on a small photo: a veil around it, and its edge. Made of boxes and not drawn on a canvas, since the renderer
 * fills boxes many times faster than it lays canvases over each other, and hundreds of these move together.
 */
final class FrameNodes extends Group {
    private static final Color HALO = Color.gray(0, 0.45);
    private static final Color LINE = Color.gray(1, 0.95);

    /** On smaller photos the veil sets the frame off well enough without an edge. */
    private static final double EDGE_FROM = 70;

    private final Four veil;
    private final Four halo = new Four();
    private final Four line = new Four();

    /** @param mat what veils the photo outside the frame */
    FrameNodes(ObservableValue<Paint> mat) {
        veil = new Four();
        veil.boxes.forEach(box -> box.fillProperty().bind(mat));
        halo.boxes.forEach(box -> box.setFill(HALO));
        line.boxes.forEach(box -> box.setFill(LINE));
        setManaged(false);
        setMouseTransparent(true);
        setAutoSizeChildren(false);
        getChildren().addAll(veil.boxes);
        getChildren().addAll(halo.boxes);
        getChildren().addAll(line.boxes);
    }

    /** Puts the edge around the frame, and the veil over the rest of a photo's box of the given size. */
    void show(LevelView view, Frame frame, double width, double height) {
        ScreenBox box = view.toScreen(frame);
        veil.around(box, Math.max(0, box.x()), Math.max(0, box.y()), width, height);
        boolean large = Math.min(width, height) >= EDGE_FROM;
        halo.setVisible(large);
        line.setVisible(large);
        if (large) {
            halo.ring(box, 2, width, height);
            line.ring(box, 1, width, height);
        }
    }

    /** What the veil leaves open, in this group's coordinates. */
    Bounds hole() {
        Rectangle above = veil.boxes.getFirst();
        Rectangle left = veil.boxes.get(2);
        Rectangle right = veil.boxes.getLast();
        double x = left.getX() + left.getWidth();
        double y = above.getY() + above.getHeight();
        return new BoundingBox(x, y, right.getX() - x, left.getHeight());
    }

    /** Boxes above, below, left and right of a hole. */
    private static final class Four {
        private final List<Rectangle> boxes = new ArrayList<>();

        Four() {
            for (int i = 0; i < 4; i++) {
                Rectangle box = new Rectangle();
                box.setManaged(false);
                box.setSmooth(false);
                boxes.add(box);
            }
        }

        void setVisible(boolean visible) {
            boxes.forEach(box -> box.setVisible(visible));
        }

        /** All of (0, 0) to (width, height) but for the hole. */
        void around(ScreenBox hole, double left, double top, double width, double height) {
            double right = Math.clamp(hole.x() + hole.width(), left, Math.max(left, width));
            double bottom = Math.clamp(hole.y() + hole.height(), top, Math.max(top, height));
            put(0, 0, 0, width, top);
            put(1, 0, bottom, width, height - bottom);
            put(2, 0, top, left, bottom - top);
            put(3, right, top, width - right, bottom - top);
        }

        /** One unit wide, so far outside of a box, but on the photo. */
        void ring(ScreenBox box, double out, double width, double height) {
            double left = Math.max(0, box.x() - out);
            double top = Math.max(0, box.y() - out);
            double right = Math.min(width, box.x() + box.width() + out);
            double bottom = Math.min(height, box.y() + box.height() + out);
            put(0, left, top, right - left, 1);
            put(1, left, bottom - 1, right - left, 1);
            put(2, left, top + 1, 1, bottom - top - 2);
            put(3, right - 1, top + 1, 1, bottom - top - 2);
        }

        private void put(int which, double x, double y, double width, double height) {
            Rectangle box = boxes.get(which);
            box.setX(x);
            box.setY(y);
            box.setWidth(Math.max(0, width));
            box.setHeight(Math.max(0, height));
        }
    }
}
