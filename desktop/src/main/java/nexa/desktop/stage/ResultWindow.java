package nexa.desktop.stage;

import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.geometry.Rectangle2D;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import javafx.stage.Screen;
import javafx.stage.Stage;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.CurrentResult;
import nexa.desktop.session.Session;
import nexa.words.Words;

/**
 * A second window with nothing but the current photo's result: on another screen than the main window's if there is one, which
 * it fills, else beside. Escape closes it.
 */
public final class ResultWindow {
    private static final double WIDTH = 720;
    private static final double HEIGHT = 560;

    private final Stage main;
    private final Consumer<Scene> keys;
    private Optional<Stage> open = Optional.empty();

    /** @param keys lets the main window's keys act in a scene */
    public ResultWindow(Stage main, Consumer<Scene> keys) {
        this.main = main;
        this.keys = keys;
    }

    public boolean isOpen() {
        return open.isPresent();
    }

    /** Opens it for a session, or closes it. */
    public void toggle(Session session, PhotoLoader loader, Executor fx) {
        if (isOpen()) {
            close();
        } else {
            open = Optional.of(opened(new CurrentResult(session, loader, fx)));
        }
    }

    public void close() {
        open.ifPresent(Stage::close);
        open = Optional.empty();
    }

    private Stage opened(CurrentResult result) {
        StackPane root = new StackPane(result, trouble(result));
        Parent like = main.getScene().getRoot();
        result.getStyleClass().add("result-alone");
        Bindings.bindContent(root.getStyleClass(), like.getStyleClass());
        Scene scene = new Scene(root, WIDTH, HEIGHT);
        scene.getStylesheets().setAll(main.getScene().getStylesheets());
        scene.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                event.consume();
                close();
            }
        });
        keys.accept(scene);
        Stage stage = new Stage();
        stage.initOwner(main);
        stage.setTitle(Words.of("result.window"));
        stage.setScene(scene);
        stage.setFullScreenExitHint("");
        other().ifPresent(screen -> fill(stage, screen.getBounds()));
        stage.setOnHidden(event -> {
            Bindings.unbindContent(root.getStyleClass(), like.getStyleClass());
            result.dispose();
            open = Optional.empty();
        });
        stage.show();
        main.requestFocus(); // keys are for what is done there
        return stage;
    }

    private static Label trouble(CurrentResult result) {
        Label trouble = new Label();
        trouble.getStyleClass().add("result-trouble");
        trouble.setWrapText(true);
        trouble.setMouseTransparent(true);
        trouble.textProperty().bind(result.troubleProperty());
        return trouble;
    }

    /** A screen that the main window is not on. */
    private Optional<Screen> other() {
        var here = Screen.getScreensForRectangle(main.getX(), main.getY(), main.getWidth(), main.getHeight());
        return Screen.getScreens().stream()
                .filter(screen -> !here.contains(screen))
                .findFirst();
    }

    private static void fill(Stage stage, Rectangle2D screen) {
        stage.setX(screen.getMinX());
        stage.setY(screen.getMinY());
        stage.setWidth(screen.getWidth());
        stage.setHeight(screen.getHeight());
        stage.setFullScreen(true);
    }
}
