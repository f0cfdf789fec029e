package nexa.desktop.desk;

import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.session.Session;
import nexa.desktop.setting.MatTone;
import nexa.desktop.setting.Mover;
import nexa.desktop.setting.Settings;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.words.Words;

/** How the Bench looks and behaves: the mat, what a drag moves, snapping. */
public final class LookPane implements PaneLayer.BesideView {
    private final Slider strength = new Slider(0, 1, 1);
    private final CheckBox snapping = new CheckBox(Words.of("look.snapping"));
    private final CheckBox neighbours = new CheckBox(Words.of("look.neighbours"));
    private final Choices<MatTone> tone;
    private final Choices<Mover> mover;
    private final VBox node;
    private final Subscription subscriptions;

    public LookPane(Session session) {
        Settings settings = session.settings();
        tone = new Choices<>("tone", MatTone.values(), settings.matToneProperty());
        mover = new Choices<>("mover", Mover.values(), settings.moverProperty());
        strength.setId("mat-strength");
        strength.setPrefWidth(190);
        Buttons.explain(strength, Words.of("look.mat.tip"));
        strength.valueProperty()
                .subscribe((before, now) -> settings.matStrengthProperty().set(now.doubleValue()));
        snapping.setId("snapping");
        snapping.setOnAction(event -> settings.snappingProperty().set(snapping.isSelected()));
        Buttons.explain(snapping, Words.of("look.snapping.tip"));
        neighbours.setId("neighbours");
        neighbours.setOnAction(event -> settings.neighboursProperty().set(neighbours.isSelected()));
        Buttons.explain(neighbours, Words.of("look.neighbours.tip"));
        GridPane grid = new GridPane(14, 10);
        grid.addRow(0, Labels.field("look.mat"), strength);
        grid.addRow(1, Labels.field("look.tone"), tone);
        grid.addRow(2, Labels.field("look.mover"), mover);
        grid.addRow(3, new Label(), snapping);
        grid.addRow(4, new Label(), neighbours);
        node = new VBox(grid);
        subscriptions = Subscription.combine(
                settings.matStrengthProperty().subscribe(value -> strength.setValue(value)),
                settings.neighboursProperty().subscribe(value -> neighbours.setSelected(value)),
                settings.snappingProperty().subscribe(value -> snapping.setSelected(value)));
    }

    @Override
    public String title() {
        return Words.of("look.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscriptions.unsubscribe();
        tone.dispose();
        mover.dispose();
    }
}
