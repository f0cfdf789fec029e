package nexa.desktop.desk;

import java.util.function.BiFunction;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleFunction;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.plumb.Plumb;
import nexa.desktop.desk.area.AmountSlider;
import nexa.desktop.model.Plumbing;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.PaneLayer;
import nexa.words.Words;

/** What finishes a plumb: size, place and proportions. */
public final class PlumbPane implements PaneLayer.BesideView {
    private static final double CLOSEST = 2;

    private final Plumbing plumbing;
    private final AmountSlider scale;
    private final AmountSlider right;
    private final AmountSlider down;
    private final AmountSlider stretch;
    private final VBox node;
    private final Subscription subscription;

    public PlumbPane(ShootModels models) {
        plumbing = models.plumbing();
        DoubleFunction<String> percent = value ->
                Words.of("desk.percent", Long.toString(Math.round(100 * value)).replace('-', '−'));
        scale = slider(
                "plumb.scale",
                1 / CLOSEST,
                CLOSEST,
                1,
                percent,
                (plumb, value) -> plumb.finished(value, plumb.right(), plumb.down(), plumb.stretch()));
        right = slider(
                "plumb.right",
                -0.5,
                0.5,
                0,
                percent,
                (plumb, value) -> plumb.finished(plumb.scale(), value, plumb.down(), plumb.stretch()));
        down = slider(
                "plumb.down",
                -0.5,
                0.5,
                0,
                percent,
                (plumb, value) -> plumb.finished(plumb.scale(), plumb.right(), value, plumb.stretch()));
        stretch = slider(
                "plumb.stretch",
                1 / CLOSEST,
                CLOSEST,
                1,
                value -> Words.number("%.2f", value),
                (plumb, value) -> plumb.finished(plumb.scale(), plumb.right(), plumb.down(), value));
        Label note = new Label(Words.of(plumbing.isFocalKnown() ? "plumb.focal.known" : "plumb.focal.unknown"));
        note.getStyleClass().add("note");
        note.setWrapText(true);
        node = new VBox(10, scale, right, down, stretch, note);
        node.setPrefWidth(360);
        subscription = models.session().framingProperty().subscribe(framing -> refresh());
    }

    private AmountSlider slider(
            String name,
            double least,
            double most,
            double usual,
            DoubleFunction<String> words,
            BiFunction<Plumb, Double, Plumb> change) {
        return new AmountSlider(
                name,
                least,
                most,
                usual,
                words,
                new AmountSlider.Doing(
                        value -> plumbing.preview(plumb -> change.apply(plumb, value)),
                        value -> plumbing.edit(plumb -> change.apply(plumb, value))));
    }

    private void refresh() {
        show(scale, Plumb::scale);
        show(right, Plumb::right);
        show(down, Plumb::down);
        show(stretch, Plumb::stretch);
    }

    private void show(AmountSlider slider, ToDoubleFunction<Plumb> value) {
        slider.show(value.applyAsDouble(plumbing.shown()));
    }

    @Override
    public String title() {
        return Words.of("plumb.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
    }
}
