package nexa.desktop.pane;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.level.LevelLine;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.review.Preparing.Item;
import nexa.desktop.session.Session;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.Prepared;

/** A photo as it is, with what help saw on it, and as it would be, with the frame that would follow. */
final class PreparePictures {
    private static final double LARGE = 150;
    private static final double SMALL = 84;
    private static final double MARK = 4;

    private final Session session;
    private final ReviewPictures pictures;

    PreparePictures(Session session, ReviewPictures pictures) {
        this.session = session;
        this.pictures = pictures;
    }

    StackPane before(Item item) {
        return before(item, LARGE);
    }

    StackPane after(Item item) {
        return after(item, LARGE);
    }

    StackPane smallBefore(Item item) {
        return before(item, SMALL);
    }

    StackPane smallAfter(Item item) {
        return after(item, SMALL);
    }

    private StackPane before(Item item, double side) {
        Prepared prepared = item.prepared().orElseThrow();
        PhotoSpace space = space(item.photo(), prepared.before());
        List<LevelLine> lines = side < LARGE ? List.of() : prepared.lines();
        return pictures.picture(item.photo(), space, side, (canvas, view, width, height) -> {
            for (LevelLine line : lines) {
                PhotoPainter.accentLine(
                        canvas,
                        view.toScreen(space.toLevel(line.from())),
                        view.toScreen(space.toLevel(line.to())),
                        1.2);
            }
        });
    }

    /** With all that is proposed, also what is doubtful, unless it was decided otherwise. */
    private StackPane after(Item item, double side) {
        Prepared prepared = item.prepared().orElseThrow();
        Framing after =
                switch (item.choice()) {
                    case OPEN, TAKEN, ADJUSTED -> prepared.all();
                    case LEFT -> prepared.before();
                };
        PhotoSpace space = space(item.photo(), after);
        Optional<Frame> frame = session.format().map(format -> frame(space, after, format));
        return pictures.picture(item.photo(), space, side, (canvas, view, width, height) -> {
            frame.ifPresent(shown -> mat(canvas, view, shown, width, height));
            new PhotoPainter(canvas, view).marks(after.marks().in(space), side < LARGE ? MARK / 2 : MARK, false);
        });
    }

    private Frame frame(PhotoSpace space, Framing framing, Format format) {
        return Derivation.frame(space, framing, format, session.brief());
    }

    private static void mat(GraphicsContext canvas, LevelView view, Frame frame, double width, double height) {
        ScreenBox box = view.toScreen(frame);
        canvas.setFill(Color.gray(1, 0.6));
        canvas.fillRect(0, 0, width, box.y());
        canvas.fillRect(0, box.y() + box.height(), width, height);
        canvas.fillRect(0, box.y(), box.x(), box.height());
        canvas.fillRect(box.x() + box.width(), box.y(), width, box.height());
        new PhotoPainter(canvas, view).edge(frame);
    }

    private static PhotoSpace space(Photo photo, Framing framing) {
        return photo.space(framing.pose());
    }

    void forget(Photo photo) {
        pictures.forget(photo);
    }

    void dispose() {
        pictures.dispose();
    }
}
