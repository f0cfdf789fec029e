package nexa.desktop.desk.area;

import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.plumb.Plumb;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.Plumbing;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Looks;
import nexa.desktop.widget.SenseWords;
import nexa.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignD;

/** What is adjusted while a photo is stood up: the camera's angles, how far they are undone, and the finish. */
final class PlumbArea extends WorkArea {
    /** Of a steep view all of it undone looks unnatural. */
    private static final double HALF = 0.5;

    private static final double WIDE = 190;

    /** Where there is little room. */
    private static final double NARROW = 100;

    private final Session session;
    private final Plumbing plumbing;
    private final AngleRuler pitch;
    private final AngleRuler yaw;
    private final Label pitchValue = new Label();
    private final Label yawValue = new Label();
    private final Slider far = new Slider(0, 100, 100);
    private final Label farValue = new Label();
    private final Label note = Labels.field("desk.plumb.note");
    private final Button clear;
    private final Subscription subscriptions;
    private boolean showing;

    /**
     * @param adjusting set while an angle is scrubbed
     * @param finish opens the pane with what finishes a plumb
     */
    PlumbArea(
            ShootModels models, Keys keys, ObjectProperty<BenchMode> mode, BooleanProperty adjusting, Runnable finish) {
        super(16);
        session = models.session();
        plumbing = models.plumbing();
        pitch = ruler(
                "desk.plumb.pitch.ruler",
                "pitch-ruler",
                adjusting,
                Plumb::pitch,
                (plumb, degrees) -> plumb.withAngles(degrees, plumb.yaw()));
        yaw = ruler(
                "desk.plumb.yaw.ruler",
                "yaw-ruler",
                adjusting,
                Plumb::yaw,
                (plumb, degrees) -> plumb.withAngles(plumb.pitch(), degrees));
        clear = Buttons.text("desk.plumb.clear", plumbing::clear);
        clear.setId("plumb-clear");
        note.getStyleClass().add("desk-verdict");
        setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        angle("desk.plumb.pitch", pitchValue, pitch),
                        angle("desk.plumb.yaw", yawValue, yaw),
                        farArea(finish),
                        buttons(keys, mode));
        subscriptions = session.framingProperty().when(visibleProperty()).subscribe(framing -> refresh());
    }

    /** A plumb with another angle. */
    private interface Turned {
        Plumb to(Plumb plumb, double degrees);
    }

    private AngleRuler ruler(
            String words, String id, BooleanProperty adjusting, ToDoubleFunction<Plumb> angle, Turned turned) {
        DoubleUnaryOperator possible = degrees -> Math.clamp(degrees, -Plumb.WIDEST, Plumb.WIDEST);
        AngleRuler ruler = new AngleRuler(session, Words.of(words), adjusting, new AngleRuler.Angle() {
            @Override
            public double degrees() {
                return angle.applyAsDouble(plumbing.shown());
            }

            @Override
            public void preview(double degrees) {
                plumbing.preview(plumb -> turned.to(plumb, possible.applyAsDouble(degrees)));
            }

            @Override
            public void commit() {
                plumbing.commit();
            }

            @Override
            public void zero() {
                plumbing.edit(plumb -> turned.to(plumb, 0));
            }
        });
        ruler.setId(id);
        ruler.setPrefSize(WIDE, 44);
        return ruler;
    }

    private static Node angle(String words, Label value, AngleRuler ruler) {
        Label title = new Label(Words.of(words));
        title.getStyleClass().add("desk-title");
        value.getStyleClass().add("desk-figure");
        HBox head = new HBox(10, title, value);
        head.setAlignment(Pos.BASELINE_LEFT);
        VBox area = new VBox(2, head, ruler);
        area.setAlignment(Pos.CENTER_LEFT);
        area.setMinWidth(NARROW);
        return area;
    }

    private Node farArea(Runnable finish) {
        far.setId("plumb-far");
        far.setPrefWidth(130);
        far.setAccessibleText(Words.of("desk.plumb.far"));
        far.valueProperty().subscribe((before, now) -> {
            if (!showing && far.isValueChanging()) {
                plumbing.preview(plumb -> plumb.withFar(part(now)));
            } else if (!showing) {
                plumbing.far(part(now));
            }
        });
        far.valueChangingProperty().subscribe((before, now) -> {
            if (Boolean.TRUE.equals(before) && !now) {
                plumbing.far(part(far.getValue()));
            }
        });
        farValue.getStyleClass().add("desk-figure");
        Label title = Labels.title("desk.plumb.far");
        Button more = Buttons.icon(MaterialDesignD.DOTS_HORIZONTAL, "desk.plumb.more", finish);
        more.getStyleClass().add("small");
        more.setId("open-PLUMB");
        Button half = Buttons.text("desk.plumb.half", () -> plumbing.far(HALF));
        half.getStyleClass().add("small");
        half.setId("plumb-half");
        Buttons.explain(half, Words.of("desk.plumb.half.tip"));
        HBox head = new HBox(10, title, farValue, half, more);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox area = new VBox(6, head, far);
        area.setAlignment(Pos.CENTER_LEFT);
        area.setMinWidth(Region.USE_PREF_SIZE);
        return area;
    }

    private static double part(Number percent) {
        return Math.round(percent.doubleValue()) / 100.0;
    }

    private Node buttons(Keys keys, ObjectProperty<BenchMode> mode) {
        Button auto = Buttons.text("desk.plumb.auto", plumbing::automatic);
        auto.setId("plumb-auto");
        Buttons.explain(auto, Command.AUTO_PLUMB, keys);
        Button done = DoneButton.of("plumb-done", Command.PLUMB, keys, mode);
        for (Button button : new Button[] {auto, clear, done}) {
            button.setMinWidth(Region.USE_PREF_SIZE);
        }
        VBox area = new VBox(6, new HBox(8, auto, clear, done), note);
        area.setAlignment(Pos.CENTER_LEFT);
        return area;
    }

    private void refresh() {
        Plumb plumb = plumbing.shown();
        pitchValue.setText(Words.of("desk.tilt.value", Looks.degrees(plumb.pitch())));
        yawValue.setText(Words.of("desk.tilt.value", Looks.degrees(plumb.yaw())));
        note.setText(SenseWords.lost(session).orElse(Words.of("desk.plumb.note")));
        farValue.setText(Words.of("desk.percent", Math.round(100 * plumb.far())));
        clear.setDisable(!plumbing.isPlumbed() || !session.shoot().mayEdit());
        if (!far.isValueChanging()) {
            showing = true;
            far.setValue(100 * plumb.far());
            showing = false;
        }
    }

    @Override
    void dispose() {
        subscriptions.unsubscribe();
        pitch.dispose();
        yaw.dispose();
    }
}
