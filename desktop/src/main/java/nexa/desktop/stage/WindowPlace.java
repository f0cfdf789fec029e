package nexa.desktop.stage;

import java.util.Arrays;
import java.util.Comparator;
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
                .map(place -> onScreen(place, stage))
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

    /** One that is larger than the screen that has most of it is cut and moved onto it: screens change meanwhile. */
    private static Rectangle2D onScreen(Rectangle2D place, Stage stage) {
        Rectangle2D room =
                Screen.getScreensForRectangle(place.getMinX(), place.getMinY(), place.getWidth(), place.getHeight())
                        .stream()
                        .map(Screen::getVisualBounds)
                        .max(Comparator.comparingDouble(screen -> shared(screen, place)))
                        .orElseGet(() -> Screen.getPrimary().getVisualBounds());
        return fitted(place, room, stage.getMinWidth(), stage.getMinHeight());
    }

    /** As it is unless it is larger than the room, else cut to it, but not below the least size, and moved into it. */
    static Rectangle2D fitted(Rectangle2D place, Rectangle2D room, double leastWidth, double leastHeight) {
        double width = Math.max(leastWidth, Math.min(place.getWidth(), room.getWidth()));
        double height = Math.max(leastHeight, Math.min(place.getHeight(), room.getHeight()));
        return width < place.getWidth() || height < place.getHeight()
                ? new Rectangle2D(
                        Math.max(room.getMinX(), Math.min(place.getMinX(), room.getMaxX() - width)),
                        Math.max(room.getMinY(), Math.min(place.getMinY(), room.getMaxY() - height)),
                        width,
                        height)
                : place;
    }

    private static double shared(Rectangle2D one, Rectangle2D other) {
        double width = Math.min(one.getMaxX(), other.getMaxX()) - Math.max(one.getMinX(), other.getMinX());
        double height = Math.min(one.getMaxY(), other.getMaxY()) - Math.max(one.getMinY(), other.getMinY());
        return Math.max(0, width) * Math.max(0, height);
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
