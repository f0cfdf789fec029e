package nexa.core.files;

import java.util.List;
import nexa.core.pixel.FinishStep;
import nexa.core.pixel.Sharpened;
import nexa.core.told.InvalidException;

/**
 * What happens to the pixels at the delivered size.
 *
 * @param amount of the sharpening in percent of the usual
 * @param ppi that the file says it has; 0 = those of the print it is for, if it is for one
 * @param enlarge in percent: a photo that lacks pixels is enlarged at most so much; 100 = never
 */
public record Finish(Sharpening sharpening, int amount, int ppi, int enlarge) {
    public static final int MOST_AMOUNT = 300;
    public static final int MOST_ENLARGED = 400;
    private static final int MOST_PPI = 2400;

    public static final Finish DEFAULT = new Finish(Sharpening.OFF, 100, 0, 100);

    /** What the sharpening is for. */
    public enum Sharpening {
        OFF,
        /** A screen shows each pixel as it is. */
        SCREEN,
        /** Ink spreads in uncoated paper. */
        MATT,
        /** Coated paper holds finer detail. */
        GLOSS
    }

    public Finish {
        require(amount, 1, MOST_AMOUNT, "told.files.sharpening-amount");
        require(ppi, 0, MOST_PPI, "told.files.ppi");
        require(enlarge, 100, MOST_ENLARGED, "told.files.enlarging");
    }

    private static void require(int value, int least, int most, String code) {
        if (value < least || value > most) {
            throw new InvalidException(code, least, most, value);
        }
    }

    /** What is done to the delivered pixels: unsharp masking to make up for what the medium blurs. */
    public List<FinishStep> steps() {
        return switch (sharpening) {
            case OFF -> List.of();
            case SCREEN -> masked(0.6, 0.5);
            case GLOSS -> masked(1.0, 0.8);
            case MATT -> masked(1.3, 1.2);
        };
    }

    private List<FinishStep> masked(double sigma, double usual) {
        return List.of(new Sharpened(sigma, usual * amount / 100));
    }

    public Finish sharpened(Sharpening other, int percent) {
        return new Finish(other, percent, ppi, enlarge);
    }

    public Finish tagged(int other) {
        return new Finish(sharpening, amount, other, enlarge);
    }

    public Finish enlarged(int percent) {
        return new Finish(sharpening, amount, ppi, percent);
    }
}
