package nexa.desktop.setting;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import nexa.core.overlay.OverlayOptions;
import nexa.core.shape.Shape;

/** Overlay options as one line of text. */
final class OverlayOptionsText {
    private OverlayOptionsText() {}

    static String of(OverlayOptions options) {
        String nested = options.nested().stream().map(Shape.Ratio::text).collect(Collectors.joining(","));
        return options.cells() + ";" + nested + ";" + options.bleed() + ";" + options.caption();
    }

    /** @throws IllegalArgumentException if the text is of another version */
    static OverlayOptions parse(String text) {
        String[] parts = text.split(";", -1);
        if (parts.length != 4) {
            throw new IllegalArgumentException(text);
        }
        List<Shape.Ratio> nested = Arrays.stream(parts[1].split(","))
                .filter(shape -> !shape.isEmpty())
                .map(OverlayOptionsText::ratio)
                .toList();
        return new OverlayOptions(Integer.parseInt(parts[0]), nested, Kept.number(parts[2]), Kept.number(parts[3]));
    }

    private static Shape.Ratio ratio(String text) {
        if (Shape.parse(text) instanceof Shape.Ratio ratio) {
            return ratio;
        }
        throw new IllegalArgumentException(text);
    }
}
