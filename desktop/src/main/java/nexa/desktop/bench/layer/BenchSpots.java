package nexa.desktop.bench.layer;

import java.util.OptionalInt;
import java.util.function.Supplier;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import nexa.core.eye.GlowingEye;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.DrawnWords;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.repair.EyeMending;
import nexa.desktop.repair.NeutralWords;
import nexa.desktop.repair.Neutrals;
import nexa.shoot.neutral.GreyPicker;

/** Places of the photo that are touched: circles around eyes, the grey place, enlarged pixels beside the pointer. */
public final class BenchSpots {
    /** Pixels that the enlarged square shows along a side. */
    private static final int ENLARGED = 15;

    private static final double LARGE_PIXEL = 9;
    private static final double FROM_POINTER = 22;
    private static final double GREY_MARK = 7;

    /** Where the arms of the cross begin, from its middle. */
    private static final double ARM_FROM = 4;

    private static final double ARM_TO = 16;

    private final Supplier<GraphicsContext> sketch;
    private final LevelView view;
    private final PhotoSpace space;
    private final DrawnWords text;

    BenchSpots(Supplier<GraphicsContext> sketch, LevelView view, PhotoSpace space, DrawnWords text) {
        this.sketch = sketch;
        this.view = view;
        this.space = space;
        this.text = text;
    }

    /** The photo's eyes, the chosen one in the accent's colour. */
    public void eyes(EyeMending eyes) {
        OptionalInt chosen = eyes.chosenProperty().get();
        for (int i = 0; i < eyes.eyes().all().size(); i++) {
            circle(eyes.eyes().all().get(i), chosen.isPresent() && chosen.getAsInt() == i);
        }
        eyes.verdictProperty().get().ifPresent(verdict -> text.banner(NeutralWords.of(verdict)));
    }

    private void circle(GlowingEye eye, boolean chosen) {
        Point centre = view.toScreen(space.fromAsShot(eye.centre()));
        Point rim = view.toScreen(space.fromAsShot(eye.centre().plus(new Point(eye.radius(), 0))));
        double radius = centre.distance(rim);
        ring(centre, radius, Color.gray(0, 0.5), 3);
        ring(centre, radius, chosen ? Palette.ACCENT : Color.WHITE, chosen ? 2 : 1.2);
    }

    private void ring(Point centre, double radius, Color colour, double wide) {
        GraphicsContext canvas = sketch.get();
        canvas.setStroke(colour);
        canvas.setLineWidth(wide);
        canvas.strokeOval(centre.x() - radius, centre.y() - radius, 2 * radius, 2 * radius);
    }

    /**
     * The cross that keys move.
     *
     * @param pressed whether it draws or drags
     */
    public void cross(Point at, boolean pressed) {
        arms(at, Color.gray(0, 0.6), 4);
        arms(at, Color.WHITE, 2);
        if (pressed) {
            ring(at, ARM_TO, Color.gray(0, 0.6), 4);
            ring(at, ARM_TO, Color.WHITE, 2);
        }
    }

    private void arms(Point at, Color colour, double wide) {
        GraphicsContext canvas = sketch.get();
        canvas.setStroke(colour);
        canvas.setLineWidth(wide);
        for (int side : new int[] {-1, 1}) {
            canvas.strokeLine(at.x() + side * ARM_FROM, at.y(), at.x() + side * ARM_TO, at.y());
            canvas.strokeLine(at.x(), at.y() + side * ARM_FROM, at.x(), at.y() + side * ARM_TO);
        }
    }

    /** Where the photo was taken for grey, and what picking came to. */
    public void neutral(Neutrals neutrals) {
        neutrals.current().at().ifPresent(place -> {
            Point at = view.toScreen(space.fromAsShot(place));
            ring(at, GREY_MARK, Color.gray(0, 0.5), 3);
            ring(at, GREY_MARK, Color.WHITE, 1.5);
        });
        neutrals.verdictProperty().get().ifPresent(verdict -> text.banner(NeutralWords.of(verdict)));
    }

    /**
     * The pixels about a place, and which of them would be read.
     *
     * @param photo as shot
     */
    public void enlarged(ScreenPhoto photo, Point pointer) {
        Point at = pixel(photo, view.toLevel(pointer.x(), pointer.y()));
        double width = photo.raster().width();
        double height = photo.raster().height();
        if (at.x() < 0 || at.y() < 0 || at.x() >= width || at.y() >= height) {
            return;
        }
        double left = Math.floor(at.x()) - ENLARGED / 2;
        double top = Math.floor(at.y()) - ENLARGED / 2;
        double side = ENLARGED * LARGE_PIXEL;
        double x = pointer.x() + FROM_POINTER;
        double y =
                pointer.y() - FROM_POINTER - side < 0 ? pointer.y() + FROM_POINTER : pointer.y() - FROM_POINTER - side;
        GraphicsContext canvas = sketch.get();
        canvas.setFill(Color.gray(0.5));
        canvas.fillRect(x, y, side, side);
        canvas.setImageSmoothing(false);
        canvas.drawImage(photo.image(), left, top, ENLARGED, ENLARGED, x, y, side, side);
        canvas.setImageSmoothing(true);
        canvas.setStroke(Color.WHITE);
        canvas.setLineWidth(2);
        canvas.strokeRect(x, y, side, side);
        double read = (2 * GreyPicker.AROUND + 1) * LARGE_PIXEL;
        canvas.setLineWidth(1);
        canvas.strokeRect(x + (side - read) / 2, y + (side - read) / 2, read, read);
    }

    /** From level space to the continuous pixels of a picture as shot. */
    private Point pixel(ScreenPhoto photo, Point level) {
        double width = photo.raster().width();
        double height = photo.raster().height();
        return space.toAsShot(level).times(Math.max(width, height)).plus(new Point(width / 2, height / 2));
    }
}
