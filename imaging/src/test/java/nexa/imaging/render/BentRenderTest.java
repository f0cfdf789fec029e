package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.function.ToDoubleBiFunction;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Projective;
import nexa.core.geometry.Radial;
import nexa.imaging.TestPhotos;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Rendering through mappings that bend, against the formula of what is shown. */
class BentRenderTest {
    private static final PixelSize OUTPUT = new PixelSize(430, 410);

    /** From output pixels to the pixels of a source of 1200 × 1200 by way of a bent space. */
    private static Mapping through(Mapping bent, double reduction) {
        return Affine.translation(-OUTPUT.width() / 2.0, -OUTPUT.height() / 2.0)
                .then(Affine.scale(reduction / 1200, reduction / 1200))
                .then(bent)
                .then(Affine.scale(1200, 1200))
                .then(Affine.translation(600, 600));
    }

    private static Mapping leaning() {
        return new Projective(1, 0.03, 0, -0.02, 1, 0, 0.5, 0.8, 1);
    }

    private static Mapping barrel() {
        return Radial.of(new Point(0.02, -0.01), 0.4, 1, 0, 0.25, 0, 0.02);
    }

    static Mapping[] mappings() {
        return new Mapping[] {
            through(leaning(), 1),
            through(barrel(), 1),
            through(leaning(), 2.4),
            through(barrel(), 2.4),
            through(barrel().then(leaning()), 1.8),
            through(barrel().inverse(), 2.2)
        };
    }

    /** Reduced so much everywhere that pixels are averaged first. */
    static Mapping[] averaging() {
        return new Mapping[] {
            through(new Projective(1, 0.03, 0, -0.02, 1, 0, 0.1, 0.2, 1), 3.9),
            through(barrel(), 3.3),
            through(barrel(), 6)
        };
    }

    private static Picture grey(int side, ToDoubleBiFunction<Double, Double> value) {
        Mat mat = new Mat(side, side, CV_8UC1);
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (int y = 0; y < side; y++) {
                for (int x = 0; x < side; x++) {
                    pixels.put(y, x, (int) Math.round(value.applyAsDouble(x + 0.5, y + 0.5)));
                }
            }
        }
        return new Picture(mat);
    }

    private static boolean inside(Point source, double margin) {
        return Math.min(Math.min(source.x(), 1200 - source.x()), Math.min(source.y(), 1200 - source.y())) > margin;
    }

    private static double wave(double x, double y) {
        return 127.5 + 100 * Math.sin(x / 9) * Math.cos(y / 11);
    }

    /** Detail that every output can hold shows where the mapping says, at its full strength. */
    @ParameterizedTest
    @MethodSource({"mappings", "averaging"})
    void render_showsTheRightPlaces(Mapping map) {
        try (Picture source = grey(1200, BentRenderTest::wave);
                Picture rendered = SinglePass.render(source, map, OUTPUT);
                UByteIndexer pixels = rendered.mat().createIndexer()) {
            for (int y = 0; y < OUTPUT.height(); y += 3) {
                for (int x = 0; x < OUTPUT.width(); x += 3) {
                    Point at = map.apply(new Point(x + 0.5, y + 0.5));
                    if (inside(at, 30)) {
                        assertEquals(wave(at.x(), at.y()), pixels.get(y, x), 4, "at " + x + ", " + y);
                    }
                }
            }
        }
    }

    /** Rings finer and finer outwards. What tiles are cut otherwise must not show: a shifted output is the same picture. */
    @ParameterizedTest
    @MethodSource({"mappings", "averaging"})
    void render_ofAZonePlate_hasNoSeams(Mapping map) {
        try (Picture plate = grey(
                        1200, (x, y) -> 127.5 + 127 * Math.cos(((x - 600) * (x - 600) + (y - 600) * (y - 600)) / 420));
                Picture one = SinglePass.render(plate, map, OUTPUT);
                Picture other = SinglePass.render(
                        plate,
                        Affine.translation(-64, -96).then(map),
                        new PixelSize(OUTPUT.width() + 64, OUTPUT.height() + 96));
                UByteIndexer pixels = one.mat().createIndexer();
                UByteIndexer shifted = other.mat().createIndexer()) {
            int most = 0;
            for (int y = 0; y < OUTPUT.height(); y++) {
                for (int x = 0; x < OUTPUT.width(); x++) {
                    if (inside(map.apply(new Point(x + 0.5, y + 0.5)), 0)) {
                        most = Math.max(most, Math.abs(pixels.get(y, x) - shifted.get(y + 96, x + 64)));
                    }
                }
            }
            assertTrue(most <= 8, "tiles that begin elsewhere differ by " + most);
        }
    }

    @ParameterizedTest
    @MethodSource("averaging")
    void mostAveraged_ofWhatIsReducedMuch_isMoreThanOne(Mapping map) {
        assertTrue(SinglePass.mostAveraged(SinglePass.leastReduction(map, OUTPUT)) > 1);
    }

    /** The finest rings, far beyond what the output holds, become even grey: no false patterns. */
    @Test
    void render_ofAZonePlate_holdsNoFalseRings() {
        Mapping map = through(leaning(), 2.7);
        try (Picture plate = grey(
                        1200, (x, y) -> 127.5 + 127 * Math.cos(((x - 600) * (x - 600) + (y - 600) * (y - 600)) / 250));
                Picture rendered = SinglePass.render(plate, map, OUTPUT);
                UByteIndexer pixels = rendered.mat().createIndexer()) {
            int looked = 0;
            for (int y = 0; y < OUTPUT.height(); y++) {
                for (int x = 0; x < OUTPUT.width(); x++) {
                    Point centre = new Point(x + 0.5, y + 0.5);
                    Point at = map.apply(centre).minus(new Point(600, 600));
                    Affine tangent = map.tangent(centre);
                    double frequency = at.length() / 250 / Math.PI; // cycles a source pixel
                    double least =
                            Math.min(Math.hypot(tangent.xx(), tangent.yx()), Math.hypot(tangent.xy(), tangent.yy()));
                    boolean inside = Math.max(Math.abs(at.x()), Math.abs(at.y())) < 560;
                    if (inside && frequency * least > 0.75 && frequency < 0.5) {
                        looked++;
                        assertEquals(127.5, pixels.get(y, x), 14, "at " + x + ", " + y);
                    }
                }
            }
            assertTrue(looked > 1000, "looked at " + looked);
        }
    }

    /** Pixels are averaged in blocks first where very much is left out; the picture is the same scene. */
    @ParameterizedTest
    @ValueSource(doubles = {9, 16.5, 40, 190})
    void render_reducingVeryMuch_showsTheScene(double reduction) {
        int side = 4000;
        PixelSize output = new PixelSize((int) (side / reduction), (int) (side / reduction));
        try (Picture scene = TestPhotos.scene(side, side)) {
            for (Mapping map :
                    new Mapping[] {Affine.scale(reduction, reduction), Projective.of(Affine.scale(reduction, reduction))
                    }) {
                try (Picture rendered = SinglePass.render(scene, map, output);
                        UByteIndexer pixels = rendered.mat().createIndexer()) {
                    for (int i = 0; i < output.width(); i++) {
                        double expected = 255 * (0.1 + 0.8 * (i + 0.5) * reduction / side);
                        boolean middle = i > 3 && i < output.width() - 4;
                        assertEquals(expected, pixels.get(output.height() / 2, i, 2), middle ? 2 : 12);
                    }
                }
            }
        }
    }

    @Test
    void part_ofASource_isBoundedWhateverTheReduction() {
        try (Picture scene = TestPhotos.scene(9000, 6000)) {
            for (double reduction : new double[] {1, 4, 15, 17, 80, 700}) {
                int block = SourcePart.block(reduction);
                int reach = LowPass.forReduction(reduction / block, block)
                        .map(LowPass::reach)
                        .orElse(0);
                Seen seen = Seen.of(Affine.scale(reduction, reduction), 192, 192);
                try (SourcePart part = SourcePart.of(Looked.of(scene), seen, block, reach)) {
                    assertTrue(
                            part.pixels().cols() < 3400,
                            reduction + ": " + part.pixels().cols());
                }
            }
        }
    }
}
