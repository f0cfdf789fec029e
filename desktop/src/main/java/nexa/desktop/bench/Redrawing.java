package nexa.desktop.bench;

import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import javafx.util.Subscription;
import nexa.desktop.camera.Camera;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.Follow;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Settings;

/** What is seen on the Bench as soon as it changes, and asks for nothing but to be drawn anew. */
final class Redrawing {
    private Redrawing() {}

    static Subscription of(ShootModels models, Spots spots, Camera camera, Keys keys, Runnable redraw) {
        ObservableValue<?>[] seen = Stream.of(
                        found(models),
                        settings(models.session().settings()),
                        looking(models.session(), spots, camera, keys))
                .flatMap(values -> values)
                .toArray(ObservableValue<?>[]::new);
        return Follow.each(redraw, seen);
    }

    private static Stream<ObservableValue<?>> found(ShootModels models) {
        return Stream.of(
                models.levelling().linesProperty(),
                models.levelling().verdictProperty(),
                models.plumbing().linesProperty(),
                models.plumbing().verdictProperty(),
                models.trimming().verdictProperty(),
                models.bendByLine().drawnProperty(),
                models.marking().proposalsProperty());
    }

    private static Stream<ObservableValue<?>> looking(Session session, Spots spots, Camera camera, Keys keys) {
        return Stream.of(
                session.formatProperty(),
                session.editsProperty(),
                spots.neutrals().verdictProperty(),
                spots.eyes().chosenProperty(),
                keys.heldProperty(),
                camera.bareProperty(),
                camera.zoomProperty());
    }

    private static Stream<ObservableValue<?>> settings(Settings settings) {
        return Stream.of(
                settings.overlayProperty(),
                settings.overlayShowProperty(),
                settings.overlayLookProperty(),
                settings.overlayOptionsProperty(),
                settings.moverProperty(),
                settings.neighboursProperty(),
                settings.matToneProperty(),
                settings.matStrengthProperty());
    }
}
