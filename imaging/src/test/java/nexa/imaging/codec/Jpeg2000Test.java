package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static nexa.imaging.codec.OtherDecoders.HEIGHT;
import static nexa.imaging.codec.OtherDecoders.WIDTH;
import static nexa.imaging.codec.OtherDecoders.assertBits;
import static nexa.imaging.codec.OtherDecoders.assertSame;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.Tools;
import nexa.imaging.file.FileKind;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** JPEG 2000, made by OpenJPEG's encoder and compared with its decoder. */
class Jpeg2000Test {
    @TempDir
    Path folder;

    private Path file(String name) {
        return folder.resolve(name);
    }

    private Path source(boolean isDeep) throws IOException {
        return OtherDecoders.source(folder, isDeep);
    }

    @ParameterizedTest
    @CsvSource({"a.jp2,false", "a.j2k,false", "deep.jp2,true"})
    void picture_isThatOfTheOtherDecoder(String name, boolean isDeep) throws IOException {
        Tools.need("opj_compress", "opj_decompress");
        Path file = file(name);
        Tools.run("opj_compress", "-i", source(isDeep), "-o", file);
        Tools.run("opj_decompress", "-i", file, "-o", file("theirs.png"));
        assertEquals(FileKind.JPEG_2000, facts(file).kind());
        assertSame(file("theirs.png"), file);
        assertBits(isDeep ? 16 : 8, file);
    }

    @Test
    void codestreamBehindManyBoxes_isFound() throws IOException {
        Tools.need("opj_compress", "opj_decompress");
        Path plain = file("plain.jp2");
        Tools.run("opj_compress", "-i", source(false), "-o", plain);
        Tools.run("opj_decompress", "-i", plain, "-o", file("theirs.png"));
        byte[] bytes = Files.readAllBytes(plain);
        int codestream = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("jp2c") - 4;
        ByteBuffer filled = ByteBuffer.allocate(bytes.length + 20 * 32).put(bytes, 0, codestream);
        for (int box = 0; box < 20; box++) {
            filled.putInt(32).put("uuid".getBytes(StandardCharsets.ISO_8859_1)).put(new byte[24]);
        }
        filled.put(bytes, codestream, bytes.length - codestream);
        assertSame(file("theirs.png"), Files.write(file("filled.jp2"), filled.array()));
    }

    @Test
    void smallerLevels_areDecoded() throws IOException {
        Tools.need("opj_compress");
        Path file = file("a.jp2");
        Tools.run("opj_compress", "-i", source(false), "-o", file);
        try (Source quarter = PhotoCodecs.STANDARD.open(file, facts(file), Reduction.QUARTER);
                Picture scene = TestPhotos.scene(WIDTH, HEIGHT);
                Picture expected = scene.reducedTo(81)) {
            assertEquals(new PixelSize(81, 60), quarter.picture().size());
            assertTrue(TestPhotos.psnr(expected, quarter.picture()) > 35);
        }
        Path flat = file("flat.jp2");
        Tools.run("opj_compress", "-i", source(false), "-o", flat, "-n", 1);
        try (Source whole = PhotoCodecs.STANDARD.open(flat, facts(flat), Reduction.EIGHTH)) {
            assertEquals(new PixelSize(WIDTH, HEIGHT), whole.picture().size(), "it has no smaller levels");
        }
    }
}
