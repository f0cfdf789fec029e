package nexa.imaging.lens;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The focal lengths in a lens's name, such as "18-105mm". */
final class FocalWords {
    private static final String NUMBER = "(\\d{1,4}(?:\\.\\d{1,3})?)";
    private static final Pattern RANGE = Pattern.compile(NUMBER + "(?:\\s*[-–]\\s*" + NUMBER + ")?\\s*mm");

    private FocalWords() {}

    /** In mm; none if the name has none. */
    static List<Double> in(String model) {
        Matcher range = RANGE.matcher(model);
        if (!range.find()) {
            return List.of();
        }
        double from = Double.parseDouble(range.group(1));
        return range.group(2) == null ? List.of(from) : List.of(from, Double.parseDouble(range.group(2)));
    }
}
