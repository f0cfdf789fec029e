package nexa.desktop.lineup;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.scene.layout.BorderPane;
import javafx.util.Subscription;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;

/** Results side by side, how alike they are, and what can be done about it. */
public final class LineupView extends BorderPane {
    private final Session session;
    private final Keys keys;
    private final PhotoLoader loader;
    private final Executor fx;
    private final LineupRows rows;
    private final LineupBar bar;
    private final Subscription subscription;
    private Optional<FlipPane> flip = Optional.empty();

    /** @param propose has marks proposed for what is lined up */
    public LineupView(ShootModels models, Keys keys, PhotoLoader loader, Executor fx, Runnable propose) {
        this.session = models.session();
        this.loader = loader;
        this.fx = fx;
        getStyleClass().add("lineup");
        this.keys = keys;
        rows = new LineupRows(models, keys, loader, fx);
        bar = new LineupBar(models, keys, this::flip, propose);
        setCenter(rows);
        setBottom(bar);
        subscription = Subscription.combine(
                session.photoProperty().subscribe(photo -> flip.ifPresent(FlipPane::follow)),
                session.lineup().shownProperty().subscribe(shown -> {
                    if (shown.exemplar().isEmpty()) {
                        closeFlip();
                    }
                }));
    }

    public void dispose() {
        subscription.unsubscribe();
        closeFlip();
        rows.dispose();
        bar.dispose();
    }

    /**
     * Shows the current result and the exemplar's in the same place, one at a time; each further call shows the other.
     * Nothing while there is no exemplar.
     */
    public void flip() {
        if (flip.isPresent()) {
            flip.get().flip();
        } else if (session.lineup().shownProperty().get().exemplar().isPresent()) {
            FlipPane opened = new FlipPane(session, keys, loader, fx);
            flip = Optional.of(opened);
            setCenter(opened);
        }
    }

    private boolean closeFlip() {
        Optional<FlipPane> open = flip;
        flip = Optional.empty();
        open.ifPresent(FlipPane::dispose);
        setCenter(rows);
        return open.isPresent();
    }

    /** Gives up what goes on; false if nothing did. */
    public boolean escape() {
        return flip.isPresent() ? closeFlip() : rows.letGo();
    }
}
