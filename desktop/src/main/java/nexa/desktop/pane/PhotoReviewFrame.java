package nexa.desktop.pane;

import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.Executor;
import javafx.collections.ListChangeListener;
import javafx.collections.ObservableList;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.FramePicture;
import nexa.shoot.photo.Photo;

/**
 * A list of what is proposed for photos: a row for each, with pictures of the photo.
 *
 * @param <T> what is proposed for one photo
 */
abstract class PhotoReviewFrame<T> extends ReviewFrame {
    private static final double PICTURE = 132;

    private final Session session;
    private final ObservableList<T> items;
    private final PhotoLoader loader;
    private final Executor fx;
    private final ProgressBar progress = new ProgressBar(0);
    private final Map<Photo, FramePicture> pictures = new HashMap<>();

    /** @param title key of its words */
    PhotoReviewFrame(
            String title, Session session, ObservableList<T> items, PhotoLoader loader, Executor fx, Runnable done) {
        super(title, "review-done", done);
        this.session = session;
        this.items = items;
        this.loader = loader;
        this.fx = fx;
    }

    /** To be called when the list is ready to make rows. */
    final void start() {
        items.forEach(item -> rows().getChildren().add(row(item)));
        items.addListener((ListChangeListener<T>) this::changed);
        refresh();
    }

    abstract Photo photo(T item);

    abstract HBox row(T item);

    /** Called after the list changed. */
    abstract void refresh();

    /** How far the search is. */
    final ProgressBar progress() {
        return progress;
    }

    final void showProgress(long open) {
        progress.setVisible(open > 0);
        progress.setProgress(items.isEmpty() ? 1 : 1 - (double) open / items.size());
    }

    private void changed(ListChangeListener.Change<? extends T> change) {
        while (change.next()) {
            for (int i = change.getFrom(); i < change.getTo(); i++) {
                rows().getChildren().set(i, row(items.get(i)));
            }
        }
        refresh();
    }

    /** What is drawn on a photo. */
    @FunctionalInterface
    interface Drawing {
        void draw(GraphicsContext canvas, LevelView view, double width, double height);
    }

    /** A photo as it would be held, and what is drawn on it; as wide for every photo, so that pictures stand in columns. */
    final StackPane picture(Photo photo, PhotoSpace space, Drawing drawing) {
        return slot(
                new DrawnPane() {
                    @Override
                    public void draw(GraphicsContext canvas, double width, double height) {
                        LevelView view = LevelView.fitting(space.upright().aspect(), 0, 0, width, height);
                        canvas.setFill(Color.gray(0.82));
                        canvas.fillRect(0, 0, width, height);
                        pixels(photo).corrected(space).ifPresent(p -> new PhotoPainter(canvas, view).photo(p, space));
                        drawing.draw(canvas, view, width, height);
                    }
                },
                space.upright().aspect());
    }

    /** Nothing in place of a picture. */
    final StackPane noPicture() {
        return slot(
                new DrawnPane() {
                    @Override
                    public void draw(GraphicsContext canvas, double width, double height) {}
                },
                1);
    }

    private static StackPane slot(DrawnPane pane, double aspect) {
        pane.getStyleClass().add("review-picture");
        pane.fit(PICTURE, aspect);
        StackPane slot = new StackPane((Region) pane);
        slot.setMinWidth(PICTURE);
        slot.setMaxWidth(PICTURE);
        return slot;
    }

    private FramePicture pixels(Photo photo) {
        return pictures.computeIfAbsent(photo, p -> {
            FramePicture picture = new FramePicture(session.shoot(), loader, fx, () -> redraw(p));
            picture.show(p, PhotoLoader.SMALL);
            return picture;
        });
    }

    private void redraw(Photo photo) {
        for (int i = 0; i < items.size(); i++) {
            if (photo(items.get(i)).equals(photo)) {
                HBox row = (HBox) rows().getChildren().get(i);
                row.lookupAll(".review-picture").forEach(node -> ((DrawnPane) node).redraw());
            }
        }
    }

    @Override
    public void dispose() {
        pictures.values().forEach(FramePicture::clear);
    }
}
