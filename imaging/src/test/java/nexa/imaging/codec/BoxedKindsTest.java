package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static nexa.imaging.codec.OtherDecoders.HEIGHT;
import static nexa.imaging.codec.OtherDecoders.WIDTH;
import static nexa.imaging.codec.OtherDecoders.assertBits;
import static nexa.imaging.codec.OtherDecoders.assertSame;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.Tools;
import nexa.imaging.apart.Apart;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.system.SystemLibrary;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** HEIC, AVIF and JPEG XL, and what they have in common with JPEG 2000, made by the encoders of others and compared with their decoders. */
class BoxedKindsTest {
    @TempDir
    Path folder;

    private Path file(String name) {
        return folder.resolve(name);
    }

    private Path source(boolean isDeep) throws IOException {
        return OtherDecoders.source(folder, isDeep);
    }

    private Path jpeg() throws IOException {
        return TestPhotos.jpeg(file("source.jpg"), WIDTH, HEIGHT, 1);
    }

    @Test
    void heic_showsItsPicture_andKeepsItsExif() throws IOException {
        Tools.need("heif-enc", "heif-convert");
        Path heic = file("a.heic");
        Tools.run("heif-enc", "-q", 95, jpeg(), "-o", heic);
        Tools.run("heif-convert", heic, file("theirs.png"));
        assertSame(file("theirs.png"), heic);
        PhotoFacts facts = facts(heic);
        assertEquals(FileKind.HEIF, facts.kind());
        assertEquals("Aldermoor", facts.camera().maker());
        assertNotNull(facts.taken());
        try (Source source = PhotoCodecs.STANDARD.open(heic, facts)) {
            assertNotNull(source.metadata().exif());
        }
        assertBits(8, heic);
    }

    @Test
    void heicOfTenBits_losesNone() throws IOException {
        Tools.need("heif-enc", "heif-convert");
        Path heic = file("a.heic");
        Tools.run("heif-enc", "-q", 95, "-b", 10, source(true), "-o", heic);
        Tools.run("heif-convert", heic, file("theirs.png"));
        assertSame(file("theirs.png"), heic);
        assertBits(16, heic);
    }

    /** As libavif numbers them: anticlockwise quarter turns; 0 exchanges top and bottom, 1 left and right. */
    @ParameterizedTest
    @CsvSource({"1,", "2,", "3,", ",0", ",1", "1,0", "3,1", "2,1"})
    void avif_isTurnedAndMirrored_asItsBoxesSay(String turn, String mirror) throws IOException {
        Tools.need("avifenc", "heif-convert");
        Path avif = file("a.avif");
        Object[] command = {"avifenc", "--min", 0, "--max", 5};
        command = turn == null ? command : with(command, "--irot", turn);
        command = mirror == null ? command : with(command, "--imir", mirror);
        Tools.run(with(command, source(false), avif));
        Tools.run("heif-convert", avif, file("theirs.png"));
        assertSame(file("theirs.png"), avif);
    }

    private static Object[] with(Object[] command, Object... more) {
        Object[] all = Arrays.copyOf(command, command.length + more.length);
        System.arraycopy(more, 0, all, command.length, more.length);
        return all;
    }

    @ParameterizedTest
    @CsvSource({"8,420", "10,444", "12,420", "8,400"})
    void avif_ofEveryDepth_showsItsPicture(int bits, String chroma) throws IOException {
        Tools.need("avifenc", "avifdec");
        Path avif = file("a.avif");
        Tools.run("avifenc", "--min", 0, "--max", 5, "-d", bits, "-y", chroma, source(bits > 8), avif);
        Tools.run("avifdec", avif, file("theirs.png"));
        assertBits(bits > 8 ? 16 : 8, avif);
        if (!chroma.equals("400")) {
            assertSame(file("theirs.png"), avif);
        } else {
            try (Source source = PhotoCodecs.STANDARD.open(avif, facts(avif))) {
                assertEquals(1, source.picture().channels());
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"limited", "full"})
    void avif_ofEitherRange_showsItsPicture(String range) throws IOException {
        Tools.need("avifenc", "avifdec");
        Path avif = file("a.avif");
        Tools.run("avifenc", "--min", 0, "--max", 5, "-r", range, source(false), avif);
        Tools.run("avifdec", avif, file("theirs.png"));
        assertSame(file("theirs.png"), avif);
    }

    @Test
    void avifOfTiles_andItsCleanPart_showTheirPictures() throws IOException {
        Tools.need("avifenc", "avifdec", "heif-convert");
        Path[] tiles = new Path[6];
        try (Picture scene = TestPhotos.scene(384, 192)) {
            for (int i = 0; i < tiles.length; i++) {
                tiles[i] = file("tile" + i + ".png");
                int x = i % 3 * 128;
                int y = i / 3 * 96;
                try (Mat tile = scene.mat().rowRange(y, y + 96).colRange(x, x + 128)) {
                    assertTrue(opencv_imgcodecs.imwrite(tiles[i].toString(), tile));
                }
            }
        }
        Path tiled = file("tiled.avif");
        Tools.run(
                "avifenc", "--min", 0, "--max", 5, "--grid", "3x2", tiles[0], tiles[1], tiles[2], tiles[3], tiles[4],
                tiles[5], tiled);
        Tools.run("avifdec", tiled, file("tiled.png"));
        assertEquals(new PixelSize(384, 192), facts(tiled).asShot());
        assertSame(file("tiled.png"), tiled);
        Path cut = file("cut.avif");
        Tools.run("avifenc", "--min", 0, "--max", 5, "--crop", "20,10,200,100", source(false), cut);
        Tools.run("heif-convert", cut, file("cut.png"));
        assertEquals(new PixelSize(200, 100), facts(cut).asShot());
        assertSame(file("cut.png"), cut);
    }

    @Test
    void codePoints_becomeAProfile() throws IOException {
        Tools.need("avifenc");
        Path wide = file("wide.avif");
        Tools.run("avifenc", "--cicp", "12/13/6", source(false), wide);
        assertEquals(Profile.WIDE.name(), facts(wide).profile());
    }

    @Test
    void coloursByAnUnknownMatrix_areRefused_notShownWrong() throws IOException {
        Tools.need("avifenc");
        Path other = file("ycgco.avif");
        Tools.run("avifenc", "--cicp", "1/13/8", "-y", 444, source(false), other);
        assertEquals(Probe.unreadable(Trouble.Kind.UNSUPPORTED), PhotoCodecs.STANDARD.probe(other));
    }

    @Test
    void hevc_canBeLeftOut() throws IOException {
        Tools.need("heif-enc");
        Path heic = file("a.heic");
        Tools.run("heif-enc", source(false), "-o", heic);
        try (PhotoFile opened = PhotoFile.open(heic)) {
            assertEquals(
                    Probe.unreadable(Trouble.Kind.HEVC),
                    new HeifCodec(Apart.SHARED, false).probe(opened).orElseThrow());
        } catch (ImageProcessingException damaged) {
            throw new IOException(damaged);
        }
    }

    @ParameterizedTest
    @CsvSource({"0,false", "1,false", "0,true"})
    void jpegXl_showsItsPicture(int distance, boolean isDeep) throws IOException {
        assumeTrue(SystemLibrary.jxl().isPresent(), "libjxl is not installed");
        Tools.need("cjxl", "djxl");
        Path file = file("a.jxl");
        Tools.run("cjxl", source(isDeep), file, "-d", distance);
        Tools.run("djxl", file, file("theirs.png"));
        assertEquals(FileKind.JPEG_XL, facts(file).kind());
        assertSame(file("theirs.png"), file);
        assertBits(isDeep ? 16 : 8, file);
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
            assertTrue(source.profile().isPresent());
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 6, 8, 2})
    void jpegXlMadeOfAJpeg_isTurnedAsThat(int orientation) throws IOException {
        assumeTrue(SystemLibrary.jxl().isPresent(), "libjxl is not installed");
        Tools.need("cjxl");
        Path jpeg = TestPhotos.jpeg(file("turned.jpg"), WIDTH, HEIGHT, orientation);
        Path file = file("turned.jxl");
        Tools.run("cjxl", jpeg, file);
        assertEquals(orientation, facts(file).exifOrientation());
        assertEquals("Aldermoor", facts(file).camera().maker());
        try (Picture ofJpeg = new PreviewMaker(PhotoCodecs.STANDARD).picture(jpeg, facts(jpeg), 1000);
                Picture shown = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts(file), 1000)) {
            assertTrue(TestPhotos.psnr(ofJpeg, shown) >= 40, "it is laid down as the JPEG is");
        }
    }

    /** Cut off anywhere and overwritten anywhere, such files are refused or shown, and nothing else happens. */
    @ParameterizedTest
    @ValueSource(strings = {"heif-enc", "avifenc", "opj_compress", "cjxl"})
    void damagedFiles_areRefused(String encoder) throws IOException {
        Tools.need(encoder);
        Path whole = file(
                switch (encoder) {
                    case "heif-enc" -> "a.heic";
                    case "avifenc" -> "a.avif";
                    case "cjxl" -> "a.jxl";
                    default -> "a.jp2";
                });
        switch (encoder) {
            case "heif-enc" -> Tools.run(encoder, source(false), "-o", whole);
            case "opj_compress" -> Tools.run(encoder, "-i", source(false), "-o", whole);
            default -> Tools.run(encoder, source(false), whole);
        }
        byte[] bytes = Files.readAllBytes(whole);
        for (int part = 1; part < 8; part++) {
            open(Files.write(file("cut"), Arrays.copyOf(bytes, bytes.length * part / 8)));
            byte[] spoiled = bytes.clone();
            Arrays.fill(spoiled, bytes.length * part / 9, bytes.length * part / 9 + 20, (byte) 0xA5);
            open(Files.write(file("spoiled"), spoiled));
        }
    }

    private static void open(Path file) {
        if (PhotoCodecs.STANDARD.probe(file) instanceof Probe.Readable readable) {
            try {
                PhotoCodecs.STANDARD.open(file, readable.facts()).close();
            } catch (UnreadablePhotoException refused) {
                assertNotNull(refused.trouble());
            }
        }
    }

    @Test
    void movingPictures_sayThatTheFirstIsShown() throws IOException {
        Tools.need("avifenc");
        Path avif = file("moving.avif");
        Tools.run("avifenc", source(false), source(false), avif);
        assertTrue(facts(avif).remarks().contains(Remark.FIRST_OF_SEVERAL));
    }

    @ParameterizedTest
    @CsvSource({"heif-enc,a.heic", "avifenc,a.avif", "opj_compress,a.jp2", "cjxl,a.jxl"})
    void transparency_isSaidToBeLeftOut(String encoder, String name) throws IOException {
        Tools.need(encoder);
        assumeTrue(!encoder.equals("cjxl") || SystemLibrary.jxl().isPresent(), "libjxl is not installed");
        Path png = file("four.png");
        try (Picture scene = TestPhotos.scene(WIDTH, HEIGHT);
                Mat four = new Mat()) {
            opencv_imgproc.cvtColor(scene.mat(), four, opencv_imgproc.COLOR_BGR2BGRA);
            four.rowRange(0, HEIGHT / 2).put(new Scalar(10, 20, 30, 100));
            assertTrue(opencv_imgcodecs.imwrite(png.toString(), four));
        }
        Path file = file(name);
        switch (encoder) {
            case "heif-enc" -> Tools.run(encoder, png, "-o", file);
            case "opj_compress" -> Tools.run(encoder, "-i", png, "-o", file);
            default -> Tools.run(encoder, png, file);
        }
        PhotoFacts facts = facts(file);
        assertTrue(facts.remarks().contains(Remark.NO_ALPHA), facts::toString);
        try (Source source = PhotoCodecs.STANDARD.open(file, facts)) {
            assertEquals(3, source.picture().channels());
        }
    }
}
