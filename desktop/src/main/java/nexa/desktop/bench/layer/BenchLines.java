package nexa.desktop.bench.layer;

import java.util.List;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.level.LevelLines;
import nexa.core.plumb.PlumbFinding;
import nexa.core.space.PhotoSpace;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import nexa.desktop.bench.gesture.BenchGesture;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.BendByLine;
import nexa.desktop.model.Levelling;
import nexa.desktop.model.PlumbWords;
import nexa.desktop.model.Plumbing;
import nexa.desktop.paint.DrawnWords;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.repair.TrimWords;
import nexa.desktop.repair.Trimming;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Looks;
import nexa.words.Words;

/** Lines that were drawn on the photo, or found in it, and what came of them. */
public final class BenchLines {
    /** Radius of the knob that removes a line. */
    public static final double KNOB = 8;

    private static final int SIDE_PIECES = 16;

    private final Supplier<GraphicsContext> sketch;
    private final Session session;
    private final Keys keys;
    private final DrawnWords text;

    BenchLines(Supplier<GraphicsContext> sketch, Session session, Keys keys, DrawnWords text) {
        this.keys = keys;
        this.sketch = sketch;
        this.session = session;
        this.text = text;
    }

    /** A line that is being drawn; false if something else goes on. */
    public boolean drawn(LevelView view, BenchGesture gesture) {
        switch (gesture) {
            case BenchGesture.DrawLevel line -> levelLine(view, line);
            case BenchGesture.DrawPlumb line -> path(view, List.of(line.from(), line.to()));
            case BenchGesture.DrawEdge line -> path(view, line.points());
            case BenchGesture.DrawBand line -> band(view, line);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void levelLine(LevelView view, BenchGesture.DrawLevel drawn) {
        Point from = view.toScreen(drawn.from());
        Point to = view.toScreen(drawn.to());
        PhotoPainter.accentLine(sketch.get(), from, to, 2);
        drawn.line()
                .ifPresent(line ->
                        text.tag(Words.of("bench.level.lean", Looks.degrees(line.lean())), to.x() + 14, to.y() - 34));
    }

    /** The drawn lines with their knobs, or those the automatic level found, and what came of them. */
    public void levelling(LevelView view, Levelling levelling) {
        PhotoSpace space = session.space().orElseThrow();
        List<LevelLine> lines = levelling.linesProperty().get();
        for (LevelLine line : lines) {
            PhotoPainter.accentLine(
                    sketch.get(),
                    view.toScreen(space.toLevel(line.from())),
                    view.toScreen(space.toLevel(line.to())),
                    2);
            Point knob = knob(line, space, view);
            removing(knob);
        }
        if (lines.size() > 1) {
            text.banner(Words.of(
                    "bench.level.average",
                    lines.size(),
                    Looks.degrees(LevelLines.tilt(lines).orElseThrow().degrees())));
        }
        levelling.verdictProperty().get().ifPresent(verdict -> verdict(view, space, verdict));
    }

    /** A line that is drawn freely. */
    private void path(LevelView view, List<Point> points) {
        PhotoPainter.accentPath(
                sketch.get(), points.stream().map(view::toScreen).toList(), 2);
    }

    /** The line that the bend was found by, and how straight it is now. */
    public void straightened(LevelView view, BendByLine.Drawn straightened) {
        PhotoSpace space = session.space().orElseThrow();
        path(view, straightened.line().stream().map(space::fromAsShot).toList());
        text.banner(straightened
                .found()
                .map(found -> Words.of(
                        "bench.straighten.done",
                        Looks.percent(found.bend()),
                        Looks.pixels(found.before() * space.asShot().longEdge()),
                        Looks.pixels(found.after() * space.asShot().longEdge())))
                .orElseGet(() -> Words.of("bench.straighten.nothing")));
    }

    /** The drawn lines with their knobs, or those that were found, and what came of them. */
    public void plumbing(LevelView view, Plumbing plumbing) {
        PhotoSpace space = session.space().orElseThrow();
        List<Plumbing.Line> lines = plumbing.linesProperty().get();
        for (Plumbing.Line line : lines) {
            Point knob = line(view, space, line, 2);
            removing(knob);
        }
        if (!lines.isEmpty()) {
            text.banner(plumbing.residual()
                    .map(off -> Words.of("bench.plumb.lines", lines.size(), Looks.degrees(off)))
                    .orElseGet(() -> Words.of("bench.plumb.one-more")));
        }
        plumbing.verdictProperty().get().ifPresent(verdict -> {
            if (verdict instanceof Plumbing.Verdict.Found(PlumbFinding finding) && finding.accepted()) {
                finding.lines().forEach(line -> line(view, space, plumbing.shownLine(line), 1.5));
            }
            text.banner(PlumbWords.of(verdict));
        });
    }

    /** Where what counts as photo ends, with knobs to drag its sides while that is what one does. */
    public void trimming(LevelView view, Trimming trimming, boolean dragged) {
        PhotoSpace space = session.space().orElseThrow();
        Trim trim = space.pose().trim();
        if (dragged || !trim.isNone()) {
            Frame kept = trim.within(space.asShot());
            for (int side = 0; side < 4; side++) {
                Point from = kept.corners().get(side);
                Point to = kept.corners().get((side + 1) % 4);
                trimSide(view, space, trim, from, to, dragged);
            }
        }
        if (dragged) {
            seams(view, space);
        }
        trimming.verdictProperty().get().ifPresent(verdict -> text.banner(TrimWords.of(verdict)));
    }

    /** Both sides of a band that is being drawn across, and where it is gone across. */
    private void band(LevelView view, BenchGesture.DrawBand drawn) {
        path(view, List.of(drawn.from(), drawn.to()));
        drawn.band().ifPresent(band -> {
            for (double place : List.of(band.gap().from(), band.gap().to())) {
                path(view, across(drawn.space(), band, place));
            }
        });
    }

    /** The photo's own line at one side of a band, within its trim; the lens may bend it. */
    private static List<Point> across(PhotoSpace space, Bands.Band band, double place) {
        Frame kept = space.pose().trim().within(space.asShot());
        Point from = band.upright() ? new Point(place, kept.top()) : new Point(kept.left(), place);
        Point to = band.upright() ? new Point(place, kept.bottom()) : new Point(kept.right(), place);
        return inPieces(from, to, space::fromAsShot);
    }

    /** A straight line in so many pieces that what bends it shows. */
    private static List<Point> inPieces(Point from, Point to, UnaryOperator<Point> bent) {
        return IntStream.rangeClosed(0, SIDE_PIECES)
                .mapToObj(i -> from.plus(to.minus(from).times((double) i / SIDE_PIECES)))
                .map(bent)
                .toList();
    }

    /** Where the sides of closed bands meet, each with a knob to open it. */
    private void seams(LevelView view, PhotoSpace space) {
        for (Bands.Band band : space.pose().bands().all()) {
            sketch.get().setLineDashes(5, 4);
            path(view, across(space, band, band.gap().from()));
            sketch.get().setLineDashes();
            removing(knob(band, space, view));
        }
    }

    /** Where a closed band's knob is: a third down where its sides meet. */
    public static Point knob(Bands.Band band, PhotoSpace space, LevelView view) {
        return view.toScreen(across(space, band, band.gap().from()).get(SIDE_PIECES / 3));
    }

    /** A straight side as shot; the lens may bend it. */
    private void trimSide(LevelView view, PhotoSpace space, Trim trim, Point from, Point to, boolean dragged) {
        List<Point> side = inPieces(from, to, own -> space.fromAsShot(trim.offAxes(own)));
        if (dragged) {
            path(view, side);
            Point middle = view.toScreen(side.get(SIDE_PIECES / 2));
            BenchDrawing.knob(sketch.get(), middle.x(), middle.y(), KNOB - 2);
        } else {
            GraphicsContext canvas = sketch.get();
            canvas.setStroke(Color.gray(1, 0.55));
            canvas.setLineWidth(1);
            PhotoPainter.polyline(canvas, side.stream().map(view::toScreen).toList());
        }
    }

    /** @return where it ends */
    private Point line(LevelView view, PhotoSpace space, Plumbing.Line line, double wide) {
        Point to = view.toScreen(space.fromAsShot(line.to()));
        PhotoPainter.accentLine(sketch.get(), view.toScreen(space.fromAsShot(line.from())), to, wide);
        return to;
    }

    /** Where a drawn line's knob is: at its end. */
    public static Point knob(LevelLine line, PhotoSpace space, LevelView view) {
        return view.toScreen(space.toLevel(line.to()));
    }

    private void verdict(LevelView view, PhotoSpace space, Levelling.Verdict verdict) {
        switch (verdict) {
            case Levelling.Verdict.Searching() -> text.banner(Words.of("bench.auto.searching"));
            case Levelling.Verdict.Unreadable() -> text.banner(Words.of("bench.auto.unreadable"));
            case Levelling.Verdict.Found(Finding finding) -> {
                for (LevelLine line : finding.lines()) {
                    PhotoPainter.accentLine(
                            sketch.get(),
                            view.toScreen(space.toLevel(line.from())),
                            view.toScreen(space.toLevel(line.to())),
                            1.5);
                }
                text.banner(Looks.words(finding, keys.label(Command.AUTO_LEVEL)));
            }
        }
    }

    /** A knob that removes what it is on. */
    private void removing(Point at) {
        GraphicsContext canvas = sketch.get();
        BenchDrawing.knob(canvas, at.x(), at.y(), KNOB);
        canvas.strokeLine(at.x() - 3, at.y() - 3, at.x() + 3, at.y() + 3);
        canvas.strokeLine(at.x() - 3, at.y() + 3, at.x() + 3, at.y() - 3);
    }
}
