package nexa.shoot.handover.request;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.told.InvalidException;

/**
 * A share of a delivery, so that several programs, also on several machines, do it together: of the photos in the shoot's
 * order every so many-th, beginning with the one of that number.
 *
 * @param number from 1
 */
public record Part(int number, int of) {
    private static final Pattern TEXT = Pattern.compile("(\\d{1,6})/(\\d{1,6})");

    public Part {
        if (number < 1 || number > of) {
            throw new InvalidException("told.handover.no-part", number + "/" + of);
        }
    }

    /**
     * Reads {@code 2/4}.
     *
     * @throws IllegalArgumentException with words for the user if the text is no part
     */
    public static Part parse(String text) {
        Matcher matcher = TEXT.matcher(text.strip());
        if (!matcher.matches()) {
            throw new InvalidException("told.handover.no-part", text);
        }
        return new Part(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2)));
    }

    /** @param place of a photo in the shoot's order, from 0 */
    public boolean has(int place) {
        return place % of == number - 1;
    }

    /** What stands behind the names of its list and journal. */
    public String suffix() {
        return "-" + number + "-of-" + of;
    }
}
