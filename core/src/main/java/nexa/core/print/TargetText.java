package nexa.core.print;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.print.SizeTarget.LongEdge;
import nexa.core.print.SizeTarget.Pixels;
import nexa.core.print.SizeTarget.Print;
import nexa.core.print.SizeTarget.ShortEdge;
import nexa.core.told.InvalidException;
import org.jspecify.annotations.Nullable;

/** Reading of what somebody typed. */
final class TargetText {
    private static final String NUMBER = "(\\d{1,6}(?:\\.\\d{1,6})?)";
    private static final Pattern EDGE = Pattern.compile("(long|short)(?: edge)?\\s+(\\d{1,6})\\s*(?:px)?");
    private static final Pattern SIDES = Pattern.compile(NUMBER + "\\s*(px|mm|cm|in|\")?\\s*[x×]\\s*" + NUMBER
            + "\\s*(px|mm|cm|in|\")?(?:\\s*(?:at|@)?\\s*" + NUMBER + "\\s*(?:ppi)?)?");
    private static final double USUAL_PPI = 300;

    private TargetText() {}

    static SizeTarget parse(String text) {
        if (text.isEmpty() || text.equals("none")) {
            return SizeTarget.NONE;
        }
        Matcher edge = EDGE.matcher(text);
        if (edge.matches()) {
            int pixels = Integer.parseInt(edge.group(2));
            return edge.group(1).equals("long") ? new LongEdge(pixels) : new ShortEdge(pixels);
        }
        Matcher sides = SIDES.matcher(text);
        if (!sides.matches() || !isSameUnit(sides.group(2), sides.group(4))) {
            throw new InvalidException("told.print.not-size-write-x-px", text);
        }
        return sized(sides);
    }

    /** The first side may be left without. */
    private static boolean isSameUnit(@Nullable String first, @Nullable String second) {
        return first == null || first.equals(second);
    }

    private static SizeTarget sized(Matcher sides) {
        double width = Double.parseDouble(sides.group(1));
        double height = Double.parseDouble(sides.group(3));
        double ppi = sides.group(5) == null ? USUAL_PPI : Double.parseDouble(sides.group(5));
        return switch (sides.group(4)) {
            case "mm" -> new Print(width, height, ppi);
            case "cm" -> new Print(10 * width, 10 * height, ppi);
            case "in", "\"" ->
                new Print(SizeTarget.MILLIMETRES_PER_INCH * width, SizeTarget.MILLIMETRES_PER_INCH * height, ppi);
            case null, default -> new Pixels(whole(width, sides), whole(height, sides));
        };
    }

    /** A part of a pixel is a thousand written with a point, or a unit that was forgotten. */
    private static int whole(double pixels, Matcher sides) {
        if (pixels != Math.rint(pixels)) {
            throw new InvalidException("told.print.not-size-write-x-px", sides.group());
        }
        return (int) pixels;
    }
}
