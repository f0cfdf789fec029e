package nexa.desktop.bench;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
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
import nexa.core.space.PhotoSpace;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.paint.CanvasText;
import nexa.desktop.paint.Crisp;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.picture.StrokeMemo;
import nexa.desktop.session.Session;
import nexa.desktop.setting.OverlayShow;
import nexa.desktop.widget.Looks;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** One drawing of the Bench. */
final class BenchDrawing {
    private static final Color WAITING = Color.gray(0.78);
    private static final double NEIGHBOUR_OPACITY = 0.42;
    private static final double HANDLE = 5.5;
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
    record During(boolean tilting, boolean adjusting, boolean bare, boolean trimming) {}

    private final GraphicsContext canvas;
    private final Session session;
    private final Keys keys;
    private final StrokeMemo memo;
    private final Crisp crisp;
    private final CanvasText text;
    private final double width;
    private final double height;

    BenchDrawing(
            GraphicsContext canvas,
            Color ink,
            Session session,
            Keys keys,
            StrokeMemo memo,
            double pixelScale,
            double width,
            double height) {
        this.canvas = canvas;
        this.session = session;
        this.keys = keys;
        this.memo = memo;
        this.crisp = new Crisp(pixelScale);
        this.text = new CanvasText(canvas, ink, width, height);
        this.width = width;
        this.height = height;
    }

    void neighbour(PhotoSpace space, Optional<Frame> frame, LevelView view, Optional<ScreenPhoto> pixels) {
        canvas.save();
        canvas.setGlobalAlpha(NEIGHBOUR_OPACITY);
        PhotoPainter painter = new PhotoPainter(canvas, view);
        pixels.ifPresent(p -> painter.photo(p, space));
        canvas.setGlobalAlpha(1);
        frame.ifPresent(painter::edge);
        canvas.restore();
    }

    // ---- photo, mat, frame, overlay ----

    /** Whether a key is held that shows the photo without its frame, or nothing but the frame. */
    static boolean isLooking(Keys keys) {
        return LOOKING.stream().anyMatch(keys::isHeld);
    }

    /** What lies on the photo and its mat: overlay, the frame's edge. */
    void framed(LevelView view, Optional<ScreenPhoto> pixels, During moment, Optional<BenchFill.Look> fill) {
        session.frame()
                .filter(frame -> !isLooking(keys))
                .ifPresent(frame -> pixels.ifPresent(
                        p -> framed(new PhotoPainter(canvas, view, crisp), view, frame, p.brightness(), moment, fill)));
    }

    /** Where a photo will be. */
    void waiting(LevelView view, PhotoSpace space) {
        double aspect = space.upright().aspect();
        ScreenBox box = view.toScreen(new Frame(0, 0, Math.min(1, aspect), Math.min(1, 1 / aspect)));
        canvas.setFill(WAITING);
        canvas.fillRect(box.x(), box.y(), box.width(), box.height());
    }

    private void framed(
            PhotoPainter painter,
            LevelView view,
            Frame frame,
            double brightness,
            During moment,
            Optional<BenchFill.Look> fill) {
        if (session.frameEdits().showsBlank()) {
            painter.beyond(
                    session.space().orElseThrow().outline(),
                    frame,
                    fill.map(BenchFill.Look::image).orElse(null));
            fill.ifPresent(look -> look.places().forEach(place -> painter.place(frame, place)));
        }
        if (!moment.trimming() && (moment.tilting() || shows(moment))) {
            painter.overlay(frame, strokes(frame, moment.tilting()), Looks.ink(session.settings(), brightness));
        }
        painter.edge(frame);
        if (!moment.bare() && !moment.trimming()) {
            handles(view.toScreen(frame));
        }
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

    private void handles(ScreenBox box) {
        canvas.setLineWidth(2);
        for (int corner = 0; corner < 4; corner++) {
            double x = box.x() + corner % 2 * box.width();
            double y = box.y() + corner / 2 * box.height();
            knob(canvas, x, y, HANDLE);
        }
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
    void marks(LevelView view, Optional<Marks> proposed) {
        boolean looking = isLooking(keys) && !keys.isHeld(Command.WHOLE);
        session.space().filter(space -> !looking).ifPresent(space -> {
            PhotoPainter painter = new PhotoPainter(canvas, view, crisp);
            painter.marks(session.framing().marks().in(space), PhotoPainter.MARK, false);
            proposed.ifPresent(marks -> painter.marks(marks.in(space), PhotoPainter.MARK, true));
        });
    }

    // ---- what the pointer does ----

    /** The lines that caught the frame, through the whole photo. */
    void guides(LevelView view, BenchGesture.Shown shown) {
        canvas.setStroke(Palette.ACCENT);
        double wide = crisp.width(1);
        canvas.setLineWidth(wide);
        shown.caughtX().ifPresent(x -> {
            double at = crisp.place(view.toScreen(new Point(x, 0)).x(), wide);
            canvas.strokeLine(at, 0, at, height);
        });
        shown.caughtY().ifPresent(y -> {
            double at = crisp.place(view.toScreen(new Point(0, y)).y(), wide);
            canvas.strokeLine(0, at, width, at);
        });
    }

    /** A nested outline that a click would make the frame's shape. */
    void outline(LevelView view, Shape.Ratio shape, Point pointer) {
        session.frame().ifPresent(frame -> {
            ScreenBox box = view.toScreen(Nested.outline(frame, shape));
            canvas.setStroke(Palette.ACCENT);
            canvas.setLineWidth(2);
            canvas.strokeRect(box.x(), box.y(), box.width(), box.height());
            text.tag(
                    Words.of("bench.nested", Nested.laid(frame.aspect(), shape).text()),
                    pointer.x() + 16,
                    pointer.y() + 18);
        });
    }

    /** Shape, pixels, print size and tilt, beside the pointer. */
    void readout(Point pointer) {
        session.frame().ifPresent(frame -> {
            PixelSize size = OutputSize.natural(frame, session.moment().asShot().orElseThrow());
            double ppi = session.settings().ppiProperty().get();
            text.tag(
                    Words.of(
                            "bench.readout",
                            shapeWords(frame),
                            String.valueOf(size.width()),
                            String.valueOf(size.height()),
                            Looks.centimetres(size.width(), ppi),
                            Looks.centimetres(size.height(), ppi),
                            Looks.degrees(session.framing().pose().tilt().degrees())),
                    pointer.x() + 18,
                    pointer.y() + 20);
        });
    }

    private String shapeWords(Frame frame) {
        Shape shape = session.frameEdits().held().orElseThrow().shape();
        return shape instanceof Shape.Ratio ratio
                ? Nested.laid(frame.aspect(), ratio).text()
                : String.format(Locale.ROOT, "%.3f:1", frame.aspect());
    }

    // ---- words ----

    /** Lines that were drawn on the photo or found in it. */
    BenchLines lines() {
        return new BenchLines(canvas, session, text);
    }

    /** Places of the photo that are touched. */
    BenchSpots spots(LevelView view) {
        return new BenchSpots(canvas, view, session.space().orElseThrow(), text);
    }

    /** Below the photo: what it is, and how it is framed. */
    void captions(
            Photo photo, BenchMode mode, Optional<Double> zoom, Optional<BenchFill.Look> fill, Optional<String> proof) {
        new BenchCaptions(session, memo, text, width, height, fill, proof).draw(photo, mode, zoom);
    }

    void unreadable(Photo photo, Trouble trouble) {
        hint(Words.of("bench.unreadable", photo.name(), Words.of(trouble)));
    }

    void hint(String words) {
        text.middle(words);
    }
}
