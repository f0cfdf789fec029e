package nexa.imaging.fill;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.fill.Fill;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is beyond the photo, in pictures whose upper quarter is. */
class FillerTest {
    private static final PixelSize SIZE = new PixelSize(200, 160);
    private static final int TOP = 40;

    /** A photo's value at a place, 0 to 1. */
    private interface Scene {
        double at(double x, double y);
    }

    static Stream<Fill> fills() {
        return Stream.of(
                Fill.WHITE,
                new Fill.Colour(10, 200, 30),
                new Fill.Mirror(),
                new Fill.Blurred(),
                new Fill.Surroundings());
    }

    @ParameterizedTest
    @MethodSource("fills")
    void thePhotoItself_staysAsItIs_inEveryDepthAndNumberOfChannels(Fill fill) {
        for (int type : new int[] {CV_8UC1, CV_8UC3, CV_16UC3}) {
            try (Picture plain = picture(SIZE, type, FillerTest::waves);
                    Picture filled = fill(fill, type, FillerTest::waves)) {
                assertArrayEquals(values(plain, TOP, SIZE.height()), values(filled, TOP, SIZE.height()), fill.text());
                assertFalse(
                        Stream.of(1, TOP / 2, TOP - 2).allMatch(row -> values(filled, row, row + 1)[0] == 0),
                        "nothing was filled");
            }
        }
    }

    @Test
    void whiteAndColours_areThatColour() {
        try (Picture filled = fill(new Fill.Colour(10, 200, 30), CV_8UC3, FillerTest::waves)) {
            Samples samples = Samples.of(filled);
            assertEquals(List.of(30, 200, 10), List.of(samples.get(0), samples.get(1), samples.get(2)));
        }
        try (Picture filled = fill(Fill.WHITE, CV_16UC3, FillerTest::waves)) {
            assertEquals(65535, Samples.of(filled).get(5));
        }
    }

    @Test
    void aColour_isMeantInSrgb_whateverThePicturesProfile() {
        Filler filling = filling(new Fill.Colour(200, 40, 40), CV_8UC3, FillerTest::waves);
        try (Picture filled = filling.fill(picture(SIZE, CV_8UC3, FillerTest::waves), Optional.of(Profile.WIDE))) {
            assertTrue(Samples.of(filled).get(2) < 200, "a wider space needs less red for it");
        }
    }

    @Test
    void transparent_hasNothingThere_andAllOfThePhoto() {
        try (Picture filled = fill(new Fill.Transparent(), CV_8UC3, FillerTest::waves)) {
            Samples samples = Samples.of(filled);
            assertEquals(4, filled.channels());
            assertEquals(0, samples.get(3));
            assertEquals(255, samples.get((long) (SIZE.height() - 1) * SIZE.width() * 4 + 3));
        }
    }

    @Test
    void mirror_showsWhatIsAsFarInside() {
        try (Picture filled = fill(new Fill.Mirror(), CV_8UC3, FillerTest::waves)) {
            for (int d = 1; d < 20; d++) {
                assertEquals(
                        values(filled, TOP + d, TOP + d + 1)[150],
                        values(filled, TOP - d, TOP - d + 1)[150],
                        2,
                        "row " + d);
            }
        }
    }

    @Test
    void stretch_pullsTheStripOutToTheFrame_andLeavesTheRest() {
        Scene ramp = (x, y) -> (y - TOP) / 120.0;
        try (Picture filled = fill(new Fill.Stretch(0.2), CV_8UC3, ramp);
                Picture plain = picture(SIZE, CV_8UC3, ramp)) {
            assertEquals(0, values(filled, 0, 1)[0], 3, "the photo's edge comes to the frame's");
            int strip = (int) (0.2 * SIZE.width());
            assertEquals(
                    values(plain, TOP + strip + 2, TOP + strip + 3)[0],
                    values(filled, TOP + strip + 2, TOP + strip + 3)[0],
                    1);
            int[] column = Stream.iterate(0, y -> y + 1)
                    .limit(TOP + strip)
                    .mapToInt(y -> values(filled, y, y + 1)[0])
                    .toArray();
            for (int y = 1; y < column.length; y++) {
                assertTrue(column[y] >= column[y - 1], "it goes on evenly");
            }
        }
    }

    @Test
    void surroundings_goOnWithAPattern_asThePhotoHasIt() {
        Scene stripes = (x, y) -> Math.sin(x / 3) > 0 ? 0.8 : 0.2;
        try (Picture filled = fill(new Fill.Surroundings(), CV_8UC3, stripes);
                Picture plain = picture(SIZE, CV_8UC3, stripes)) {
            int[] expected = values(plain, 0, TOP);
            int[] actual = values(filled, 0, TOP);
            double off = 0;
            for (int i = 0; i < expected.length; i++) {
                off += Math.abs(expected[i] - actual[i]) / 255.0 / expected.length;
            }
            assertTrue(off < 0.06, "mean difference " + off);
        }
    }

    @Test
    void surroundings_areTheSameEachTime() {
        try (Picture one = fill(new Fill.Surroundings(), CV_8UC3, FillerTest::waves);
                Picture other = fill(new Fill.Surroundings(), CV_8UC3, FillerTest::waves)) {
            assertArrayEquals(values(one, 0, SIZE.height()), values(other, 0, SIZE.height()));
        }
    }

    @Test
    void surroundings_withoutEnoughPhoto_areNoTrouble() {
        for (int left : new int[] {0, 1, 3, 6}) {
            Filler filling = new Filler(
                    new Fill.Surroundings(),
                    size -> corners(size, size.height() - left),
                    size -> picture(size, CV_8UC3, FillerTest::waves));
            try (Picture filled = filling.fill(picture(SIZE, CV_8UC3, FillerTest::waves), Optional.empty())) {
                assertEquals(SIZE, filled.size());
            }
        }
    }

    @Test
    void seam_passesWhereItIsEven_andTellsWhereSomethingIsCut() {
        assertFalse(seam((x, y) -> 0.6 + 0.1 * y / 160).shows(), "a backdrop");
        assertFalse(seam((x, y) -> 0.5 + 0.02 * Math.sin(x) * Math.sin(y)).shows(), "fine texture");
        Seam post = seam((x, y) -> x > 90 && x < 110 ? 0.1 : 0.8);
        assertTrue(post.shows());
        assertEquals(0.5, post.places().getFirst().centreX(), 0.1);
        assertTrue(
                seam((x, y) -> y > 56 && y < 63 && x > 80 && x < 88 ? 0.45 : 0.6)
                        .shows(),
                "the end of a post");
        assertTrue(seam((x, y) -> y > 52 && x > 90 && x < 110 ? 0.1 : 0.8).shows(), "what turns up in the fill");
    }

    private static Seam seam(Scene scene) {
        Filler filling = filling(new Fill.Mirror(), CV_8UC3, scene);
        try (Picture filled = fill(new Fill.Mirror(), CV_8UC3, scene)) {
            return filling.seam(filled);
        }
    }

    private static Picture fill(Fill fill, int type, Scene scene) {
        return filling(fill, type, scene).fill(picture(SIZE, type, scene), Optional.empty());
    }

    private static Filler filling(Fill fill, int type, Scene scene) {
        return new Filler(
                fill,
                size -> corners(size, (double) TOP * size.height() / SIZE.height()),
                size -> picture(size, type, scene));
    }

    private static List<Point> corners(PixelSize size, double top) {
        return List.of(
                new Point(0, top),
                new Point(size.width(), top),
                new Point(size.width(), size.height()),
                new Point(0, size.height()));
    }

    private static double waves(double x, double y) {
        return 0.5 + 0.2 * Math.sin(x / 7) + 0.2 * Math.sin(y / 9 + x / 30);
    }

    private static Picture picture(PixelSize size, int type, Scene scene) {
        Picture picture = new Picture(new Mat(size.height(), size.width(), type));
        Samples samples = Samples.of(picture);
        int most = picture.bits() == 16 ? 65535 : 255;
        double scale = (double) SIZE.width() / size.width();
        long at = 0;
        for (int y = 0; y < size.height(); y++) {
            for (int x = 0; x < size.width(); x++) {
                int value = (int) Math.clamp(Math.round(most * scene.at(x * scale, y * scale)), 0, most);
                for (int c = 0; c < picture.channels(); c++) {
                    samples.put(at++, value);
                }
            }
        }
        return picture;
    }

    private static int[] values(Picture picture, int fromRow, int toRow) {
        Samples samples = Samples.of(picture);
        long row = (long) picture.size().width() * picture.channels();
        return Stream.iterate(fromRow * row, at -> at + 1)
                .limit((toRow - fromRow) * row)
                .mapToInt(samples::get)
                .toArray();
    }
}
