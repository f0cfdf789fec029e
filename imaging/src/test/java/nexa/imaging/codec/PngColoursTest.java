package nexa.imaging.codec;

import static nexa.imaging.PngMaker.chunk;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javax.imageio.ImageIO;
import nexa.imaging.PngMaker;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** PNGs that say by numbers what their values mean. */
class PngColoursTest {
    private static final int VALUE = 128;

    @TempDir
    Path folder;

    /** Of one value, with what it says. */
    private Path png(int kind, byte[]... said) throws IOException {
        BufferedImage image = new BufferedImage(8, 8, kind);
        for (int i = 0; i < 64; i++) {
            image.getRaster().setPixel(i % 8, i / 8, new int[] {VALUE, VALUE, VALUE});
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return Files.write(folder.resolve("said.png"), PngMaker.with(out.toByteArray(), said));
    }

    private Path colours(byte[]... said) throws IOException {
        return png(BufferedImage.TYPE_3BYTE_BGR, said);
    }

    /** In hundred-thousandths (11.3.2.1 and 11.3.2.2). */
    private static byte[] numbers(String type, double... parts) {
        ByteBuffer data = ByteBuffer.allocate(4 * parts.length);
        for (double part : parts) {
            data.putInt((int) Math.round(part * 100_000));
        }
        return chunk(type, data.array());
    }

    private static PhotoFacts facts(Path file) {
        return ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
    }

    /** What a screen shows for the value. */
    private static int shown(Path file) throws IOException {
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file), Reduction.NONE);
                Picture shown = source.profile()
                        .map(said -> ColourTransform.between(said, Profile.SRGB).apply(source.picture()))
                        .orElseGet(() -> source.picture().shared())) {
            return shown.mat().data().get(0) & 0xFF;
        }
    }

    /** Mid-grey by a power is not sRGB's: light of 0.5^(1/gamma) on sRGB's curve. */
    @ParameterizedTest
    @CsvSource({"1, 188", "0.55556, 147", "0.45455, 128"})
    void gamma_isFollowed_ofColoursAndOfGrey(double gamma, int expected) throws IOException {
        for (int kind : new int[] {BufferedImage.TYPE_3BYTE_BGR, BufferedImage.TYPE_BYTE_GRAY}) {
            Path file = png(kind, numbers("gAMA", gamma));
            assertEquals(expected, shown(file), 1, () -> "kind " + kind);
            assertFalse(facts(file).remarks().contains(Remark.NO_PROFILE));
        }
    }

    @Test
    void primariesOfItsOwn_areItsProfile() throws IOException {
        byte[] wide = numbers("cHRM", 0.3127, 0.329, 0.68, 0.32, 0.265, 0.69, 0.15, 0.06);
        Path file = colours(numbers("gAMA", 0.45455), wide);
        assertTrue(facts(file).profile().contains("2.20"), facts(file)::profile);
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file), Reduction.NONE)) {
            assertEquals(facts(file).profile(), source.profile().orElseThrow().name());
        }
        assertEquals(
                Profile.SRGB.name(),
                facts(colours(wide, chunk("sRGB", new byte[1]))).profile());
    }

    @ParameterizedTest
    @CsvSource({"1, sRGB", "12, Wide RGB (P3 primaries)", "9, Wide RGB (BT.2020 primaries)"})
    void codePoints_countMoreThanNumbers(int primaries, String name) throws IOException {
        byte[] coded = chunk("cICP", new byte[] {(byte) primaries, 13, 0, 1});
        assertEquals(name, facts(colours(coded, numbers("gAMA", 1))).profile());
    }

    @ParameterizedTest
    @ValueSource(ints = {16, 18})
    void lightForBrighterScreens_isRefused_asItWouldBeShownWrong(int transfer) throws IOException {
        Path file = colours(chunk("cICP", new byte[] {9, (byte) transfer, 0, 1}));
        assertEquals(Probe.unreadable(Trouble.Kind.UNSUPPORTED), PhotoCodecs.STANDARD.probe(file));
    }

    @Test
    void nothingSaid_isTakenForSrgb_andThatIsSaid() throws IOException {
        Path file = colours();
        assertNull(facts(file).profile());
        assertTrue(facts(file).remarks().contains(Remark.NO_PROFILE));
        assertEquals(VALUE, shown(file));
    }

    /** Of no use, or cut short: the picture opens as one that says nothing. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5})
    void senselessNumbers_doNoHarm(int which) throws IOException {
        byte[] said = new byte[][] {
                    numbers("gAMA", 0),
                    chunk("gAMA", new byte[2]),
                    numbers("cHRM", 0, 0, 0, 0, 0, 0, 0, 0),
                    numbers("cHRM", 0.31, 0.33, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5),
                    chunk("cHRM", new byte[5]),
                    chunk("cICP", new byte[] {12})
                }
                [which];
        Path file = colours(said);
        Probe probe = PhotoCodecs.STANDARD.probe(file);
        assertTrue(probe instanceof Probe.Readable, () -> which + ": " + probe);
        assertTrue(facts(file).remarks().contains(Remark.NO_PROFILE), () -> which + " says nothing");
        assertEquals(VALUE, shown(file));
    }

    @Test
    void metadata_haveTheProfileThatIsDelivered() throws IOException {
        Path file = colours(numbers("gAMA", 1));
        PhotoFacts facts = facts(file);
        byte[] icc = PhotoCodecs.STANDARD.of(file, facts).metadata(file, facts).icc();
        assertEquals(Optional.ofNullable(facts.profile()), Profile.of(icc).map(Profile::name));
    }
}
