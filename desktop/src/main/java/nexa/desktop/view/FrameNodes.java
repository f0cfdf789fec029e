package nexa.desktop.view;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ObservableValue;
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
    private ScreenBox shown = new ScreenBox(0, 0, 0, 0);

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
        shown = box;
        veil.around(box, Math.max(0, box.x()), Math.max(0, box.y()), width, height);
        boolean large = Math.min(width, height) >= EDGE_FROM;
        halo.setVisible(large);
        line.setVisible(large);
        if (large) {
            halo.ring(box, 2);
            line.ring(box, 1);
        }
    }

    /** Where the edge is, in the photo's box. */
    ScreenBox shown() {
        return shown;
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

        /** One unit wide, so far outside of a box. */
        void ring(ScreenBox box, double out) {
            double wide = box.width() + 2 * out;
            double high = box.height() + 2 * out;
            put(0, box.x() - out, box.y() - out, wide, 1);
            put(1, box.x() - out, box.y() + high - out - 1, wide, 1);
            put(2, box.x() - out, box.y() - out + 1, 1, high - 2);
            put(3, box.x() + wide - out - 1, box.y() - out + 1, 1, high - 2);
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
