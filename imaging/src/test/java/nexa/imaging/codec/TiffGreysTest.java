package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.BitSet;
import nexa.imaging.TiffWriter;
import nexa.imaging.TiffWriter.Directory;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.source.Source;
import org.bytedeco.javacpp.indexer.Indexer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Grey TIFFs of every depth, with black or white at zero, with alpha and without. */
class TiffGreysTest {
    private static final int SIDE = 8;

    @TempDir
    Path folder;

    /** Of a picture that grows lighter to the right and downwards, 0 to 1. */
    private static double light(int x, int y) {
        return (x + y + 0.2) / (2.0 * SIDE - 1.4);
    }

    /** Big-endian, the highest bit first. */
    private static byte[] packed(int bits, int samples, boolean isWhiteZero) {
        BitSet all = new BitSet();
        int at = 0;
        for (int i = 0; i < SIDE * SIDE; i++) {
            double light = light(i % SIDE, i / SIDE);
            for (int sample = 0; sample < samples; sample++) {
                double part = sample == 1 ? 0.6 : isWhiteZero ? 1 - light : light;
                long value = Math.round(part * ((1 << bits) - 1));
                for (int bit = bits - 1; bit >= 0; bit--) {
                    all.set(at++, (value >> bit & 1) == 1);
                }
            }
        }
        byte[] bytes = new byte[at / Byte.SIZE];
        for (int i = 0; i < at; i++) {
            bytes[i / Byte.SIZE] |= (byte) (all.get(i) ? 0x80 >> i % Byte.SIZE : 0);
        }
        return bytes;
    }

    private Path tiff(int bits, int samples, boolean isWhiteZero) throws IOException {
        byte[] data = packed(bits, samples, isWhiteZero);
        if (bits == 16) { // the writer's files are little-endian
            for (int i = 0; i < data.length; i += 2) {
                byte high = data[i];
                data[i] = data[i + 1];
                data[i + 1] = high;
            }
        }
        Directory directory = new Directory()
                .tag(256, SIDE)
                .tag(257, SIDE)
                .channels(samples, bits)
                .tag(259, 1)
                .tag(262, isWhiteZero ? 0 : 1)
                .tag(278, SIDE)
                .data(273, 279, data);
        if (samples == 2) {
            directory.tag(338, 2);
        }
        return Files.write(folder.resolve("grey.tif"), TiffWriter.bytes(directory));
    }

    @ParameterizedTest
    @CsvSource({
        "1, 1, false",
        "1, 1, true",
        "2, 1, false",
        "2, 1, true",
        "4, 1, false",
        "4, 1, true",
        "8, 1, false",
        "8, 1, true",
        "16, 1, false",
        "16, 1, true",
        "8, 2, false",
        "8, 2, true",
        "16, 2, false",
        "16, 2, true"
    })
    void greys_areAsLightAsTheyAre(int bits, int samples, boolean isWhiteZero) throws IOException {
        Path file = tiff(bits, samples, isWhiteZero);
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
            Picture shown = source.picture();
            double most = shown.bits() == 16 ? 65535 : 255;
            double step = 1.0 / ((1 << bits) - 1);
            try (Indexer pixels = shown.mat().createIndexer()) {
                for (int y = 0; y < SIDE; y++) {
                    for (int x = 0; x < SIDE; x++) {
                        double expected = Math.round(light(x, y) / step) * step;
                        assertEquals(expected, pixels.getDouble(y, x, 0) / most, 0.51 * step + 0.003, x + ", " + y);
                    }
                }
            }
        }
    }

    @Test
    void alpha_stays() throws IOException {
        Path file = tiff(8, 2, false);
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file));
                Indexer pixels = source.picture().mat().createIndexer()) {
            assertEquals(4, source.picture().channels());
            assertEquals(153, pixels.getDouble(3, 3, 3), 1);
        }
    }

    @Test
    void aPaletteOfTooFewColours_isDamage() throws IOException {
        Directory directory = new Directory()
                .tag(256, SIDE)
                .tag(257, SIDE)
                .channels(1, 2)
                .tag(259, 1)
                .tag(262, 3)
                .tag(278, SIDE)
                .tag(320, 1, 2, 3)
                .data(273, 279, packed(2, 1, false));
        Path file = Files.write(folder.resolve("palette.tif"), TiffWriter.bytes(directory));
        UnreadablePhotoException refused = assertThrows(
                UnreadablePhotoException.class,
                () -> PhotoCodecs.STANDARD.open(file, facts(file)).close());
        assertEquals(Trouble.Kind.DAMAGED, refused.trouble().kind());
    }

    /** An index of a palette at each pixel; each colour's red is the greater the higher it is, blue the lower. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 4, 8})
    void palettes_areColours(int bits) throws IOException {
        int colours = 1 << bits;
        long[] palette = new long[3 * colours];
        for (int colour = 0; colour < colours; colour++) {
            palette[colour] = 65535L * colour / (colours - 1);
            palette[colours + colour] = 20_000;
            palette[2 * colours + colour] = 65535 - palette[colour];
        }
        Directory directory = new Directory()
                .tag(256, SIDE)
                .tag(257, SIDE)
                .channels(1, bits)
                .tag(259, 1)
                .tag(262, 3)
                .tag(278, SIDE)
                .tag(320, palette)
                .data(273, 279, packed(bits, 1, false));
        Path file = Files.write(folder.resolve("palette.tif"), TiffWriter.bytes(directory));
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file));
                Indexer pixels = source.picture().mat().createIndexer()) {
            assertEquals(3, source.picture().channels());
            double step = 255.0 / (colours - 1);
            for (int x = 0; x < SIDE; x++) {
                double red = Math.round(light(x, 2) * 255 / step) * step;
                assertEquals(red, pixels.getDouble(2, x, 2), 1.01, "at " + x);
                assertEquals(20_000 / 257.0, pixels.getDouble(2, x, 1), 1.01);
                assertEquals(255 - red, pixels.getDouble(2, x, 0), 1.01);
            }
        }
    }
}
