package nexa.desktop.hint;

import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.util.Subscription;
import nexa.desktop.setting.Hint;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;

/** Says the step that is pointed out, beside what it is taken with. Lies over the views and takes no presses but on its cross. */
public final class HintLayer extends Pane {
    private static final double WIDTH = 300;
    private static final double GAP = 10;
    private static final double EDGE = 4;

    /** How far below the upper edge of what is as high as the window. */
    private static final double DOWN = 60;

    private final Label words = new Label();
    private final Button away;
    private final Region top;
    private final Function<Hint, Optional<Node>> places;
    private final Subscription subscription;
    private Optional<Hint> hint = Optional.empty();

    /**
     * @param top what lies along the window's upper edge, notices among it, over which no hint is to lie
     * @param places what each step is taken with; nothing if it does not show
     */
    public HintLayer(HintModel model, Region top, Function<Hint, Optional<Node>> places) {
        this.top = top;
        this.places = places;
        setPickOnBounds(false);
        away = Buttons.icon(MaterialDesignC.CLOSE, "hint.away", model::understood);
        away.getStyleClass().add("small");
        away.setId("hint-away");
        away.setFocusTraversable(false);
        words.setMouseTransparent(true);
        words.setId("hint");
        words.getStyleClass().add("hint");
        words.setWrapText(true);
        words.setMaxWidth(WIDTH);
        words.setCache(true); // its shadow is not blurred anew at every pulse in which the Bench changes
        words.setVisible(false);
        away.setVisible(false);
        getChildren().addAll(words, away);
        subscription = Subscription.combine(
                model.shownProperty().subscribe(this::show),
                top.heightProperty().subscribe(this::requestLayout));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void show(Optional<Hint> now) {
        hint = now;
        words.setText(now.map(each -> Words.of("hint", each)).orElse(""));
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        Optional<Bounds> beside = hint.flatMap(places).map(this::inHere);
        words.setVisible(beside.isPresent());
        away.setVisible(beside.isPresent());
        beside.ifPresent(this::place);
    }

    private Bounds inHere(Node node) {
        return sceneToLocal(node.localToScene(node.getBoundsInLocal()));
    }

    private boolean low(Bounds place) {
        return place.getCenterY() > getHeight() / 2;
    }

    private double below() {
        return inHere(top).getMaxY();
    }

    /**
     * Below all that lies high, above what lies low, beside what is as high as the window, and at the right end of what is as
     * wide.
     */
    private void place(Bounds beside) {
        double width = Math.min(WIDTH, Math.ceil(words.prefWidth(-1)));
        double height = Math.ceil(words.prefHeight(width));
        boolean tall = beside.getHeight() > getHeight() / 2;
        double x = tall
                ? beside.getMaxX() + GAP
                : beside.getWidth() > getWidth() / 2 ? beside.getMaxX() - width - GAP : beside.getMinX();
        double y = tall ? beside.getMinY() + DOWN : low(beside) ? beside.getMinY() - height - GAP : below() + GAP;
        words.resizeRelocate(
                Math.round(Math.clamp(x, GAP, Math.max(GAP, getWidth() - width - GAP))),
                Math.round(Math.clamp(y, GAP, Math.max(GAP, getHeight() - height - GAP))),
                width,
                height);
        double side = away.prefWidth(-1);
        away.resizeRelocate(
                words.getLayoutX() + width - side - EDGE, words.getLayoutY() + EDGE, side, away.prefHeight(-1));
    }
}
