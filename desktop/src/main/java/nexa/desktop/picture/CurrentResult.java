package nexa.desktop.picture;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.canvas.GraphicsContext;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.Nodes;

/**
 * The current photo's result in the active format, and nothing else, as large as fits; while there is no format yet, the photo.
 * It follows all that is done.
 */
public final class CurrentResult extends DrawnPane {
    private static final double MARGIN = 24;

    private final Session session;
    private final FramePicture picture;
    private final Subscription subscriptions;
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");

    public CurrentResult(Session session, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.picture = new FramePicture(session.shoot(), loader, fx, this::redraw);
        subscriptions = Follow.each(
                this::redraw,
                session.photoProperty(),
                session.formatProperty(),
                session.framingProperty(),
                session.editsProperty());
    }

    /** Why the photo can't be shown; empty if it can, or there is none. */
    public ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    public void dispose() {
        subscriptions.unsubscribe();
        picture.clear();
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        Optional<PhotoSpace> space = session.space();
        if (space.isPresent() && width > 2 * MARGIN && height > 2 * MARGIN) {
            draw(canvas, space.get(), width, height);
        } else {
            picture.clear();
        }
        trouble.set(session.photo().map(picture::said).orElse(""));
    }

    private void draw(GraphicsContext canvas, PhotoSpace space, double width, double height) {
        Optional<Frame> frame = session.frame();
        Frame shown = frame.orElseGet(space::extent);
        LevelView view = LevelView.fitting(shown, MARGIN, MARGIN, width - 2 * MARGIN, height - 2 * MARGIN);
        session.photo()
                .ifPresent(photo -> picture.show(photo, PhotoLoader.edgeFor(view.scale() * Nodes.outputScale(this))));
        LevelView.ScreenBox box = view.toScreen(shown);
        canvas.save();
        canvas.beginPath();
        canvas.rect(box.x(), box.y(), box.width(), box.height());
        canvas.clip();
        PhotoPainter painter = new PhotoPainter(canvas, view);
        Optional<Format> format = session.format();
        if (frame.isPresent() && format.isPresent()) {
            picture.draw(painter, space, shown, session.framing().fill(format.get()));
        } else {
            picture.corrected(space).ifPresent(photo -> painter.photo(photo, space));
        }
        canvas.restore();
    }
}
