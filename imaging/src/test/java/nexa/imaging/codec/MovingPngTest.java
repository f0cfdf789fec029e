package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import nexa.imaging.PngMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.probe.MovingPng;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A PNG that moves is shown as its still picture, which moves along or does not. */
class MovingPngTest {
    private static final int WIDTH = 120;
    private static final int HEIGHT = 80;

    private static final int END = 12;

    @TempDir
    Path folder;

    private byte[] plain;

    @BeforeEach
    void makePlain() throws IOException {
        plain = Files.readAllBytes(TestPhotos.png(folder.resolve("plain.png"), WIDTH, HEIGHT, false));
    }

    /** The still one, and two that follow each other: the pixels of a smaller PNG as they are. */
    private byte[] moving() throws IOException {
        byte[] other = Files.readAllBytes(TestPhotos.png(folder.resolve("other.png"), WIDTH / 2, HEIGHT / 2, false));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(plain, 0, PngMaker.BEFORE);
        out.writeBytes(chunk("acTL", ByteBuffer.allocate(8).putInt(2).putInt(0)));
        out.write(plain, PngMaker.BEFORE, plain.length - PngMaker.BEFORE - END);
        for (int frame = 0; frame < 2; frame++) {
            out.writeBytes(chunk(
                    "fcTL",
                    ByteBuffer.allocate(26)
                            .putInt(2 * frame)
                            .putInt(WIDTH / 2)
                            .putInt(HEIGHT / 2)
                            .putInt(5)
                            .putInt(5)
                            .putShort((short) 1)
                            .putShort((short) 10)));
            byte[] pixels = pixels(other);
            out.writeBytes(chunk(
                    "fdAT",
                    ByteBuffer.allocate(4 + pixels.length).putInt(2 * frame + 1).put(pixels)));
        }
        out.write(plain, plain.length - END, END);
        return out.toByteArray();
    }

    private static byte[] chunk(String type, ByteBuffer content) {
        return PngMaker.chunk(type, content.array());
    }

    private static byte[] pixels(byte[] png) {
        ByteArrayOutputStream pixels = new ByteArrayOutputStream();
        ByteBuffer bytes = ByteBuffer.wrap(png);
        for (int at = 8; at < png.length; at += 12 + bytes.getInt(at)) {
            if (new String(png, at + 4, 4, StandardCharsets.US_ASCII).equals("IDAT")) {
                pixels.write(png, at + 8, bytes.getInt(at));
            }
        }
        return pixels.toByteArray();
    }

    @Test
    void stillPictureIsShown_andSaidToBeOneOfSeveral() throws IOException {
        Path file = Files.write(folder.resolve("moving.png"), moving());
        PhotoFacts facts = facts(file);
        assertTrue(facts.remarks().contains(Remark.FIRST_OF_SEVERAL));
        try (Source source = PhotoCodecs.STANDARD.open(file, facts);
                Picture expected = Decoder.decode(folder.resolve("plain.png"), Reduction.NONE)) {
            assertTrue(TestPhotos.psnr(expected, source.picture()) > 100, "no value differs");
        }
        assertFalse(facts(folder.resolve("plain.png")).remarks().contains(Remark.FIRST_OF_SEVERAL));
    }

    @Test
    void movementThatIsSaidBehindThePixels_isNone() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(plain, 0, plain.length - END);
        out.writeBytes(chunk("acTL", ByteBuffer.allocate(8).putInt(2).putInt(0)));
        out.write(plain, plain.length - END, END);
        Path file = Files.write(folder.resolve("late.png"), out.toByteArray());
        assertFalse(facts(file).remarks().contains(Remark.FIRST_OF_SEVERAL));
    }

    @Test
    void whatMovesIsLeftOut_andNothingElse() throws IOException {
        byte[] moving = moving();
        assertArrayEquals(plain, MovingPng.still(moving));
        assertArrayEquals(plain, MovingPng.still(plain));
        for (int length = 0; length < plain.length; length += 7) {
            byte[] cut = Arrays.copyOf(plain, length);
            assertArrayEquals(cut, MovingPng.still(cut), "cut after " + length);
        }
    }
}
