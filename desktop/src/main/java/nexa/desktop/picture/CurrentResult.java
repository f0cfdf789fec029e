package nexa.desktop.picture;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.Nodes;

/** The current photo's result in the active format, and nothing else, as large as fits; it follows all that is done. */
public final class CurrentResult extends DrawnPane {
    private static final double MARGIN = 24;

    private final Session session;
    private final FramePicture picture;
    private final Subscription subscriptions;

    public CurrentResult(Session session, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.picture = new FramePicture(session.shoot(), loader, fx, this::redraw);
        subscriptions = Subscription.combine(
                session.photoProperty().subscribe(photo -> redraw()),
                session.formatProperty().subscribe(format -> redraw()),
                session.framingProperty().subscribe(framing -> redraw()),
                session.editsProperty().subscribe(count -> redraw()));
    }

    public void dispose() {
        subscriptions.unsubscribe();
        picture.clear();
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        Optional<Frame> frame = session.frame();
        Optional<PhotoSpace> space = session.space();
        if (frame.isPresent() && space.isPresent() && width > 2 * MARGIN && height > 2 * MARGIN) {
            draw(canvas, frame.get(), space.get(), width, height);
        } else {
            picture.clear();
        }
    }

    private void draw(GraphicsContext canvas, Frame frame, PhotoSpace space, double width, double height) {
        LevelView view = LevelView.fitting(frame, MARGIN, MARGIN, width - 2 * MARGIN, height - 2 * MARGIN);
        session.photo()
                .ifPresent(photo -> picture.show(photo, PhotoLoader.edgeFor(view.scale() * Nodes.outputScale(this))));
        LevelView.ScreenBox box = view.toScreen(frame);
        canvas.save();
        canvas.beginPath();
        canvas.rect(box.x(), box.y(), box.width(), box.height());
        canvas.clip();
        session.format()
                .ifPresent(format -> picture.draw(
                        new PhotoPainter(canvas, view),
                        space,
                        frame,
                        session.framing().fill(format)));
        canvas.restore();
    }
}
