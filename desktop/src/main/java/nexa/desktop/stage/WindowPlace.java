package nexa.desktop.stage;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import nexa.shoot.Preferences;

/** Where the window was when it was closed; it opens there again if a screen is still there. */
public final class WindowPlace {
    private static final String SETTING = "window";
    private static final String MAXIMIZED = "maximized";

    /** So much of a window has to be on a screen to be found there. */
    private static final double REACHED = 120;

    private WindowPlace() {}

    /**
     * Puts a window where it was, and remembers where it is when it closes.
     *
     * @param canRemember whether anything is kept any more
     */
    public static void keep(Stage stage, Preferences preferences, BooleanSupplier canRemember) {
        restore(stage, preferences);
        stage.setOnHiding(event -> {
            if (canRemember.getAsBoolean()) {
                remember(stage, preferences);
            }
        });
    }

    private static void restore(Stage stage, Preferences preferences) {
        preferences
                .get(SETTING)
                .flatMap(WindowPlace::read)
                .filter(WindowPlace::isReached)
                .ifPresent(place -> {
                    stage.setX(place.getMinX());
                    stage.setY(place.getMinY());
                    stage.setWidth(place.getWidth());
                    stage.setHeight(place.getHeight());
                });
        stage.setMaximized(preferences
                .get(SETTING)
                .filter(text -> text.endsWith(MAXIMIZED))
                .isPresent());
    }

    /** Remembers where it is; while it fills the screen, where it was before that is not known. */
    private static void remember(Stage stage, Preferences preferences) {
        if (!stage.isFullScreen()) {
            String text = DoubleStream.of(stage.getX(), stage.getY(), stage.getWidth(), stage.getHeight())
                    .mapToObj(String::valueOf)
                    .collect(Collectors.joining(" "));
            preferences.put(SETTING, stage.isMaximized() ? text + " " + MAXIMIZED : text);
        }
    }

    private static Optional<Rectangle2D> read(String text) {
        try {
            double[] numbers = Arrays.stream(text.replace(MAXIMIZED, "").strip().split(" "))
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            return Optional.of(new Rectangle2D(numbers[0], numbers[1], numbers[2], numbers[3]));
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException ofAnotherVersion) { // then as at first
            return Optional.empty();
        }
    }

    private static boolean isReached(Rectangle2D place) {
        return !Screen.getScreensForRectangle(
                        place.getMinX() + REACHED,
                        place.getMinY(),
                        Math.max(1, place.getWidth() - 2 * REACHED),
                        REACHED)
                .isEmpty();
    }
}
