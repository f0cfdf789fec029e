package nexa.desktop;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import nexa.desktop.keys.Keys;
import nexa.desktop.lens.LensListView;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.LevelReviewView;
import nexa.desktop.pane.PrepareView;
import nexa.desktop.pane.ReviewFrame;
import nexa.desktop.pane.TrimReviewView;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.review.LevelProposals;
import nexa.desktop.review.Preparing;
import nexa.desktop.review.Proposals;
import nexa.desktop.review.TrimProposals;
import nexa.desktop.session.Session;
import nexa.shoot.photo.Photo;

/** The lists that are gone through in place of a view; one at a time. */
final class ReviewLists {
    private final ShootModels models;
    private final PhotoLoader loader;
    private final Executor work;
    private final Executor fx;
    private final Consumer<Node> show;
    private final Runnable closed;
    private Optional<ReviewFrame> open = Optional.empty();

    /**
     * @param show puts a list in the view's place
     * @param closed puts the view back
     */
    ReviewLists(
            ShootModels models, PhotoLoader loader, Executor work, Executor fx, Consumer<Node> show, Runnable closed) {
        this.models = models;
        this.loader = loader;
        this.work = work;
        this.fx = fx;
        this.show = show;
        this.closed = closed;
    }

    boolean isOpen() {
        return open.isPresent();
    }

    /** How the chosen photos would be levelled. */
    void openLevels() {
        open(new LevelReviewView(
                models.session(), proposals(new LevelProposals(models.session().shoot())), loader, fx, this::close));
    }

    /** What borders the chosen photos have. */
    void openTrims() {
        open(new TrimReviewView(
                models.session(), proposals(new TrimProposals(models.session().shoot())), loader, fx, this::close));
    }

    private <F> Proposals<F> proposals(Proposals.Looking<F> looking) {
        Session session = models.session();
        return new Proposals<>(session.shoot(), session.selection().chosen(), looking, work, fx);
    }

    /** All that help can do for the chosen photos, or for all that are shown. */
    void openPrepare(Keys keys) {
        Session session = models.session();
        boolean all = session.selection().property().get().size() < 2;
        List<Photo> photos = (all
                        ? session.list().photos()
                        : session.selection().chosen())
                .stream().filter(photo -> !session.framing(photo).setAside()).toList();
        Preparing preparing = new Preparing(session.shoot(), photos, models.preparer()::look, work, fx);
        open(new PrepareView(session, keys, preparing, loader, fx, this::close));
    }

    boolean pressed(KeyEvent event) {
        return open.filter(list -> list.pressed(event)).isPresent();
    }

    /** What lenses the shoot was taken with. */
    void openLenses() {
        open(new LensListView(models, loader, fx, this::close));
    }

    private void open(ReviewFrame list) {
        close();
        open = Optional.of(list);
        show.accept(list);
    }

    /** False if there was none. */
    boolean close() {
        Optional<ReviewFrame> gone = open;
        open = Optional.empty();
        gone.ifPresent(list -> {
            list.dispose();
            closed.run();
        });
        return gone.isPresent();
    }
}
