package nexa.desktop.bench.layer;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.overlay.Nested;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.core.overlay.Stroke;
import nexa.core.print.OutputSize;
import nexa.core.shape.Shape;
import nexa.desktop.bench.gesture.BenchGesture;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.paint.Crisp;
import nexa.desktop.paint.DrawnWords;
import nexa.desktop.paint.FrameLines;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.MarkRings;
import nexa.desktop.paint.Palette;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.picture.StrokeMemo;
import nexa.desktop.session.Session;
import nexa.desktop.setting.OverlayShow;
import nexa.desktop.widget.Looks;
import nexa.desktop.widget.SenseWords;
import nexa.shoot.photo.Photo;
import nexa.words.ShapeWords;
import nexa.words.Words;

/** What lies on the Bench's photo, laid anew: the frame, words, and what is drawn now and then. */
public final class BenchDrawing {
    private static final int FINE_CELLS = 12;
    private static final Set<Command> LOOKING =
            EnumSet.of(Command.BEFORE, Command.WHOLE, Command.RESULT, Command.PROOF);

    /**
     * What goes on while this is drawn.
     *
     * @param tilting the photo is being tilted
     * @param adjusting anything is being changed
     * @param bare only photo, frame and overlay are to be seen
     * @param trimming the frame is not what is worked at
     */
    public record During(boolean tilting, boolean adjusting, boolean bare, boolean trimming) {}

    private final Supplier<GraphicsContext> sketch;
    private final FrameLines lines;
    private final MarkRings rings;
    private final DrawnWords words;
    private final Session session;
    private final Keys keys;
    private final StrokeMemo memo;
    private final Crisp crisp;

    /** @param sketch to be asked for only by what is drawn now */
    BenchDrawing(
            Supplier<GraphicsContext> sketch,
            FrameLines lines,
            MarkRings rings,
            DrawnWords words,
            Session session,
            Keys keys,
            StrokeMemo memo,
            double pixelScale) {
        this.sketch = sketch;
        this.lines = lines;
        this.rings = rings;
        this.words = words;
        this.session = session;
        this.keys = keys;
        this.memo = memo;
        this.crisp = new Crisp(pixelScale);
    }

    // ---- photo, mat, frame, overlay ----

    /** Whether a key is held that shows the photo without its frame, or nothing but the frame. */
    static boolean isLooking(Keys keys) {
        return LOOKING.stream().anyMatch(keys::isHeld);
    }

    /** What lies on the photo and its mat: overlay, the frame's edge, its handles. */
    public void framed(LevelView view, Optional<ScreenPhoto> pixels, During moment) {
        lines.show(session.frame()
                .filter(frame -> !isLooking(keys))
                .flatMap(frame -> pixels.map(photo -> look(view.toScreen(frame), frame, photo.brightness(), moment))));
    }

    private FrameLines.Look look(ScreenBox box, Frame frame, double brightness, During moment) {
        boolean overlaid = !moment.trimming() && (moment.tilting() || shows(moment));
        return new FrameLines.Look(
                box,
                overlaid
                        ? Optional.of(new FrameLines.Overlaid(
                                strokes(frame, moment.tilting()), Looks.ink(session.settings(), brightness)))
                        : Optional.empty(),
                !moment.bare() && !moment.trimming(),
                crisp);
    }

    private boolean shows(During moment) {
        OverlayShow show = session.settings().overlayShowProperty().get();
        return show == OverlayShow.ALWAYS || show == OverlayShow.ADJUSTING && moment.adjusting();
    }

    /** While the photo is tilted a fine grid shows instead of the chosen overlay. */
    private List<Stroke> strokes(Frame frame, boolean tilting) {
        OverlayOptions options = session.settings().overlayOptionsProperty().get();
        return tilting
                ? memo.strokes(OverlayChoice.of(Overlay.GRID), frame.aspect(), options.withCells(FINE_CELLS))
                : memo.strokes(session.overlayProperty().get(), frame.aspect(), options);
    }

    static void knob(GraphicsContext canvas, double x, double y, double radius) {
        canvas.setLineWidth(2);
        canvas.setFill(Color.WHITE);
        canvas.fillOval(x - radius, y - radius, 2 * radius, 2 * radius);
        canvas.setStroke(Palette.ACCENT);
        canvas.strokeOval(x - radius, y - radius, 2 * radius, 2 * radius);
    }

    // ---- marks ----

    /** The photo's marks, or dashed those that are proposed for it. */
    public void marks(LevelView view, Optional<Marks> proposed) {
        boolean looking = isLooking(keys) && !keys.isHeld(Command.WHOLE);
        session.space().filter(space -> !looking).ifPresent(space -> {
            mark(view, session.framing().marks().in(space), false);
            proposed.ifPresent(marks -> mark(view, marks.in(space), true));
        });
    }

    private void mark(LevelView view, List<Point> marks, boolean dashed) {
        rings.show(marks.stream().map(view::toScreen).toList(), dashed);
    }

    // ---- what the pointer does ----

    /** The lines that caught the frame, through the whole photo; none while nothing does. */
    public void guides(LevelView view, Optional<BenchGesture.Shown> shown) {
        lines.guide(shown.map(caught -> guides(view, caught)).orElse(List.of()));
    }

    private List<ScreenBox> guides(LevelView view, BenchGesture.Shown shown) {
        double wide = crisp.width(1);
        List<ScreenBox> guides = new ArrayList<>();
        shown.caughtX()
                .ifPresent(x -> guides.add(new ScreenBox(
                        crisp.place(view.toScreen(new Point(x, 0)).x(), wide) - wide / 2, 0, wide, words.getHeight())));
        shown.caughtY()
                .ifPresent(y -> guides.add(new ScreenBox(
                        0, crisp.place(view.toScreen(new Point(0, y)).y(), wide) - wide / 2, words.getWidth(), wide)));
        return guides;
    }

    /** A nested outline that a click would make the frame's shape. */
    public void outline(LevelView view, Shape.Ratio shape, Point pointer) {
        session.frame().ifPresent(frame -> {
            ScreenBox box = view.toScreen(Nested.outline(frame, shape));
            GraphicsContext canvas = sketch.get();
            canvas.setStroke(Palette.ACCENT);
            canvas.setLineWidth(2);
            canvas.strokeRect(box.x(), box.y(), box.width(), box.height());
            words.tag(
                    Words.of("bench.nested", Nested.laid(frame.aspect(), shape).text()),
                    pointer.x() + 16,
                    pointer.y() + 18);
        });
    }

    /** Shape, pixels, print size and tilt, beside the pointer. */
    public void readout(Point pointer) {
        session.frame().ifPresent(frame -> {
            PixelSize size = OutputSize.natural(frame, session.moment().asShot().orElseThrow());
            double ppi = session.settings().ppiProperty().get();
            words.tag(
                    Words.of(
                            "bench.readout",
                            shapeWords(frame),
                            String.valueOf(size.width()),
                            String.valueOf(size.height()),
                            SenseWords.largest(size, ppi),
                            Looks.degrees(session.framing().pose().tilt().degrees())),
                    pointer.x() + 18,
                    pointer.y() + 20);
        });
    }

    private String shapeWords(Frame frame) {
        Shape shape = session.frameEdits().held().orElseThrow().shape();
        return shape instanceof Shape.Ratio ratio
                ? ShapeWords.of(Nested.laid(frame.aspect(), ratio))
                : Words.number("%.3f:1", frame.aspect());
    }

    // ---- words ----

    /** Lines that were drawn on the photo or found in it. */
    public BenchLines lines() {
        return new BenchLines(sketch, session, keys, words);
    }

    /** Places of the photo that are touched. */
    public BenchSpots spots(LevelView view) {
        return new BenchSpots(sketch, view, session.space().orElseThrow(), words);
    }

    /**
     * Below the photo: what it is, and how it is framed.
     *
     * @param hint what is waited for, instead of how it is framed
     */
    public void captions(
            Photo photo,
            Optional<String> hint,
            Optional<Double> zoom,
            Optional<BenchFill.Look> fill,
            Optional<String> proof) {
        new BenchCaptions(session, memo, words, fill, proof).draw(photo, hint, zoom);
    }

    /** Words alone, and no frame. */
    public void hint(String said) {
        lines.show(Optional.empty());
        words.middle(said);
    }
}
