package nexa.desktop.desk;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.desktop.picture.Miniature;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Settings;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;

/** The overlays of the user's cycle as miniatures; a second click takes the overlay away. */
final class OverlayPicker extends HBox {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");
    private static final double WIDTH = 38;
    private static final double HEIGHT = 34;

    /** More would be no picker any more; the pane has all. */
    private static final int MOST_SHOWN = 7;

    private static final double GAP = 4;

    /** What each adds. */
    private static final double EACH = 46 + GAP;

    /** A miniature comes only where there is more room than it needs, so that none comes and goes with a figure's digits. */
    private static final double SPARE = 8;

    private final Session session;
    private final Map<Overlay, Button> buttons = new EnumMap<>(Overlay.class);
    private final Subscription subscriptions;
    private double drawnAspect;
    private int most = 1;

    OverlayPicker(Session session) {
        super(GAP);
        setMinHeight(HEIGHT + 8); // the row stays where it is without any
        this.session = session;
        Settings settings = session.settings();
        subscriptions = Subscription.combine(
                Follow.each(this::fill, settings.cycleProperty(), settings.overlayProperty()),
                settings.overlayOptionsProperty().subscribe(options -> refresh()),
                Follow.each(this::reshape, session.formatProperty(), session.framingProperty()));
    }

    /** Shows as many of them as there is room for, which may be less than none. */
    void fit(double room) {
        int fitting = fitting(room) < most ? fitting(room) : Math.max(most, fitting(room - SPARE));
        int now = Math.clamp(fitting, 0, MOST_SHOWN);
        if (now != most) {
            most = now;
            fill();
        }
    }

    private static int fitting(double room) {
        return (int) Math.floor((room + GAP) / EACH);
    }

    void dispose() {
        subscriptions.unsubscribe();
    }

    /** The cycle's, and the one that shows if it is not among them. */
    private void fill() {
        List<Overlay> cycle = session.settings().cycleProperty().get().overlays();
        Optional<Overlay> shown = session.overlayProperty().get().overlay();
        boolean among = shown.map(overlay -> cycle.indexOf(overlay) < most && cycle.contains(overlay))
                .orElse(true);
        showButtons(Stream.concat(
                        cycle.stream().limit(among ? most : Math.max(0, most - 1L)),
                        shown.stream().limit(most))
                .distinct()
                .toList());
        refresh();
    }

    private void showButtons(List<Overlay> overlays) {
        if (!List.copyOf(buttons.keySet()).equals(overlays.stream().sorted().toList())) {
            buttons.keySet().retainAll(overlays);
            overlays.forEach(overlay -> buttons.computeIfAbsent(overlay, this::button));
            getChildren().setAll(buttons.values());
        }
    }

    private Button button(Overlay overlay) {
        Button button = new Picked(overlay);
        button.getStyleClass().add("miniature");
        button.setId("overlay-" + overlay.name());
        Buttons.explain(button, Words.of(overlay));
        button.setOnAction(event -> pick(overlay));
        return button;
    }

    /** One of a group of which at most one is taken. */
    private final class Picked extends Button {
        private final Overlay overlay;

        Picked(Overlay overlay) {
            super(null, new Miniature(WIDTH, HEIGHT));
            this.overlay = overlay;
            setAccessibleRole(AccessibleRole.RADIO_BUTTON);
        }

        @Override
        public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
            return attribute == AccessibleAttribute.SELECTED
                    ? (Object) session.overlayProperty()
                            .get()
                            .overlay()
                            .filter(overlay::equals)
                            .isPresent()
                    : super.queryAccessibleAttribute(attribute, parameters);
        }
    }

    private void pick(Overlay overlay) {
        session.overlayProperty().set(picked(session.overlayProperty().get(), overlay));
    }

    /** The overlay, or none if it shows already. */
    static OverlayChoice picked(OverlayChoice shown, Overlay overlay) {
        boolean again = shown.overlay().filter(overlay::equals).isPresent();
        return again ? new OverlayChoice(Optional.empty(), 0) : OverlayChoice.of(overlay);
    }

    /** While a frame is moved its shape stays, and so do the miniatures. */
    private void reshape() {
        double aspect = session.frame().map(Frame::aspect).orElse(1.5);
        if (Miniature.looksDifferent(aspect, drawnAspect)) {
            refresh();
        }
    }

    private void refresh() {
        double aspect = session.frame().map(Frame::aspect).orElse(1.5);
        drawnAspect = aspect;
        OverlayChoice choice = session.overlayProperty().get();
        OverlayOptions options = session.settings().overlayOptionsProperty().get();
        buttons.forEach((overlay, button) -> {
            boolean active = choice.overlay().filter(overlay::equals).isPresent();
            button.pseudoClassStateChanged(ACTIVE, active);
            int orientation = active ? choice.orientation() : 0;
            ((Miniature) button.getGraphic()).show(overlay, options, orientation, aspect);
        });
    }
}
