package nexa.desktop.pane;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.widget.DrawnPane;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** Small pictures of photos as they are or would be held, with something drawn on them. */
final class ReviewPictures {
    /** What is drawn on a photo. */
    @FunctionalInterface
    interface Drawing {
        void draw(GraphicsContext canvas, LevelView view, double width, double height);
    }

    private final Shoot shoot;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Map<Photo, FramePicture> pictures = new HashMap<>();
    private final Map<Photo, List<DrawnPane>> panes = new HashMap<>();

    ReviewPictures(Shoot shoot, PhotoLoader loader, Executor fx) {
        this.shoot = shoot;
        this.loader = loader;
        this.fx = fx;
    }

    /** As wide for every photo, so that pictures stand in columns. @param side of the square that it fills, in pixels */
    StackPane picture(Photo photo, PhotoSpace space, double side, Drawing drawing) {
        double aspect = space.upright().aspect();
        DrawnPane pane = new DrawnPane() {
            @Override
            public void draw(GraphicsContext canvas, double width, double height) {
                LevelView view = LevelView.fitting(aspect, 0, 0, width, height);
                canvas.setFill(Palette.WAITING);
                canvas.fillRect(0, 0, width, height);
                pixels(photo).corrected(space).ifPresent(p -> new PhotoPainter(canvas, view).photo(p, space));
                drawing.draw(canvas, view, width, height);
            }
        };
        panes.computeIfAbsent(photo, p -> new ArrayList<>()).add(pane);
        return slot(pane, side, aspect);
    }

    /** Nothing in place of a picture. */
    static StackPane none(double side) {
        return slot(
                new DrawnPane() {
                    @Override
                    public void draw(GraphicsContext canvas, double width, double height) {}
                },
                side,
                1);
    }

    private static StackPane slot(DrawnPane pane, double side, double aspect) {
        pane.getStyleClass().add("review-picture");
        pane.fit(side, aspect);
        StackPane slot = new StackPane((Region) pane);
        slot.setMinWidth(side);
        slot.setMaxWidth(side);
        return slot;
    }

    private FramePicture pixels(Photo photo) {
        return pictures.computeIfAbsent(photo, p -> {
            FramePicture picture = new FramePicture(shoot, loader, fx, () -> redraw(p));
            picture.show(p, PhotoLoader.SMALL);
            return picture;
        });
    }

    private void redraw(Photo photo) {
        panes.getOrDefault(photo, List.of()).forEach(DrawnPane::redraw);
    }

    /** Forgets the panes of a photo whose row is made anew. */
    void forget(Photo photo) {
        panes.remove(photo);
    }

    void dispose() {
        panes.clear();
        pictures.values().forEach(FramePicture::clear);
    }
}
