package nexa.desktop.hint;

import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.MainView;

/** The first steps through a shoot, each pointed out where it is taken. */
public final class FirstSteps {
    private final HintModel model;
    private final HintLayer layer;

    /**
     * @param rail where shapes are chosen
     * @param viewButtons what shows each view
     * @param desk with what a frame is carried with at its right end
     * @param top where those are, with what is said below them; the others show as long as it does
     */
    public FirstSteps(ShootModels models, Node rail, Function<MainView, Node> viewButtons, Node desk, Region top) {
        this.model = new HintModel(models.session(), models.counts());
        this.layer = new HintLayer(model, top, hint -> Optional.of(
                        switch (hint) {
                            case SHAPES -> rail;
                            case LOOK -> viewButtons.apply(MainView.BENCH);
                            case CARRY -> desk;
                            case HANDOVER -> viewButtons.apply(MainView.HANDOVER);
                        })
                .filter(place -> top.isVisible()));
    }

    /** What lies over the views. */
    public HintLayer layer() {
        return layer;
    }

    /** Points all steps out once more. */
    public void again() {
        model.again();
    }

    public void dispose() {
        layer.dispose();
        model.dispose();
    }
}
