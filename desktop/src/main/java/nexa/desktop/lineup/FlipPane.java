package nexa.desktop.lineup;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.session.Session;
import nexa.desktop.widget.InkedPane;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** Two results in the same place, one at a time, so that a difference shows as a jump. */
public final class FlipPane extends InkedPane {
    private static final double MARGIN = 26;
    private static final double CAPTION = 30;

    private final Session session;
    private final Keys keys;
    private final FramePicture exemplar;
    private final FramePicture other;
    private boolean otherShows = true;

    FlipPane(Session session, Keys keys, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.keys = keys;
        this.exemplar = new FramePicture(session.shoot(), loader, fx, this::redraw);
        this.other = new FramePicture(session.shoot(), loader, fx, this::redraw);
        setId("flip-results");
        setOnMousePressed(event -> flip());
        follow();
    }

    /** Shows the other of the two. */
    void flip() {
        otherShows = !otherShows;
        redraw();
    }

    /** The current photo is another one. */
    void follow() {
        first().ifPresent(photo -> exemplar.show(photo, PhotoLoader.MIDDLE));
        session.photo().ifPresent(photo -> other.show(photo, PhotoLoader.MIDDLE));
        otherShows = true;
        redraw();
    }

    void dispose() {
        exemplar.clear();
        other.clear();
    }

    private Optional<Photo> first() {
        return session.lineup().shownProperty().get().exemplar();
    }

    /** Which of the two shows. */
    public Optional<Photo> shown() {
        return otherShows ? session.photo() : first();
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        shown().filter(Photo::isReadable).ifPresent(photo -> session.format()
                .flatMap(format -> session.frame(photo, format))
                .ifPresent(frame -> draw(canvas, photo, frame, width, height)));
    }

    /** Both as high as each other, about the same middle. */
    private void draw(GraphicsContext canvas, Photo photo, Frame frame, double width, double height) {
        double high = Math.min(
                height - MARGIN - CAPTION, (width - 2 * MARGIN) / Math.max(frame.aspect(), 1 / frame.aspect()));
        double wide = Math.round(high * frame.aspect());
        double left = Math.round((width - wide) / 2);
        double top = Math.round((height - CAPTION - high) / 2 + MARGIN / 3);
        canvas.save();
        canvas.translate(left, top);
        canvas.beginPath();
        canvas.rect(0, 0, wide, high);
        canvas.clip();
        canvas.setFill(Palette.WAITING);
        canvas.fillRect(0, 0, wide, high);
        PhotoSpace space = photo.space(session.framing(photo).pose());
        (otherShows ? other : exemplar).corrected(space).ifPresent(pixels -> new PhotoPainter(
                        canvas, LevelView.filling(frame, wide, high))
                .photo(pixels, space));
        canvas.restore();
        canvas.setFill(ink());
        canvas.setFont(Font.font("Inter", 13));
        canvas.setTextAlign(TextAlignment.CENTER);
        canvas.setTextBaseline(VPos.CENTER);
        boolean first = first().filter(photo::equals).isPresent();
        canvas.fillText(
                Words.of(
                        first ? "lineup.flip.exemplar" : "lineup.flip.other",
                        photo.name(),
                        keys.label(Command.FLIP_RESULTS)),
                width / 2,
                height - CAPTION / 2);
    }
}
