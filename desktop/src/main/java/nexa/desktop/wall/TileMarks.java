package nexa.desktop.wall;

import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import nexa.core.brief.Framing;
import nexa.core.carry.Carried;
import nexa.core.space.PhotoSpace;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.shoot.mark.Suggestion;
import nexa.shoot.photo.Photo;
import org.jspecify.annotations.Nullable;

/** Marks on a photo of the Wall, proposed ones, and what a carry would make of the photo. */
final class TileMarks extends DrawnPane {
    /** Radius of a mark, in canvas units. */
    private static final double MARK = 4;

    private final ShootModels models;
    private final Session session;
    private @Nullable Photo photo;

    TileMarks(ShootModels models) {
        this.models = models;
        this.session = models.session();
    }

    /** Shows what there is of a photo; nothing to lay over it is the usual case, and the fastest. */
    void show(Photo other) {
        photo = other;
        boolean any = carried(other).isPresent()
                || proposed(other).isPresent()
                || !session.framing(other).marks().isEmpty();
        setVisible(any);
        if (any) {
            redraw();
        }
    }

    private Optional<Suggestion> proposed(Photo of) {
        return Optional.ofNullable(models.marking().proposalsProperty().get().get(of));
    }

    private Optional<Carried> carried(Photo of) {
        return Optional.ofNullable(session.carry().planProperty().get().get(of));
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        if (isVisible() && photo != null) {
            draw(canvas, photo, width, height);
        }
    }

    private void draw(GraphicsContext canvas, Photo of, double width, double height) {
        Framing framing = session.framing(of);
        of.facts().map(facts -> new PhotoSpace(facts.asShot(), framing.pose())).ifPresent(space -> {
            LevelView view = PhotoTile.view(space, width, height);
            PhotoPainter painter = new PhotoPainter(canvas, view);
            session.format().ifPresent(format -> carried(of)
                    .ifPresent(carried -> Ghost.draw(canvas, view, space, carried, format, session)));
            painter.marks(framing.marks().in(space), MARK, false);
            proposed(of).ifPresent(proposed -> painter.marks(proposed.marks().in(space), MARK, true));
        });
    }
}
