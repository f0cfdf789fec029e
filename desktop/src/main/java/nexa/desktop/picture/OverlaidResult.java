package nexa.desktop.picture;

import javafx.scene.canvas.GraphicsContext;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Looks;
import nexa.shoot.photo.Photo;

/** Draws what a photo's framing makes of it in a format, and the chosen overlay on it. */
public final class OverlaidResult {
    private final Session session;
    private final FramePicture picture;
    private final StrokeMemo strokes = new StrokeMemo();

    /** @param picture of the photo that is drawn */
    public OverlaidResult(Session session, FramePicture picture) {
        this.session = session;
        this.picture = picture;
    }

    /** Over the whole of a canvas, as a gesture that goes on has it. */
    public void draw(
            GraphicsContext canvas, LevelView view, Photo photo, Format format, Frame frame, boolean withOverlay) {
        double width = canvas.getCanvas().getWidth();
        double height = canvas.getCanvas().getHeight();
        canvas.clearRect(0, 0, width, height);
        canvas.setFill(Palette.WAITING);
        canvas.fillRect(0, 0, width, height);
        Framing framing = session.framing(photo);
        PhotoPainter painter = new PhotoPainter(canvas, view);
        picture.draw(painter, photo.space(framing.pose()), frame, framing.fill(format));
        picture.pixels()
                .filter(pixels -> withOverlay)
                .ifPresent(pixels -> painter.overlay(
                        frame,
                        strokes.strokes(
                                session.overlayProperty().get(),
                                frame.aspect(),
                                session.settings().overlayOptionsProperty().get()),
                        Looks.fineInk(session.settings(), pixels.brightness())));
    }
}
