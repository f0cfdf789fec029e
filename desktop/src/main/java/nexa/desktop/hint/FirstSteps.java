package nexa.desktop.hint;

import java.util.Map;
import java.util.function.Function;
import javafx.scene.Node;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.MainView;
import nexa.desktop.setting.Hint;

/** The first steps through a shoot, each pointed out where it is taken. */
public final class FirstSteps {
    private final HintModel model;
    private final HintStrip high;
    private final HintStrip low;

    /**
     * @param rail where shapes are chosen
     * @param viewButtons what shows each view
     * @param desk with what a frame is carried with at its right end
     */
    public FirstSteps(ShootModels models, Node rail, Function<MainView, Node> viewButtons, Node desk) {
        model = new HintModel(models.session(), models.counts());
        high = new HintStrip(
                model,
                true,
                Map.of(
                        Hint.SHAPES, rail,
                        Hint.LOOK, viewButtons.apply(MainView.BENCH),
                        Hint.HANDOVER, viewButtons.apply(MainView.HANDOVER)));
        low = new HintStrip(model, false, Map.of(Hint.CARRY, desk)); // the photo is not to move while it is cropped
    }

    /** To lie between what views are chosen with and the rail. */
    public HintStrip high() {
        return high;
    }

    /** To lie above the desk, over the lines below the photo. */
    public HintStrip low() {
        return low;
    }

    /** Points all steps out once more. */
    public void again() {
        model.again();
    }

    public void dispose() {
        high.dispose();
        low.dispose();
        model.dispose();
    }
}
