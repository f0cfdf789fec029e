package nexa.desktop;

import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import nexa.desktop.beside.SideView;
import nexa.desktop.session.MainView;

/** What is in the middle of the window: a view, a list that is gone through, or results side by side in the Bench's place. */
final class Middle {
    private final BorderPane layout;
    private final Map<MainView, ? extends Node> views;
    private final Supplier<SideView> making;
    private Optional<SideView> side = Optional.empty();

    /** @param making makes what shows results side by side */
    Middle(BorderPane layout, Map<MainView, ? extends Node> views, Supplier<SideView> making) {
        this.layout = layout;
        this.views = views;
        this.making = making;
    }

    void show(MainView view) {
        forgetSide();
        layout.setCenter(views.get(view));
    }

    void show(Node list) {
        forgetSide();
        layout.setCenter(list);
    }

    /** The results side by side, if they show. */
    Optional<SideView> side() {
        return side;
    }

    void toggleSide() {
        if (!closeSide()) {
            SideView made = making.get();
            side = Optional.of(made);
            layout.setCenter(made);
        }
    }

    /** Shows the Bench again; false if nothing was side by side. */
    boolean closeSide() {
        boolean open = side.isPresent();
        if (open) {
            show(MainView.BENCH);
        }
        return open;
    }

    private void forgetSide() {
        side.ifPresent(SideView::dispose);
        side = Optional.empty();
    }
}
