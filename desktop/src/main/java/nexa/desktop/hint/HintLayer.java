package nexa.desktop.hint;

import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.util.Subscription;
import nexa.desktop.setting.Hint;
import nexa.words.Words;

/** Says the step that is pointed out, beside what it is taken with. Lies over the views and takes no presses. */
public final class HintLayer extends Pane {
    private static final double WIDTH = 300;
    private static final double GAP = 10;

    /** How far below the upper edge of what is as high as the window. */
    private static final double DOWN = 60;

    private final Label words = new Label();
    private final Function<Hint, Optional<Node>> places;
    private final Subscription subscription;
    private Optional<Hint> hint = Optional.empty();

    /** @param places what each step is taken with; nothing if it does not show */
    public HintLayer(HintModel model, Function<Hint, Optional<Node>> places) {
        this.places = places;
        setMouseTransparent(true);
        words.setId("hint");
        words.getStyleClass().add("hint");
        words.setWrapText(true);
        words.setMaxWidth(WIDTH);
        words.setVisible(false);
        getChildren().add(words);
        subscription = model.shownProperty().subscribe(this::show);
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
        beside.ifPresent(this::place);
    }

    private Bounds inHere(Node node) {
        return sceneToLocal(node.localToScene(node.getBoundsInLocal()));
    }

    /**
     * Below what lies high, above what lies low, beside what is as high as the window, and at the right end of what is as
     * wide.
     */
    private void place(Bounds beside) {
        double width = Math.min(WIDTH, Math.ceil(words.prefWidth(-1)));
        double height = Math.ceil(words.prefHeight(width));
        boolean tall = beside.getHeight() > getHeight() / 2;
        double x = tall
                ? beside.getMaxX() + GAP
                : beside.getWidth() > getWidth() / 2 ? beside.getMaxX() - width - GAP : beside.getCenterX() - width / 2;
        double y = tall
                ? beside.getMinY() + DOWN
                : beside.getCenterY() < getHeight() / 2 ? beside.getMaxY() + GAP : beside.getMinY() - height - GAP;
        words.resizeRelocate(
                Math.round(Math.clamp(x, GAP, Math.max(GAP, getWidth() - width - GAP))),
                Math.round(Math.clamp(y, GAP, Math.max(GAP, getHeight() - height - GAP))),
                width,
                height);
    }
}
