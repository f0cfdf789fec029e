package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.Probe;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Bitmaps of one row of four pixels, red, green, blue and white, in the forms that programs have written. */
class BmpTest {
    private static final int WIDTH = 4;

    @TempDir
    Path folder;

    /**
     * One by Windows' header.
     *
     * @param packing 0 none, 3 by masks
     * @param masks in hexadecimal, or a palette
     */
    private static byte[] windows(int bits, int packing, String masks, String pixels) {
        byte[] colours = HexFormat.of().parseHex(masks);
        byte[] row = HexFormat.of().parseHex(pixels);
        ByteBuffer out = begun(54 + colours.length, row.length);
        out.putInt(40).putInt(WIDTH).putInt(1).putShort((short) 1).putShort((short) bits);
        out.putInt(packing).putInt(row.length).putInt(2835).putInt(2835);
        out.putInt(packing == 0 ? colours.length / 4 : 0).putInt(0);
        return out.put(colours).put(row).array();
    }

    private static ByteBuffer begun(int start, int length) {
        ByteBuffer out = ByteBuffer.allocate(start + length).order(ByteOrder.LITTLE_ENDIAN);
        return out.put((byte) 'B')
                .put((byte) 'M')
                .putInt(out.capacity())
                .putInt(0)
                .putInt(start);
    }

    private void assertShown(byte[] bitmap) throws IOException {
        Path file = Files.write(folder.resolve("a.bmp"), bitmap);
        Probe probe = PhotoCodecs.STANDARD.probe(file);
        assertTrue(probe instanceof Probe.Readable, probe::toString);
        try (Source source = PhotoCodecs.STANDARD.open(file, ((Probe.Readable) probe).facts())) {
            assertEquals(new PixelSize(WIDTH, 1), source.picture().size());
            byte[] pixels = new byte[WIDTH * 3];
            source.picture().mat().data().get(pixels);
            assertEquals("0000ff00ff00ff0000ffffff", HexFormat.of().formatHex(pixels), "blue, green, red of each");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "24, 0, '', 0000ff00ff00ff0000ffffff",
        "32, 0, '', 0000ff0000ff0000ff000000ffffff00",
        "16, 3, 00f80000e00700001f000000, 00f8e0071f00ffff",
        "16, 0, '', 007ce0031f00ff7f",
        "32, 3, 0000ff0000ff0000ff000000, 0000ff0000ff0000ff000000ffffff00",
        "32, 3, 000000ff0000ff0000ff0000, 000000ff0000ff0000ff000000ffffff",
        "8, 0, 0000ff0000ff0000ff000000ffffff00, 00010203",
        "4, 0, 0000ff0000ff0000ff000000ffffff00, 01230000",
    })
    void formsOfWindows_showTheirColours(int bits, int packing, String masks, String pixels) throws IOException {
        assertShown(windows(bits, packing, masks, pixels));
    }

    /** A header of twelve bytes, and a palette of three bytes a colour. */
    @Test
    void theFormOfOs2_showsItsColours() throws IOException {
        ByteBuffer out = begun(26 + 256 * 3, WIDTH);
        out.putInt(12)
                .putShort((short) WIDTH)
                .putShort((short) 1)
                .putShort((short) 1)
                .putShort((short) 8);
        out.put(HexFormat.of().parseHex("0000ff00ff00ff0000ffffff")).position(26 + 256 * 3);
        assertShown(out.put(new byte[] {0, 1, 2, 3}).array());
    }
}
