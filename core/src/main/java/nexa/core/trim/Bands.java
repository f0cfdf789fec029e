package nexa.core.trim;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.Closing;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.Gaps.Gap;

/**
 * Bands inside a photo that are closed up, so that the pictures on both sides meet: in the isotropic unit of the photo as
 * shot, along its own axes. Immutable.
 *
 * @param across bands from top to bottom, by their x
 * @param down bands from left to right, by their y
 * @throws IllegalArgumentException if they leave hardly anything of any photo
 */
public record Bands(Gaps across, Gaps down) {
    public static final Bands NONE = new Bands(Gaps.NONE, Gaps.NONE);

    /** Of a photo's long edge, for all bands of a direction together. */
    private static final double WIDEST = 0.9;

    public Bands {
        if (!(across.width() <= WIDEST && down.width() <= WIDEST)) {
            throw new IllegalArgumentException("No bands: " + across + ", " + down);
        }
    }

    public boolean isNone() {
        return equals(NONE);
    }

    /** How many there are. */
    public int count() {
        return across.all().size() + down.all().size();
    }

    /** From the photo as shot to the one whose sides meet; both about their centres. */
    public Closing mapping() {
        return new Closing(across, down, false);
    }

    /** As {@link #parse} reads it, to the last bit; empty if there are none. */
    public String text() {
        return Stream.concat(
                        across.all().stream().map(gap -> "x " + gap.from() + " " + gap.to()),
                        down.all().stream().map(gap -> "y " + gap.from() + " " + gap.to()))
                .collect(Collectors.joining("; "));
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Bands parse(String text) {
        List<Gap> across = new ArrayList<>();
        List<Gap> down = new ArrayList<>();
        for (String part : text.isBlank() ? List.<String>of() : List.of(text.split(";"))) {
            String[] words = part.strip().split(" +");
            if (words.length != 3 || !words[0].matches("[xy]")) {
                throw new IllegalArgumentException("No bands: " + text);
            }
            (words[0].equals("x") ? across : down)
                    .add(new Gap(Double.parseDouble(words[1]), Double.parseDouble(words[2])));
        }
        return across.isEmpty() && down.isEmpty() ? NONE : new Bands(new Gaps(across), new Gaps(down));
    }
}
