package nexa.desktop.brief;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import nexa.core.brief.Format;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.shoot.photo.Photo;
import org.jspecify.annotations.Nullable;

/** A card's picture: the current photo's result in its format, or the format's shape while there is none. */
final class CardPicture extends DrawnPane {
    static final double LIVE_WIDTH = 142;
    private static final double LIVE_HEIGHT = 96;
    private static final double FOLDED_WIDTH = 52;
    private static final double PLAIN_WIDTH = 74;
    private static final double PLAIN_HEIGHT = 58;

    /** Seen on rails of every surround, and no brighter than they are. */
    private static final Color OUTLINE = Color.gray(0.5);

    private final Session session;
    private final Format format;
    private final FramePicture picture;
    private boolean folded;
    private @Nullable Drawn drawn;

    /** @param arrived told when there are other pixels; then it is to be refreshed */
    CardPicture(Session session, Format format, PhotoLoader loader, Executor fx, Runnable arrived) {
        this.session = session;
        this.format = format;
        this.picture = new FramePicture(session.shoot(), loader, fx, arrived);
    }

    void dispose() {
        picture.clear();
    }

    void show(Optional<Photo> photo) {
        photo.ifPresentOrElse(p -> picture.show(p, PhotoLoader.SMALL), picture::clear);
    }

    /** Takes less room while the rail is a strip. */
    void fold(boolean on) {
        folded = on;
        reshape();
    }

    /** Whether there is a result of the current photo to be seen. */
    boolean isLive() {
        return session.moment().frame(format).isPresent();
    }

    /** What was last drawn: a frame of another format leaves this picture as it is. */
    private record Drawn(
            Optional<Frame> frame,
            Optional<PhotoSpace> space,
            Optional<ScreenPhoto> pixels,
            Optional<ScreenPhoto> filled,
            boolean live) {}

    /** Draws anew if there is something new to draw. */
    void refresh() {
        Drawn now = now();
        if (!now.equals(drawn)) {
            drawn = now;
            reshape();
        }
    }

    private Drawn now() {
        Optional<Frame> frame = session.moment().frame(format);
        Optional<PhotoSpace> space = session.space();
        Optional<ScreenPhoto> filled = frame.flatMap(
                f -> space.flatMap(s -> picture.filled(s, f, session.framing().fill(format))));
        return new Drawn(frame, space, space.flatMap(picture::corrected), filled, isLive());
    }

    private void reshape() {
        boolean live = isLive();
        double aspect = session.moment().frame(format).map(Frame::aspect).orElseGet(this::plainAspect);
        double wide = folded ? FOLDED_WIDTH : live ? LIVE_WIDTH : PLAIN_WIDTH;
        double scale = Math.min(wide / aspect, live ? LIVE_HEIGHT : PLAIN_HEIGHT);
        size(Math.max(6, Math.round(aspect * scale)), Math.max(6, Math.round(scale)));
        redraw();
    }

    private double plainAspect() {
        return format.aspect(Orientation.HORIZONTAL, 1.5, 1.5);
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        if (isLive()) {
            canvas.setFill(Palette.WAITING);
            canvas.fillRect(0, 0, width, height);
            Frame frame = session.moment().frame(format).orElseThrow();
            PhotoPainter painter = new PhotoPainter(canvas, LevelView.filling(frame, width, height));
            picture.draw(
                    painter,
                    session.space().orElseThrow(),
                    frame,
                    session.framing().fill(format));
        } else {
            canvas.setStroke(OUTLINE);
            canvas.strokeRect(0.5, 0.5, width - 1, height - 1);
        }
    }
}
