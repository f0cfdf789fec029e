package nexa.desktop.view;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.Point;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.Stroke;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.Mat;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.session.OverlayChoice;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import nexa.imaging.file.Trouble;
import nexa.shoot.Photo;

/** One drawing of the Bench. */
final class BenchDrawing {
    private static final Color WAITING = Color.gray(0.78);
    private static final double NEIGHBOUR_OPACITY = 0.42;
    private static final double HANDLE = 5.5;

    private final GraphicsContext canvas;
    private final Session session;
    private final double width;
    private final double height;

    BenchDrawing(GraphicsContext canvas, Session session, double width, double height) {
        this.canvas = canvas;
        this.session = session;
        this.width = width;
        this.height = height;
    }

    void neighbour(Photo photo, LevelView view, Optional<ScreenPhoto> pixels) {
        PhotoSpace space = session.shoot().space(photo).orElseThrow();
        canvas.save();
        canvas.setGlobalAlpha(NEIGHBOUR_OPACITY);
        PhotoPainter painter = new PhotoPainter(canvas, view);
        pixels.ifPresent(p -> painter.photo(p, space));
        canvas.setGlobalAlpha(1);
        session.format()
                .ifPresent(format ->
                        painter.edge(session.shoot().frame(photo, format).orElseThrow()));
        canvas.restore();
    }

    void photo(LevelView view, Optional<ScreenPhoto> pixels, boolean tilting) {
        PhotoSpace space = session.space().orElseThrow();
        PhotoPainter painter = new PhotoPainter(canvas, view);
        if (pixels.isEmpty()) {
            ScreenBox box = view.toScreen(new Frame(
                    0,
                    0,
                    Math.min(1, space.upright().aspect()),
                    Math.min(1, 1 / space.upright().aspect())));
            canvas.setFill(WAITING);
            canvas.fillRect(box.x(), box.y(), box.width(), box.height());
            return;
        }
        painter.photo(pixels.get(), space);
        session.frame().ifPresent(frame -> {
            painter.mat(
                    space.outline(),
                    frame,
                    Mat.forBrightness(pixels.get().brightness()).colour());
            painter.overlay(frame, strokes(frame, tilting));
            painter.edge(frame);
            handles(view.toScreen(frame));
        });
    }

    /** While the photo is tilted a fine grid shows instead of the chosen overlay. */
    private List<Stroke> strokes(Frame frame, boolean tilting) {
        OverlayChoice choice = tilting
                ? OverlayChoice.of(Overlay.GRID)
                : session.overlayProperty().get();
        return choice.strokes(frame.aspect());
    }

    private void handles(ScreenBox box) {
        canvas.setLineWidth(2);
        for (int corner = 0; corner < 4; corner++) {
            double x = box.x() + corner % 2 * box.width();
            double y = box.y() + corner / 2 * box.height();
            canvas.setFill(Color.WHITE);
            canvas.fillOval(x - HANDLE, y - HANDLE, 2 * HANDLE, 2 * HANDLE);
            canvas.setStroke(Palette.ACCENT);
            canvas.strokeOval(x - HANDLE, y - HANDLE, 2 * HANDLE, 2 * HANDLE);
        }
    }

    void levelLine(LevelView view, BenchGesture gesture) {
        if (gesture instanceof BenchGesture.DrawLevel drawn) {
            Point from = view.toScreen(drawn.from());
            Point to = view.toScreen(drawn.to());
            canvas.setStroke(Color.gray(1, 0.9));
            canvas.setLineWidth(4);
            canvas.strokeLine(from.x(), from.y(), to.x(), to.y());
            canvas.setStroke(Palette.ACCENT);
            canvas.setLineWidth(2);
            canvas.strokeLine(from.x(), from.y(), to.x(), to.y());
            drawn.line()
                    .ifPresent(
                            line -> tag(Words.of("bench.level.lean", degrees(line.lean())), to.x() + 14, to.y() - 34));
        }
    }

    /** Below the photo: what it is on the left, how it is framed on the right. */
    void captions(Photo photo, LevelView view, boolean levelling) {
        PhotoSpace space = session.space().orElseThrow();
        double half = view.scale() * Math.min(1, space.upright().aspect()) / 2;
        double y = height - 22;
        text(photo.name() + " · " + space.upright(), view.originX() - half, y, TextAlignment.LEFT);
        text(right(levelling), view.originX() + half, y, TextAlignment.RIGHT);
    }

    private String right(boolean levelling) {
        if (levelling) {
            return Words.of("bench.level.hint");
        }
        Optional<Frame> frame = session.frame();
        if (frame.isEmpty()) {
            return Words.of("bench.noformat");
        }
        OverlayChoice choice = session.overlayProperty().get();
        return choice.overlay()
                .map(overlay -> overlayWords(overlay, choice, frame.get()))
                .orElse("");
    }

    private static String overlayWords(Overlay overlay, OverlayChoice choice, Frame frame) {
        int count = overlay.orientations(frame.aspect()).size();
        return count == 1
                ? Words.of(overlay)
                : Words.of("bench.overlay", Words.of(overlay), choice.orientation() % count + 1, count);
    }

    void unreadable(Photo photo, Trouble trouble) {
        hint(Words.of("bench.unreadable", photo.name(), Words.of(trouble)));
    }

    void hint(String words) {
        text(words, width / 2, height / 2, TextAlignment.CENTER);
    }

    private void text(String words, double x, double y, TextAlignment alignment) {
        canvas.setFont(Font.font("Inter", 12));
        canvas.setFill(Color.gray(0.38));
        canvas.setTextAlign(alignment);
        canvas.setTextBaseline(VPos.CENTER);
        canvas.fillText(words, Math.round(x), Math.round(y));
    }

    /** Light words on a dark tag near the pointer. */
    private void tag(String words, double x, double y) {
        double wide = 8.0 * words.length() + 16;
        canvas.setFill(Color.gray(0.12, 0.92));
        canvas.fillRoundRect(x, y, wide, 26, 8, 8);
        canvas.setFont(Font.font("Inter", 12));
        canvas.setFill(Color.WHITE);
        canvas.setTextAlign(TextAlignment.CENTER);
        canvas.setTextBaseline(VPos.CENTER);
        canvas.fillText(words, x + wide / 2, y + 13);
    }

    static String degrees(double value) {
        return String.format(Locale.ROOT, "%+.2f", value).replace('-', '−');
    }
}
