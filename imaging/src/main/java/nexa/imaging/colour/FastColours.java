package nexa.imaging.colour;

import java.util.Random;
import java.util.function.UnaryOperator;

/** Converts colours or inks of 16 bits much faster than the engine, and nearly as it does. Immutable. */
sealed interface FastColours permits ColourMatrix, ColourTable, InkTable {
    int TRIED = 3000;
    int VALUES = 65_536;

    /** Of a pixel that is converted: 3, or 4 for inks. */
    default int channelsFrom() {
        return 3;
    }

    /** Of a converted pixel: 3, or 4 for inks. */
    int channels();

    /**
     * Converts pixels.
     *
     * @param colours red, green, blue, red, … or cyan, magenta, yellow, black, cyan, …
     * @param converted may be the same array, if pixels keep as many channels
     */
    void convert(short[] colours, short[] converted);

    /** The largest difference, in 16 bits, that is taken for none. */
    int tolerance();

    /** The same near black. */
    default int toleranceNearBlack() {
        return tolerance();
    }

    /**
     * Whether it does as the engine does, tried on colours of which every second is near black.
     *
     * @param shown what is compared: red, green and blue, of inks those that they make
     */
    default boolean isCloseTo(UnaryOperator<short[]> engine, UnaryOperator<short[]> shown) {
        Random random = new Random(5);
        short[] colours = new short[TRIED * channelsFrom()];
        for (int i = 0; i < colours.length; i++) {
            colours[i] = (short) random.nextInt(i / channelsFrom() % 2 == 0 ? VALUES : VALUES / 32);
        }
        short[] converted = new short[TRIED * channels()];
        convert(colours, converted);
        short[] exact = shown.apply(engine.apply(colours));
        converted = shown.apply(converted);
        for (int i = 0; i < exact.length; i++) {
            int most = i / 3 % 2 == 0 ? tolerance() : toleranceNearBlack();
            if (Math.abs((exact[i] & 0xFFFF) - (converted[i] & 0xFFFF)) > most) {
                return false;
            }
        }
        return true;
    }
}
