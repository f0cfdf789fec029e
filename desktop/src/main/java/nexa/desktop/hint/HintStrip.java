package nexa.desktop.hint;

import java.util.Map;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.util.Subscription;
import nexa.desktop.setting.Hint;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;

/** Says the step that is pointed out, next to what it is taken with. */
public final class HintStrip extends Region {
    private static final double WIDEST = 720;
    private static final double GAP = 8;
    private static final double EDGE = 4;

    private final Label words = new Label();
    private final Button away;
    private final boolean hasRoom;
    private final Map<Hint, Node> places;
    private final Subscription subscription;
    private Optional<Node> beside = Optional.empty();

    /**
     * @param hasRoom whether it takes room of its own, and so moves what is below it when it comes and goes; else it lies over
     *     the lower edge of what is above it
     * @param places what each step is taken with that is pointed out here, above or below the strip
     */
    HintStrip(HintModel model, boolean hasRoom, Map<Hint, Node> places) {
        this.hasRoom = hasRoom;
        this.places = places;
        getStyleClass().add("hints");
        away = Buttons.icon(MaterialDesignC.CLOSE, "hint.away", model::understood);
        away.getStyleClass().add("small");
        away.setId("hint-away");
        away.setFocusTraversable(false);
        words.setId("hint");
        words.getStyleClass().add("hint");
        words.setWrapText(true);
        words.setMouseTransparent(true);
        setPickOnBounds(false);
        getChildren().addAll(words, away);
        Subscription following = model.shownProperty().subscribe(this::show);
        subscription = places.values().stream()
                .map(place -> place.localToSceneTransformProperty().subscribe(this::requestLayout))
                .reduce(following, Subscription::and);
    }

    void dispose() {
        subscription.unsubscribe();
    }

    private void show(Optional<Hint> hint) {
        beside = hint.map(places::get);
        words.setText(hint.map(each -> Words.of("hint", each)).orElse(""));
        setVisible(beside.isPresent());
        setManaged(beside.isPresent());
        requestLayout();
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    /** As wide as what it lies next to is; it makes nothing wider. */
    @Override
    protected double computePrefWidth(double height) {
        return 0;
    }

    @Override
    protected double computePrefHeight(double width) {
        return hasRoom ? heightOfWords(widthOfWords(width)) + 2 * GAP : 0;
    }

    private double widthOfWords(double width) {
        return Math.min(Math.min(WIDEST, Math.max(0, width - 2 * GAP)), Math.ceil(words.prefWidth(-1)));
    }

    private double heightOfWords(double width) {
        return Math.max(Math.ceil(words.prefHeight(width)), Math.ceil(away.minWidth(-1)) + 2);
    }

    /** From where that begins, or up to where it ends if it is as wide as the window. */
    @Override
    protected void layoutChildren() {
        double width = widthOfWords(getWidth());
        double height = heightOfWords(width);
        double x = beside.map(this::inHere)
                .map(place -> place.getWidth() > getWidth() / 2 ? place.getMaxX() - width - GAP : place.getMinX())
                .orElse(GAP);
        double y = hasRoom ? GAP : -height - GAP;
        words.resizeRelocate(Math.round(Math.clamp(x, GAP, Math.max(GAP, getWidth() - width - GAP))), y, width, height);
        double side = Math.max(away.minWidth(-1), away.prefWidth(-1));
        double edge = Math.clamp(Math.floor((height - side) / 2), 0, EDGE); // less beside a single line
        away.resizeRelocate(words.getLayoutX() + width - side - EDGE, y + edge, side, side);
    }

    private Bounds inHere(Node node) {
        return sceneToLocal(node.localToScene(node.getBoundsInLocal()));
    }
}
