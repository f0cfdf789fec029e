package nexa.imaging.colour;

import java.util.Random;
import java.util.function.UnaryOperator;

/** Converts red, green and blue of 16 bits much faster than the engine, and nearly as it does. Immutable. */
sealed interface FastColours permits ColourMatrix, ColourTable {
    int TRIED = 3000;
    int VALUES = 65_536;

    /**
     * Converts pixels in place.
     *
     * @param colours red, green, blue, red, …
     */
    void convert(short[] colours);

    /** The largest difference, in 16 bits, that is taken for none. */
    int tolerance();

    /** The same near black. */
    int toleranceNearBlack();

    /** Whether it does as the engine does, tried on colours of which every second is near black. */
    default boolean isCloseTo(UnaryOperator<short[]> engine) {
        Random random = new Random(5);
        short[] colours = new short[TRIED * 3];
        for (int i = 0; i < colours.length; i++) {
            colours[i] = (short) random.nextInt(i / 3 % 2 == 0 ? VALUES : VALUES / 32);
        }
        short[] exact = engine.apply(colours);
        convert(colours);
        for (int i = 0; i < exact.length; i++) {
            int most = i / 3 % 2 == 0 ? tolerance() : toleranceNearBlack();
            if (Math.abs((exact[i] & 0xFFFF) - (colours[i] & 0xFFFF)) > most) {
                return false;
            }
        }
        return true;
    }
}
