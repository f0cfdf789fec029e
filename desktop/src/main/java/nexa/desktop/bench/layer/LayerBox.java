package nexa.desktop.bench.layer;

import java.util.List;
import java.util.stream.Stream;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;

/** The part of a view that a photo takes up, also when it is tilted on, in view coordinates. */
record LayerBox(double x, double y, double width, double height) {
    static final LayerBox NONE = new LayerBox(0, 0, 0, 0);

    /** Sides lie on multiples of this. */
    private static final double STEP = 32;

    /** For the frame's edge around the photo. */
    private static final double MARGIN = 4;

    /** Room for tilting on, so that a layer keeps its size meanwhile: a canvas of another size is made anew. */
    private static final Tilt USUAL = new Tilt(12);

    static LayerBox of(PhotoSpace space, LevelView view, double width, double height) {
        Tilt most = Math.abs(space.pose().tilt().degrees()) > USUAL.degrees() ? new Tilt(Tilt.LIMIT) : USUAL;
        List<Point> corners = space.edge().hull().stream()
                .map(space.pose().tilt().negated()::rotate)
                .flatMap(level -> Stream.of(most.rotate(level), most.negated().rotate(level)))
                .map(view::toScreen)
                .toList();
        double left = down(corners.stream().mapToDouble(Point::x).min().orElseThrow(), width);
        double top = down(corners.stream().mapToDouble(Point::y).min().orElseThrow(), height);
        double right = up(corners.stream().mapToDouble(Point::x).max().orElseThrow(), width);
        double bottom = up(corners.stream().mapToDouble(Point::y).max().orElseThrow(), height);
        return new LayerBox(left, top, right - left, bottom - top);
    }

    ScreenBox box() {
        return new ScreenBox(x, y, width, height);
    }

    private static double down(double edge, double limit) {
        return Math.clamp(Math.floor((edge - MARGIN) / STEP) * STEP, 0, limit);
    }

    private static double up(double edge, double limit) {
        return Math.clamp(Math.ceil((edge + MARGIN) / STEP) * STEP, 0, limit);
    }
}
