package nexa.desktop.desk.area;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.Subscription;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.widget.Nodes;

/**
 * What the desk shows: the usual, or in its place what belongs to the Bench's mode, which is made when it shows for the
 * first time.
 */
public final class WorkAreas extends HBox {
    private final Node usual;
    private final Map<BenchMode, Supplier<WorkArea>> makers;
    private final Map<BenchMode, WorkArea> made = new EnumMap<>(BenchMode.class);
    private final Subscription subscription;

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
        this.usual = usual;
        makers = Map.of(
                BenchMode.PLUMB,
                () -> new PlumbArea(models, keys, mode, tiltAdjusting, openPlumb),
                BenchMode.TRIM,
                () -> new TrimArea(models, keys, mode, autoTrim),
                BenchMode.NEUTRAL,
                () -> new NeutralArea(models, keys, mode),
                BenchMode.EYES,
                () -> new EyesArea(models, keys, mode));
        HBox.setHgrow(usual, Priority.ALWAYS);
        HBox.setHgrow(this, Priority.ALWAYS);
        getChildren().add(usual);
        subscription = mode.subscribe(this::show);
    }

    private void show(BenchMode mode) {
        Supplier<WorkArea> maker = makers.get(mode);
        if (maker != null && !made.containsKey(mode)) {
            WorkArea area = maker.get();
            made.put(mode, area);
            getChildren().add(area);
        }
        Nodes.show(usual, maker == null);
        made.forEach((of, area) -> Nodes.show(area, of == mode));
    }

    /** Where the plumb's pane opens, while the photo is stood up. */
    public Optional<Node> plumb() {
        return Optional.<Node>ofNullable(made.get(BenchMode.PLUMB)).filter(Node::isVisible);
    }

    public void dispose() {
        subscription.unsubscribe();
        made.values().forEach(WorkArea::dispose);
    }
}
