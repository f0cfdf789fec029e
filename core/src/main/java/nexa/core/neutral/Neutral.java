package nexa.core.neutral;

import java.util.Optional;
import nexa.core.geometry.Point;

/**
 * What is done about the colour and the amount of a photo's light.
 *
 * @param white what shall be neutral, of the photo as its file has it
 * @param stops how much lighter it gets; negative = darker
 * @param at the place of the photo as shot, in its isotropic unit, that it was taken from; empty if it was typed or carried
 * @throws IllegalArgumentException if it is more than {@link #MOST_STOPS}
 */
public record Neutral(White white, double stops, Optional<Point> at) {
    /** Either way. */
    public static final double MOST_STOPS = 4;

    /** As the file has it. */
    public static final Neutral AS_FILED = new Neutral(White.D65, 0, Optional.empty());

    public Neutral {
        if (!(Math.abs(stops) <= MOST_STOPS)) {
            throw new IllegalArgumentException("No amount of light: " + stops);
        }
    }

    /** The light found at a place; the amount stays. */
    public Neutral picked(White found, Point asShot) {
        return new Neutral(found, stops, Optional.of(asShot));
    }

    /** Another light, wherever it is from; the amount stays. */
    public Neutral withWhite(White other) {
        return new Neutral(other, stops, Optional.empty());
    }

    /** The light and where it was found stay. */
    public Neutral withStops(double other) {
        return new Neutral(white, Math.clamp(other, -MOST_STOPS, MOST_STOPS), at);
    }

    /** What comes of it on another photo: the same light, unless that photo's was found at a place of its own. */
    public Neutral carriedTo(Neutral other) {
        return other.at.isPresent() ? other : new Neutral(white, stops, Optional.empty());
    }

    /** Whether every colour stays. */
    public boolean isNone() {
        return white.equals(White.D65) && stops == 0;
    }

    /** As {@link #parse} reads it, to the last bit; empty if nothing was done about it. */
    public String text() {
        return equals(AS_FILED)
                ? ""
                : white.x() + " " + white.y() + " " + stops
                        + at.map(place -> " " + place.x() + " " + place.y()).orElse("");
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Neutral parse(String text) {
        if (text.isBlank()) {
            return AS_FILED;
        }
        String[] numbers = text.strip().split(" +");
        if (numbers.length != 3 && numbers.length != 5) {
            throw new IllegalArgumentException("No neutral: " + text);
        }
        return new Neutral(
                new White(Double.parseDouble(numbers[0]), Double.parseDouble(numbers[1])),
                Double.parseDouble(numbers[2]),
                numbers.length == 3
                        ? Optional.empty()
                        : Optional.of(new Point(Double.parseDouble(numbers[3]), Double.parseDouble(numbers[4]))));
    }
}
