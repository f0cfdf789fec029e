package nexa.desktop.picture;

import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.shoot.photo.Photo;

/** What a framing makes of a photo in a format, small. */
public final class ResultPicture extends DrawnPane {
    private final FramePicture picture;
    private final PhotoSpace space;
    private final Frame frame;
    private final Fill fill;

    /** @param box side of the square that the picture is as large as fits in */
    public ResultPicture(
            Session session, Photo photo, Framing framing, Format format, PhotoLoader loader, Executor fx, double box) {
        space = photo.space(framing.pose());
        frame = Derivation.frame(space.asShot(), framing, format, session.brief());
        fill = framing.fill(format);
        fit(box, Math.clamp(frame.aspect(), 0.2, 5));
        picture = new FramePicture(session.shoot(), loader, fx, this::redraw);
        picture.show(photo, PhotoLoader.SMALL);
    }

    /** Gives up what is still being loaded. */
    public void dispose() {
        picture.clear();
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        canvas.setFill(Palette.WAITING);
        canvas.fillRect(0, 0, width, height);
        picture.draw(new PhotoPainter(canvas, LevelView.filling(frame, width, height)), space, frame, fill);
    }
}
