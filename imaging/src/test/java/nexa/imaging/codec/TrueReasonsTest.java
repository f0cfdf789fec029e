package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HexFormat;
import nexa.imaging.InkMaker;
import nexa.imaging.TiffWriter;
import nexa.imaging.TiffWriter.Directory;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.imaging.system.SystemLibrary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Good files of rare kinds open, or it is said which kind is not read. */
class TrueReasonsTest {
    @TempDir
    Path folder;

    private Probe probe(String name, byte[] bytes) throws IOException {
        return PhotoCodecs.STANDARD.probe(Files.write(folder.resolve(name), bytes));
    }

    @ParameterizedTest
    @CsvSource({
        "c.jp2,0000000c6a5020200d0a870a00000000,DAMAGED",
        "d.jp2,ff4fff5100000000000000000000,DAMAGED",
        "f.heic,00000018667479706865696300000000686569636d696631,UNSUPPORTED",
        "e.jpg,4e6f20706963747572652061742061,NOT_AN_IMAGE"
    })
    void filesWithoutAPicture_areRefusedWithTheReason(String name, String hex, Trouble.Kind kind) throws IOException {
        assertEquals(Probe.unreadable(kind), probe(name, HexFormat.of().parseHex(hex)));
    }

    @ParameterizedTest
    @CsvSource({"50001,8,1,2", "34925,8,1,2", "1,32,3,2", "1,64,3,2", "1,8,1,8", "1,32,1,2"})
    void tiffsThatAreNotRead_areNotCalledDamaged(int packing, int bits, int format, int photometric)
            throws IOException {
        Directory first = new Directory()
                .tag(256, 8)
                .tag(257, 8)
                .tag(258, bits, bits, bits)
                .tag(259, packing)
                .tag(262, photometric)
                .tag(277, 3)
                .tag(278, 8)
                .tag(339, format, format, format)
                .data(273, 279, new byte[8 * 8 * 3 * bits / 8]);
        assertEquals(Probe.unreadable(Trouble.Kind.UNSUPPORTED), probe("a.tif", TiffWriter.bytes(first)));
    }

    private static byte[] box(String type, byte[]... parts) {
        int length = 8 + Arrays.stream(parts).mapToInt(part -> part.length).sum();
        ByteBuffer out = ByteBuffer.allocate(length).putInt(length).put(type.getBytes(StandardCharsets.ISO_8859_1));
        Arrays.stream(parts).forEach(out::put);
        return out.array();
    }

    /** Colours by number (ISO/IEC 15444-2, M.11.7.3.1). */
    private static byte[] colours(int number) {
        return box("colr", new byte[] {1, 0, 0, 0, 0, 0, (byte) number});
    }

    /** Headers alone, of four components. */
    private Probe jpeg2000(byte[]... colours) throws IOException {
        ByteBuffer stream = ByteBuffer.allocate(64)
                .putInt(0xFF4FFF51)
                .putShort((short) 50)
                .putShort((short) 0)
                .putInt(40)
                .putInt(30);
        stream.position(40).putShort((short) 4).put((byte) 7);
        byte[] header = new byte[0];
        for (byte[] each : colours) {
            header = ByteBuffer.allocate(header.length + each.length)
                    .put(header)
                    .put(each)
                    .array();
        }
        return probe(
                "a.jp2",
                ByteBuffer.allocate(12 + 20 + 8 + header.length + 72)
                        .put(HexFormat.of().parseHex("0000000c6a5020200d0a870a"))
                        .put(box("ftyp", HexFormat.of().parseHex("6a703220000000006a703220")))
                        .put(box("jp2h", header))
                        .put(box("jp2c", stream.array()))
                        .array());
    }

    @ParameterizedTest
    @ValueSource(ints = {11, 12, 13, 14, 19, 21})
    void jpeg2000OfInksAndOtherColours_isNotTakenForRedGreenAndBlue(int number) throws IOException {
        assertEquals(Probe.unreadable(Trouble.Kind.UNSUPPORTED), jpeg2000(colours(number)));
        assertTrue(jpeg2000(colours(number), colours(16)) instanceof Probe.Readable, "which says it in two ways");
    }

    @Test
    void jpeg2000WithAPressesProfile_isNotTakenForRedGreenAndBlue() throws IOException {
        byte[] press = box("colr", new byte[] {3, 0, 0}, InkMaker.profile());
        assertEquals(Probe.unreadable(Trouble.Kind.UNSUPPORTED), jpeg2000(press));
        byte[] none = box("colr", new byte[] {2, 0, 0}, new byte[8]);
        assertTrue(jpeg2000(none) instanceof Probe.Readable, "a profile that is none does no harm");
    }

    @Test
    void jpeg2000OfAPalette_isNotTakenForGrey() throws IOException {
        assertEquals(Probe.unreadable(Trouble.Kind.UNSUPPORTED), jpeg2000(box("pclr", new byte[7]), colours(16)));
    }

    /** A bare codestream's header. */
    private Probe jpeg2000(int width, int height) throws IOException {
        ByteBuffer stream = ByteBuffer.allocate(64)
                .putInt(0xFF4FFF51)
                .putShort((short) 50)
                .putShort((short) 0)
                .putInt(width)
                .putInt(height);
        return probe(
                "a.j2k", stream.position(40).putShort((short) 3).put((byte) 7).array());
    }

    @Test
    void moreThanADecoderTakes_isNotCalledDamaged() throws IOException {
        assertTrue(jpeg2000(16_000, 16_000) instanceof Probe.Readable);
        assertEquals(Probe.unreadable(Trouble.Kind.DECODER_LIMIT), jpeg2000(18_000, 16_000));
        assertEquals(Probe.unreadable(Trouble.Kind.TOO_LARGE), jpeg2000(30_000, 16_000));
    }

    /** A header's numbers with so many bits each, the lowest bit first (ISO/IEC 18181-1, annexes B and D). */
    private static byte[] jpegXl(int... bitsAndNumbers) {
        BitSet all = new BitSet();
        int at = 0;
        for (int i = 0; i < bitsAndNumbers.length; i += 2) {
            for (int bit = 0; bit < bitsAndNumbers[i]; bit++) {
                all.set(at++, (bitsAndNumbers[i + 1] >> bit & 1) == 1);
            }
        }
        byte[] header = all.toByteArray();
        return ByteBuffer.allocate(64).putShort((short) 0xFF0A).put(header).array();
    }

    @ParameterizedTest
    @CsvSource({"2, false", "0, true"})
    void jpegXlWithBlackBesideItsColours_isNotTakenForRedGreenAndBlue(int typeLessTwo, boolean isAlpha)
            throws IOException {
        assumeTrue(SystemLibrary.jxl().isPresent(), "libjxl is not installed");
        byte[] header = jpegXl(
                1,
                1,
                5,
                11,
                3,
                1, // 96 × 96
                1,
                0,
                1,
                0, // not all as usual, no more about it as a whole
                1,
                0,
                2,
                0,
                1,
                1, // 8 bits
                2,
                1,
                1,
                0,
                2,
                isAlpha ? 0 : 2,
                isAlpha ? 0 : 4,
                typeLessTwo, // one channel beside, of a type
                1,
                0,
                2,
                0,
                2,
                0,
                2,
                0);
        Probe probe = probe("a.jxl", header);
        assertEquals(isAlpha, probe instanceof Probe.Readable, probe::toString);
        assertEquals(!isAlpha, probe.equals(Probe.unreadable(Trouble.Kind.UNSUPPORTED)));
    }
}
