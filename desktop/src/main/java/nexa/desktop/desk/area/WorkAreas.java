package nexa.desktop.desk.area;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;

/** What the desk shows: the usual, or in its place what belongs to the Bench's mode. */
public final class WorkAreas extends HBox {
    private final PlumbArea plumb;
    private final TrimArea trim;
    private final NeutralArea neutral;
    private final EyesArea eyes;

    /**
     * @param usual what shows while the mode has nothing of its own
     * @param openPlumb opens the plumb's pane
     */
    public WorkAreas(
            Node usual,
            ShootModels models,
            Keys keys,
            ObjectProperty<BenchMode> mode,
            BooleanProperty tiltAdjusting,
            Runnable openPlumb,
            Runnable autoTrim) {
        plumb = new PlumbArea(models, keys, mode, tiltAdjusting, openPlumb);
        trim = new TrimArea(models, keys, mode, autoTrim);
        neutral = new NeutralArea(models, keys, mode);
        eyes = new EyesArea(models, keys, mode);
        Map<BenchMode, Node> own = new EnumMap<>(
                Map.of(BenchMode.PLUMB, plumb, BenchMode.TRIM, trim, BenchMode.NEUTRAL, neutral, BenchMode.EYES, eyes));
        HBox.setHgrow(usual, Priority.ALWAYS);
        HBox.setHgrow(this, Priority.ALWAYS);
        getChildren().addAll(usual, plumb, trim, neutral, eyes);
        mode.subscribe(now -> {
            show(usual, !own.containsKey(now));
            own.forEach((of, area) -> show(area, of == now));
        });
    }

    private static void show(Node area, boolean shows) {
        area.setVisible(shows);
        area.setManaged(shows);
    }

    /** Where the plumb's pane opens, while the photo is stood up. */
    public Optional<Node> plumb() {
        return Optional.<Node>of(plumb).filter(Node::isVisible);
    }

    public void dispose() {
        plumb.dispose();
        trim.dispose();
        neutral.dispose();
        eyes.dispose();
    }
}
