package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.Tools;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** HEICs of which fewer pixels are wanted than they have. */
class SmallerHeicTest {
    private static final int WIDTH = 322;
    private static final int HEIGHT = 240;

    @TempDir
    Path folder;

    private Path file(String name) {
        return folder.resolve(name);
    }

    private Path source(boolean isDeep, int width) throws IOException {
        return TestPhotos.png(file("source.png"), width, HEIGHT, isDeep);
    }

    @ParameterizedTest
    @CsvSource({"8, 322, 2, 161", "10, 322, 2, 161", "8, 322, 4, 161", "8, 320, 4, 80", "10, 320, 8, 40"})
    void smallerHeic_isTheMeanOfItsPixels_whereItsSidesCanBeDivided(int bits, int width, int reduced, int left)
            throws IOException {
        Tools.need("heif-enc");
        Path heic = file("a.heic");
        Tools.run("heif-enc", "-q", 95, "-b", bits, source(bits > 8, width), "-o", heic);
        PhotoFacts facts = facts(heic);
        try (Source whole = PhotoCodecs.STANDARD.open(heic, facts);
                Source small = PhotoCodecs.STANDARD.open(heic, facts, Reduction.atMost(reduced));
                Picture all = whole.picture().to8Bits();
                Picture expected = all.reducedTo(left);
                Picture smaller = small.picture().to8Bits()) {
            assertEquals(expected.size(), smaller.size());
            assertEquals(whole.picture().bits(), small.picture().bits());
            double decibels = TestPhotos.psnr(expected, smaller);
            assertTrue(decibels >= 40, decibels + " dB");
        }
    }

    @Test
    void heicsPreview_bringsTheLargerOne() throws IOException, UnreadablePhotoException {
        Tools.need("heif-enc");
        Path heic = file("a.heic");
        Tools.run("heif-enc", "-q", 95, source(false, WIDTH), "-o", heic);
        List<Integer> larger = new ArrayList<>();
        try (Preview small = new PreviewMaker(PhotoCodecs.STANDARD)
                .make(
                        heic,
                        facts(heic),
                        40,
                        100,
                        also -> larger.add(also.picture().size().longEdge()))) {
            assertEquals(40, small.picture().size().longEdge());
        }
        assertEquals(List.of(100), larger);
    }

    @Test
    void heicsThumbnail_servesWhereItIsLargeEnough() throws IOException {
        Tools.need("heif-enc");
        Path heic = file("a.heic");
        Tools.run("heif-enc", "-q", 95, "-t", 200, source(false, WIDTH), "-o", heic);
        PhotoFacts facts = facts(heic);
        try (Source small = PhotoCodecs.STANDARD.open(heic, facts, Reduction.HALF)) {
            PixelSize size = small.picture().size();
            assertEquals(200, size.longEdge());
            try (Picture expected = TestPhotos.scene(size.width(), size.height())) {
                assertTrue(TestPhotos.psnr(expected, small.picture()) > 30);
            }
        }
        try (Preview first = new PreviewMaker(PhotoCodecs.STANDARD)
                .embedded(heic, facts, 400)
                .orElseThrow()) {
            assertEquals(200, first.picture().size().longEdge(), "it shows first, however small");
        }
        try (Source whole = PhotoCodecs.STANDARD.open(heic, facts)) {
            assertEquals(new PixelSize(WIDTH, HEIGHT), whole.picture().size());
        }
    }
}
