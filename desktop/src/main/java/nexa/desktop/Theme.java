package nexa.desktop;

import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import javafx.application.Application;
import javafx.scene.text.Font;

/** The look: a calm base theme, Inter, and Nexa's own stylesheet. */
public final class Theme {
    private static final List<String> WEIGHTS = List.of("Regular", "Medium", "SemiBold");
    private static final double ANY_SIZE = 12;

    private Theme() {}

    /** To be called once the toolkit runs. */
    public static void install() {
        WEIGHTS.forEach(Theme::load);
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
    }

    private static void load(String weight) {
        try (InputStream font = Theme.class.getResourceAsStream("fonts/Inter-" + weight + ".otf")) {
            Font.loadFont(Objects.requireNonNull(font), ANY_SIZE);
        } catch (IOException unreadable) { // a resource of the program itself
            throw new UncheckedIOException(unreadable);
        }
    }

    static String stylesheet() {
        return Objects.requireNonNull(Theme.class.getResource("nexa.css")).toExternalForm();
    }
}
