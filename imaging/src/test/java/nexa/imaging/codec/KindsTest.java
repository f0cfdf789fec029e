package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwritemulti;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.imaging.TestPhotos;
import nexa.imaging.TiffWriter;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every kind of file shows the picture that was put into it. */
class KindsTest {
    @TempDir
    Path folder;

    private static void assertShows(Picture expected, Path file, double decibels) throws IOException {
        PhotoFacts facts = facts(file);
        assertEquals(expected.size(), facts.asShot());
        try (Picture shown = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 10_000)) {
            assertTrue(
                    TestPhotos.psnr(expected, shown) > decibels,
                    file.getFileName() + " shows the same: " + TestPhotos.psnr(expected, shown));
        }
    }

    private Path write(Picture picture, String name, int... parameters) {
        Path file = folder.resolve(name);
        assertTrue(imwrite(file.toString(), picture.mat(), new IntPointer(parameters)));
        return file;
    }

    @ParameterizedTest
    @CsvSource({"a.png,60", "a.tif,60", "a.webp,35", "a.bmp,60", "a.jpg,35", "a.gif,19", "a.ppm,60", "a.ras,60"})
    void everyKind_showsItsPicture(String name, double decibels) throws IOException {
        try (Picture scene = TestPhotos.scene(160, 120)) {
            assertShows(scene, write(scene, name), decibels);
        }
    }

    @Test
    void progressiveJpeg_showsItsPicture() throws IOException {
        try (Picture scene = TestPhotos.scene(160, 120)) {
            assertShows(scene, write(scene, "p.jpg", opencv_imgcodecs.IMWRITE_JPEG_PROGRESSIVE, 1), 35);
        }
    }

    @ParameterizedTest
    @ValueSource(
            ints = {
                opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_NONE,
                opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_LZW,
                opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_ADOBE_DEFLATE,
                opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_PACKBITS
            })
    void deepTiff_ofEveryCompression_showsItsPicture(int compression) throws IOException {
        try (Picture deep = TestPhotos.deepScene(160, 120);
                Picture scene = deep.to8Bits()) {
            Path file = write(deep, "d.tif", opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION, compression);
            assertShows(scene, file, 55);
            try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
                assertEquals(16, source.picture().bits(), "nothing is lost before the delivered file");
            }
        }
    }

    @Test
    void greyAndTiledTiff_showTheirPictures() throws IOException {
        byte[] tile = new byte[32 * 32];
        java.util.Arrays.fill(tile, (byte) 90);
        Path file = folder.resolve("tiled.tif");
        Files.write(
                file,
                TiffWriter.bytes(new TiffWriter.Directory()
                        .tag(256, 30)
                        .tag(257, 20)
                        .tag(258, 8)
                        .tag(259, 1)
                        .tag(262, 1)
                        .tag(277, 1)
                        .tag(322, 32)
                        .tag(323, 32)
                        .data(324, 325, tile)));
        PhotoFacts facts = facts(file);
        assertEquals(new PixelSize(30, 20), facts.asShot());
        try (Picture shown = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 512)) {
            assertEquals(90, shown.mat().data().get(100) & 0xFF);
        }
    }

    @Test
    void tiffOfSeveralPages_showsTheFirstAndSaysSo() throws IOException {
        Path file = folder.resolve("pages.tif");
        try (Picture scene = TestPhotos.scene(160, 120);
                Picture other = TestPhotos.scene(60, 40)) {
            assertTrue(imwritemulti(file.toString(), new MatVector(new Mat[] {scene.mat(), other.mat()})));
            assertTrue(facts(file).remarks().contains(Remark.FIRST_OF_SEVERAL));
            assertShows(scene, file, 60);
        }
    }

    /** As digital negatives have it: a small picture first, the sensor's data and a large preview below. */
    private static byte[] negative(byte[] preview, int orientation) throws IOException {
        byte[] thumbnail;
        try (Picture small = TestPhotos.scene(90, 60)) {
            thumbnail = Encoder.plainJpeg(small, 80);
        }
        TiffWriter.Directory sensor = new TiffWriter.Directory()
                .tag(254, 0)
                .tag(256, 64)
                .tag(257, 48)
                .tag(258, 16)
                .tag(259, 1)
                .tag(262, 32803)
                .tag(277, 1)
                .tag(278, 48)
                .data(273, 279, new byte[64 * 48 * 2]);
        TiffWriter.Directory large =
                new TiffWriter.Directory().tag(254, 1).tag(259, 7).tag(262, 6).data(273, 279, preview);
        return TiffWriter.bytes(new TiffWriter.Directory()
                .tag(254, 1)
                .tag(256, 90)
                .tag(257, 60)
                .tag(259, 7)
                .tag(262, 6)
                .tag(274, orientation)
                .tag(50706, 0x00000401)
                .data(273, 279, thumbnail)
                .below(sensor)
                .below(large));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 6, 8})
    void rawFile_showsItsLargestPreviewUpright(int orientation) throws IOException {
        try (Picture upright = TestPhotos.scene(1200, 800);
                Picture stored = upright.turned(Turn.ofExif(orientation).inverse())) {
            Path file = Files.write(folder.resolve("k.dng"), negative(Encoder.plainJpeg(stored, 96), orientation));
            PhotoFacts facts = facts(file);
            assertEquals(FileKind.RAW, facts.kind());
            assertTrue(facts.remarks().contains(Remark.CAMERA_PREVIEW));
            assertShows(upright, file, 35);
            try (Source source = PhotoCodecs.STANDARD.open(file, facts)) {
                assertEquals(stored.size(), source.picture().size());
            }
        }
    }

    @Test
    void rawFileWhosePreviewIsNotNamed_isFoundByLooking() throws IOException {
        try (Picture scene = TestPhotos.scene(1200, 800)) {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            bytes.writeBytes(negative(new byte[] {1, 2, 3, 4}, 1));
            bytes.writeBytes(Encoder.plainJpeg(scene, 96));
            Path file = Files.write(folder.resolve("k.dng"), bytes.toByteArray());
            assertShows(scene, file, 35);
        }
    }

    /** Some makers' files say of a small finished picture only; by its content such a file is a small TIFF. */
    @ParameterizedTest
    @CsvSource({"k.iiq,1200", "k.MOS,1200", "k.tif,160"})
    void rawFileThatTellsOfItsThumbnailOnly_isNotTakenForThat(String name, int width) throws IOException {
        byte[] thumbnail = TiffWriter.bytes(new TiffWriter.Directory()
                .tag(256, 160)
                .tag(257, 107)
                .tag(258, 8, 8, 8)
                .tag(259, 1)
                .tag(262, 2)
                .tag(277, 3)
                .tag(278, 107)
                .data(273, 279, new byte[160 * 107 * 3]));
        try (Picture scene = TestPhotos.scene(1200, 800)) {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            bytes.writeBytes(thumbnail);
            bytes.writeBytes(Encoder.plainJpeg(scene, 96));
            Path file = Files.write(folder.resolve(name), bytes.toByteArray());
            assertEquals(width, facts(file).asShot().width());
        }
    }

    @Test
    void rawFileWithoutPreview_thatNobodyDevelops_saysSo() throws IOException {
        Path file = folder.resolve("bare.dng");
        Files.write(
                file,
                TiffWriter.bytes(new TiffWriter.Directory()
                        .tag(256, 64)
                        .tag(257, 48)
                        .tag(258, 16)
                        .tag(259, 65000)
                        .tag(262, 32803)
                        .tag(50706, 0x00000401)
                        .data(273, 279, new byte[64 * 48 * 2])));
        Probe.Unreadable probe = assertInstanceOf(Probe.Unreadable.class, PhotoCodecs.STANDARD.probe(file));
        assertEquals(Trouble.Kind.RAW_WITHOUT_PREVIEW, probe.trouble().kind());
    }

    @Test
    void photosWithAndWithoutProfile_sayWhichTheyHave() throws IOException {
        try (Picture scene = TestPhotos.scene(60, 40)) {
            Path tagged = Files.write(
                    folder.resolve("t.jpg"),
                    Encoder.plainJpeg(scene, 90, java.util.Optional.of(nexa.imaging.colour.Profile.WIDE)));
            assertEquals("Wide RGB (P3 primaries)", facts(tagged).profile());
            assertFalse(facts(tagged).remarks().contains(Remark.NO_PROFILE));
            Path plain = Files.write(folder.resolve("p.jpg"), Encoder.plainJpeg(scene, 90));
            assertTrue(facts(plain).remarks().contains(Remark.NO_PROFILE));
        }
    }
}
