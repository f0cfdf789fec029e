package nexa.desktop.view;

import java.util.concurrent.Executor;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;

/** Makes the small panes. */
public final class Panes {
    private final Session session;
    private final PhotoLoader loader;
    private final Executor fx;

    public Panes(Session session, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.loader = loader;
        this.fx = fx;
    }

    public PaneLayer.Content of(DeskView.DeskPane pane) {
        return switch (pane) {
            case SHAPE -> new ShapePane(session);
            case NUMBERS -> new NumbersPane(session);
            case OVERLAY -> new OverlayPane(session);
            case LOOK -> new LookPane(session);
            case CARRY -> new CarryPane(session);
            case ALTERNATES -> new AlternatesPane(session, loader, fx);
        };
    }

    public PaneLayer.Content steps() {
        return new StepsPane(session, loader, fx);
    }
}
