package nexa.core.print;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.print.SizeTarget.Print;

/**
 * Whether a set of photos has the pixels that a format asks for.
 *
 * @param photos how many
 * @param fewest own pixels of the frame that has the fewest for what is asked
 * @param lacking how many have fewer pixels than asked
 * @param tooSmall how many of these are delivered smaller than asked, as they may not be enlarged so far
 * @param mostEnlarged delivered pixels to own along a side, where it is most; 1 if none is enlarged
 * @param ppi the fewest own pixels an inch on the asked print; empty if no print is asked for
 */
public record SetSense(
        int photos, PixelSize fewest, int lacking, int tooSmall, double mostEnlarged, OptionalDouble ppi) {

    /** A frame in level space and its photo's pixels. */
    public record Cut(Frame frame, PixelSize photo) {
        PixelSize own() {
            return OutputSize.natural(frame, photo);
        }
    }

    /**
     * Of all photos of a set; empty if it has none.
     *
     * @param most how far a photo may be enlarged; 1 = not at all
     */
    public static Optional<SetSense> of(SizeTarget target, double most, List<Cut> cuts) {
        return cuts.stream().max(need(target)).map(worst -> {
            double[] needs = cuts.stream()
                    .mapToDouble(cut -> target.enlargement(cut.frame, cut.photo))
                    .filter(need -> need > 1)
                    .toArray();
            int tooFar = 0;
            double enlarged = 1;
            for (double need : needs) {
                tooFar += need > most ? 1 : 0;
                enlarged = Math.max(enlarged, Math.min(need, most));
            }
            return new SetSense(cuts.size(), worst.own(), needs.length, tooFar, enlarged, ppi(target, worst));
        });
    }

    /** By how far the frame would have to be enlarged; where nothing is asked for, by how few pixels it has. */
    private static Comparator<Cut> need(SizeTarget target) {
        return target instanceof SizeTarget.None
                ? Comparator.comparingInt(cut -> -cut.own().longEdge())
                : Comparator.comparingDouble(cut -> target.enlargement(cut.frame, cut.photo));
    }

    private static OptionalDouble ppi(SizeTarget target, Cut cut) {
        return target instanceof Print print ? OptionalDouble.of(Sense.ppi(cut.own(), print)) : OptionalDouble.empty();
    }
}
