package nexa.imaging.pixels;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.imageio.ImageIO;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.imaging.preview.PreviewMaker;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class DecoderTest {
    @TempDir
    Path folder;

    @ParameterizedTest
    @EnumSource
    void decode_reduced_hasThatFractionOfTheSize(Reduction reduction) throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("a.jpg"), 640, 320, 1);
        try (Picture picture = Decoder.decode(file, reduction)) {
            assertEquals(new PixelSize(640 / reduction.factor(), 320 / reduction.factor()), picture.size());
        }
    }

    @Test
    void decode_leavesEveryOrientationAsStored() throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("a.jpg"), 300, 200, 6);
        for (Reduction reduction : new Reduction[] {Reduction.NONE, Reduction.HALF}) {
            try (Picture picture = Decoder.decode(file, reduction)) {
                assertTrue(picture.size().height() > picture.size().width());
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void preview_isUprightForEveryOrientation(int orientation) throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("o.jpg"), 600, 400, orientation);
        PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
        try (Picture preview = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 150);
                Picture scene = TestPhotos.scene(600, 400);
                Picture expected = scene.reducedTo(150)) {
            assertEquals(expected.size(), preview.size());
            assertTrue(TestPhotos.psnr(expected, preview) > 35);
        }
    }

    @Test
    void preview_ofSmallPhoto_keepsItsSize() throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("s.jpg"), 60, 40, 1);
        PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
        try (Picture preview = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 512)) {
            assertEquals(new PixelSize(60, 40), preview.size());
        }
    }

    @Test
    void decode_damaged_isAReasonNotACrash() throws IOException {
        Path png = folder.resolve("d.png");
        ImageIO.write(new java.awt.image.BufferedImage(400, 300, 1), "png", png.toFile());
        byte[] bytes = Files.readAllBytes(png);
        TestPhotos.write(png, Arrays.copyOf(bytes, 60));
        var failure = assertThrows(UnreadablePhotoException.class, () -> Decoder.decode(png, Reduction.NONE));
        assertEquals(Trouble.Kind.DAMAGED, failure.trouble().kind());
    }

    @Test
    void toRaster_hasTheColoursInTheRightOrder() {
        try (Picture scene = TestPhotos.scene(100, 100)) {
            Raster raster = scene.toRaster();
            int topRight = raster.argb()[99];
            assertEquals(0xFF, topRight >>> 24);
            assertTrue((topRight >> 16 & 0xFF) > 220, "red grows to the right");
            assertTrue((topRight >> 8 & 0xFF) < 40, "green grows downwards");
        }
    }

    @Test
    void turned_thenInverse_isTheSamePicture() {
        try (Picture scene = TestPhotos.scene(60, 40)) {
            for (int orientation = 1; orientation <= 8; orientation++) {
                Turn turn = Turn.ofExif(orientation);
                try (Picture turned = scene.turned(turn);
                        Picture back = turned.turned(turn.inverse())) {
                    assertEquals(turn.apply(scene.size()), turned.size());
                    assertEquals(361.0, TestPhotos.psnr(scene, back), 1, "OpenCV's figure for equal pictures");
                }
            }
        }
    }

    @Test
    void reduction_leaving_isTheStrongestThatSuffices() {
        assertEquals(Reduction.EIGHTH, Reduction.leaving(512, 6000));
        assertEquals(Reduction.QUARTER, Reduction.leaving(1280, 6000));
        assertEquals(Reduction.NONE, Reduction.leaving(1280, 1800));
    }

    @Test
    void fileKind_onlyTiffAndRawDataAreTurnedByTheirDecoders() {
        for (FileKind kind : FileKind.values()) {
            assertEquals(kind == FileKind.TIFF || kind == FileKind.RAW_DATA, kind.decodesAsShot());
        }
    }
}
