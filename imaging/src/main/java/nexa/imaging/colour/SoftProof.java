package nexa.imaging.colour;

import java.io.IOException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.Raster;

/**
 * How a picture on a screen looks once it is printed, or shown in other colours, and which of its colours can't be: those
 * that the relative intent, with black kept, moves by more than 5 in CIE 1976's L*a*b*. Immutable; making one takes about
 * a second.
 */
public final class SoftProof {
    /** As much as one sees at once. */
    private static final double MOVED = 5;

    /** Of a difference in the table. */
    private static final double UNIT = 500;

    private static final int VEIL = 0x80;
    private static final int VEILED_PARTS = 3; // of four
    private static final Conversion JUDGING = new Conversion(Intent.RELATIVE, true);

    /** From the screen's red, green and blue to those of the proof, and how far each is moved. */
    private final ColourTable table;

    private final boolean hasLimits;

    private SoftProof(Profile screen, Profile target, Conversion how) {
        this.hasLimits = !target.equals(screen);
        Engine there = AdjustedEngine.between(screen, target, how);
        Intent asSeen = how.intent() == Intent.ABSOLUTE ? Intent.ABSOLUTE : Intent.RELATIVE;
        Engine back = AdjustedEngine.between(target, screen, new Conversion(asSeen, false));
        int channels = target.space().channels();
        Judge judge = new Judge(screen, target);
        this.table = new ColourTable(
                colours -> {
                    short[] seen = back.convert(there.convert(colours, 3), channels);
                    return joined(seen, judge.moved(colours));
                },
                4,
                ColourTable.FEWER_STEPS);
    }

    /**
     * @param screen of the pictures that are proofed
     * @param target of inks or RGB
     * @throws IOException with words for the user if the target's profile has no way to its colours
     */
    public static SoftProof of(Profile screen, Profile target, Conversion how) throws IOException {
        try {
            return new SoftProof(screen, target, how);
        } catch (RuntimeException refused) { // the engine's own
            throw new ToldException(Told.of("told.deliver.colours-cannot-turned-into-those", screen, target), refused);
        }
    }

    /** What becomes of colours that are printed as they are, as far as they can be. */
    private static final class Judge {
        private final Engine measured;
        private final Engine printed;
        private final Engine read;
        private final Adjustment adjustment;
        private final int channels;

        Judge(Profile screen, Profile target) {
            measured = new DirectEngine(screen.engine(Intent.RELATIVE), Profile.XYZ.engine(Intent.RELATIVE));
            printed = AdjustedEngine.between(screen, target, JUDGING);
            read = new DirectEngine(target.engine(Intent.RELATIVE), Profile.XYZ.engine(Intent.RELATIVE));
            adjustment = Adjustment.between(screen, target, JUDGING);
            channels = target.space().channels();
        }

        /** Differences, in parts of {@link #UNIT}. */
        char[] moved(short[] colours) {
            short[] wished = measured.convert(colours, 3);
            adjustment.apply(wished, false);
            short[] reached = read.convert(printed.convert(colours, 3), channels);
            char[] moved = new char[colours.length / 3];
            for (int i = 0; i < moved.length; i++) {
                moved[i] =
                        (char) Math.min(65_535, Math.round(UNIT * distance(lab(wished, 3 * i), lab(reached, 3 * i))));
            }
            return moved;
        }

        private static double distance(double[] one, double[] other) {
            return Math.hypot(Math.hypot(one[0] - other[0], one[1] - other[1]), one[2] - other[2]);
        }

        /** CIE 15:2018, 8.2.1, relative to D50. */
        private static double[] lab(short[] xyz, int at) {
            double[] f = new double[3];
            for (int i = 0; i < 3; i++) {
                double t = (xyz[at + i] & 0xFFFF) / Adjustment.ONE / Adaptation.D50[i];
                f[i] = t > 216.0 / 24_389 ? Math.cbrt(t) : (24_389.0 / 27 * t + 16) / 116;
            }
            return new double[] {116 * f[1] - 16, 500 * (f[0] - f[1]), 200 * (f[1] - f[2])};
        }
    }

    private static short[] joined(short[] colours, char[] fourth) {
        short[] joined = new short[fourth.length * 4];
        for (int i = 0; i < fourth.length; i++) {
            System.arraycopy(colours, 3 * i, joined, 4 * i, 3);
            joined[4 * i + 3] = (short) fourth[i];
        }
        return joined;
    }

    /**
     * A picture as it will look.
     *
     * @param share of it, 0 to 1, that can't be as it is on the screen, and lies under a grey veil
     */
    public record Proofed(Raster raster, double share) {}

    /** @param picture in the screen's colours; where it is not opaque it stays as it is */
    public Proofed of(Raster picture) {
        int[] proofed = new int[picture.argb().length];
        AtomicLong beyond = new AtomicLong();
        IntConsumer row = y -> beyond.addAndGet(convert(picture, y, proofed));
        IntStream.range(0, picture.height()).parallel().forEach(row);
        return new Proofed(
                new Raster(picture.width(), picture.height(), proofed), (double) beyond.get() / proofed.length);
    }

    private int convert(Raster picture, int y, int[] proofed) {
        int width = picture.width();
        short[] colours = new short[width * 3];
        for (int x = 0; x < width; x++) {
            int argb = picture.argb()[y * width + x];
            for (int channel = 0; channel < 3; channel++) {
                colours[3 * x + channel] = Depth.deep(argb >> 16 - 8 * channel & 0xFF);
            }
        }
        short[] converted = new short[width * 4];
        table.convert(colours, converted);
        int beyond = 0;
        for (int x = 0; x < width; x++) {
            int argb = picture.argb()[y * width + x];
            boolean veiled = hasLimits && (converted[4 * x + 3] & 0xFFFF) > MOVED * UNIT;
            beyond += veiled ? 1 : 0;
            proofed[y * width + x] = argb >>> 24 == 0xFF ? 0xFF << 24 | packed(converted, 4 * x, veiled) : argb;
        }
        return beyond;
    }

    private static int packed(short[] colours, int at, boolean veiled) {
        int rgb = 0;
        for (int channel = 0; channel < 3; channel++) {
            int value = Depth.eight(colours[at + channel]);
            rgb = rgb << 8 | (veiled ? (value + VEILED_PARTS * VEIL) / (VEILED_PARTS + 1) : value);
        }
        return rgb;
    }
}
