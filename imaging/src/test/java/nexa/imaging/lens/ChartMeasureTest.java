package nexa.imaging.lens;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.lens.Bend;
import nexa.core.lens.Taken;
import nexa.core.lens.data.BendMeasure;
import nexa.core.lens.data.BendModel;
import nexa.core.lens.data.Calibration;
import nexa.core.lens.data.LensProfile;
import nexa.core.lens.data.LightMeasure;
import nexa.core.lens.measure.ChartFit;
import nexa.core.lens.measure.LightFit;
import nexa.core.plumb.Plumb;
import nexa.core.space.ColourMaps;
import nexa.imaging.TestPhotos;
import nexa.imaging.lens.ChartMeasure.Corners;
import nexa.imaging.pixels.Picture;
import nexa.imaging.render.SinglePass;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/** A lens measured by pictures of the chart through a lens that is known. */
class ChartMeasureTest {
    private static final PixelSize PHOTO = new PixelSize(1200, 800);
    private static final double UNIT = (PHOTO.height() - 1) / 2.0;
    private static final Bend LENS = new Bend(1.03, 0, -0.04, 0.004, 0);
    private static final Bend RED = new Bend(1.001, 0, 0.0002, 0, 0);
    private static final double SQUARE = 90;

    /** How much of the board's width a photo sees, about. */
    private static final double NEAR = 0.83;

    private static Picture board() {
        Mat board = new Mat(900, 1200, CV_8UC3, Scalar.all(235));
        try (UByteIndexer pixels = board.createIndexer()) {
            for (int y = 0; y < board.rows(); y++) {
                for (int x = 0; x < board.cols(); x++) {
                    int column = (int) Math.floor((x - 150) / SQUARE);
                    int row = (int) Math.floor((y - 135) / SQUARE);
                    boolean black = column >= 0 && column < 10 && row >= 0 && row < 7 && (column + row) % 2 == 0;
                    pixels.put(y, x, black ? new int[] {25, 25, 25} : new int[] {235, 235, 235});
                }
            }
        }
        return new Picture(board);
    }

    /** From a photo's continuous pixels to the board's, of a camera held somehow. */
    private static Mapping seen(double pitch, double yaw, Point axis) {
        Mapping held = Plumb.of(pitch, yaw, 0.9).mapping(0.7);
        return Affine.translation(-PHOTO.width() / 2.0 - axis.x(), -PHOTO.height() / 2.0 - axis.y())
                .then(LENS.mapping(UNIT).inverse())
                .then(Affine.scale(NEAR / PHOTO.longEdge(), NEAR / PHOTO.longEdge()))
                .then(held)
                .then(Affine.scale(PHOTO.longEdge(), PHOTO.longEdge()))
                .then(Affine.translation(600, 450));
    }

    private static Picture photo(Picture board, double pitch, double yaw, Point axis) {
        Mapping green = seen(pitch, yaw, axis);
        Mapping red = Affine.translation(-PHOTO.width() / 2.0, -PHOTO.height() / 2.0)
                .then(RED.mapping(axis, UNIT).inverse())
                .then(Affine.translation(PHOTO.width() / 2.0, PHOTO.height() / 2.0))
                .then(green);
        return SinglePass.render(board, new ColourMaps(red, green, green), PHOTO);
    }

    @Test
    void chartThroughAKnownLens_tellsThatLens() {
        List<Corners> found = found(Point.ORIGIN);
        ChartFit.Radial radial = ChartMeasure.fit(found);
        assertTrue(radial.error() < 0.2, radial::toString);
        BendMeasure measured = ChartFit.ptlens(radial, PHOTO, 28);
        // the same bend but for the size of the corrected picture, of which the format has its own idea
        double size = LENS.mapping(1).inverse().apply(new Point(1, 0)).x();
        for (double r = 0.1; r < 1.7; r += 0.1) {
            double bent = LENS.mapping(1).apply(new Point(r * size, 0)).x();
            assertEquals(
                    bent * UNIT,
                    measured.bend().mapping(1).apply(new Point(r, 0)).x() * UNIT,
                    1.2,
                    "at " + r);
        }
        BendMeasure red = ChartFit.colour(centred(found, Corners::grey), centred(found, Corners::red), PHOTO, 28);
        double grey = 1 / 3.0; // a grey made of three colours lies a third of the way to red, or less
        assertEquals(RED.c0() - 1, red.terms().getFirst() - 1, 0.0006);
        assertTrue(red.terms().getFirst() - 1 > grey * (RED.c0() - 1), red::toString);
    }

    /** Its axis is found where it is, and its lines come out straight. */
    @Test
    void chartThroughALensOffTheMiddle_tellsItsAxis() {
        Point axis = new Point(14, -9);
        List<Corners> found = found(axis);
        ChartFit.Radial radial = ChartMeasure.fit(found);
        assertTrue(radial.error() < 0.2, radial::toString);
        assertEquals(0, radial.centre().distance(axis), 2.5, radial::toString);
        Mapping straight = ChartFit.ptlens(radial, PHOTO, 28)
                .bend()
                .mapping(radial.centre(), ChartFit.unit(PHOTO))
                .inverse();
        for (Corners photo : found) {
            List<Point> corners = centred(List.of(photo), Corners::grey);
            List<List<Point>> rows = new ArrayList<>();
            for (int row = 0; row < ChartMeasure.DOWN; row++) {
                rows.add(corners.subList(row * ChartMeasure.ACROSS, (row + 1) * ChartMeasure.ACROSS).stream()
                        .map(straight::apply)
                        .toList());
            }
            assertTrue(ChartFit.straightness(rows) < 0.5, () -> "straight within " + ChartFit.straightness(rows));
        }
    }

    private static List<Corners> found(Point axis) {
        List<Corners> found = new ArrayList<>();
        double[][] held = {{0, 0}, {18, 0}, {-18, 4}, {3, 20}, {-4, -20}, {12, 14}};
        try (Picture board = board()) {
            for (double[] how : held) {
                try (Picture photo = photo(board, how[0], how[1], axis)) {
                    ChartMeasure.corners(photo).ifPresent(found::add);
                }
            }
        }
        assertEquals(held.length, found.size());
        return found;
    }

    private interface Of {
        List<Point> in(Corners corners);
    }

    private static List<Point> centred(List<Corners> photos, Of colour) {
        return photos.stream()
                .flatMap(photo -> colour.in(photo).stream())
                .map(p -> new Point(p.x() - (PHOTO.width() - 1) / 2.0, p.y() - (PHOTO.height() - 1) / 2.0))
                .toList();
    }

    @Test
    void photoWithoutTheChart_showsNone() {
        try (Picture scene = TestPhotos.scene(600, 400)) {
            assertFalse(ChartMeasure.corners(scene).isPresent());
            assertTrue(LightFit.of(WallLight.samples(scene, Optional.empty()), new Taken(28, 4, 2))
                    .isEmpty());
        }
    }

    @Test
    void wallThroughAKnownLens_tellsItsLight() {
        Mat wall = new Mat(400, 600, CV_8UC3);
        double corner = 600.0 * 600 + 400.0 * 400;
        try (UByteIndexer pixels = wall.createIndexer()) {
            for (int y = 0; y < 400; y++) {
                for (int x = 0; x < 600; x++) {
                    double squared =
                            4 * ((x + 0.5 - 300) * (x + 0.5 - 300) + (y + 0.5 - 200) * (y + 0.5 - 200)) / corner;
                    double light = 0.5 * (1 - 0.6 * squared + 0.2 * squared * squared);
                    int value = (int) Math.round(255 * (1.055 * Math.pow(light, 1 / 2.4) - 0.055));
                    pixels.put(y, x, new int[] {value, value, value});
                }
            }
        }
        try (Picture picture = new Picture(wall)) {
            LightMeasure measured = LightFit.of(WallLight.samples(picture, Optional.empty()), new Taken(28, 4, 2))
                    .orElseThrow();
            for (double squared = 0; squared <= 1; squared += 0.25) {
                double expected = 1 - 0.6 * squared + 0.2 * squared * squared;
                double fitted = 1 + squared * (measured.k1() + squared * (measured.k2() + squared * measured.k3()));
                assertEquals(expected, fitted, 0.02);
            }
        }
    }

    @Test
    void writtenLens_readsBack() {
        LensProfile lens =
                new LensProfile("Kiln", List.of("Kiln & Sons 24mm <f/4>"), List.of("Kiln D"), 1.5, 1.5, List.of());
        Calibration calibration = new Calibration(
                List.of(new BendMeasure(24, BendModel.PTLENS, List.of(0.0125, -0.03, 0.00125))),
                List.of(new BendMeasure(24, BendModel.COLOUR_POLY3, List.of(1.0002, 0.0, -1e-5))),
                List.of(new BendMeasure(24, BendModel.COLOUR_POLY3, List.of(0.9998, 0.0, 2e-5))),
                List.of(new LightMeasure(24, 4, 10, -0.5, 0.125, -0.0625)),
                new Point(0.0625, -0.03125));
        LensFile read = LensFile.read(new ByteArrayInputStream(LensXml.of(lens, calibration, "Kiln 5")));
        assertEquals(List.of(), read.leftOut());
        assertEquals(calibration, read.lenses().getFirst().calibration());
        assertEquals("Kiln & Sons 24mm <f/4>", read.lenses().getFirst().lens().model());
        assertEquals("Kiln 5", read.cameras().getFirst().models().getFirst());
    }
}
