package nexa.core.overlay;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.Cases;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.overlay.Stroke.Arc;
import nexa.core.overlay.Stroke.Segment;
import nexa.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class OverlayTest {
    private static final OverlayOptions PLAIN = OverlayOptions.DEFAULT;

    @ParameterizedTest
    @CsvSource({
        "THIRDS,1.5,1",
        "GRID,1.5,1",
        "GOLDEN_RATIO,0.8,1",
        "GOLDEN_SPIRAL,1.5,4",
        "GOLDEN_SPIRAL,0.8,4",
        "GOLDEN_SPIRAL,1,8",
        "STRETCHED_SPIRAL,1.2,4",
        "FIFTHS,1.5,1",
        "REBATEMENT,1.5,1",
        "REBATEMENT,1,1",
        "NESTED,1.5,1",
        "MARGINS,1.5,1",
        "DIAGONALS,1.5,1",
        "DIAGONALS,1,1",
        "TRIANGLES,1.5,2",
        "CENTRE,1.5,1"
    })
    void orientations_areOnlyThoseThatLookDifferent(Overlay overlay, double aspect, int count) {
        assertEquals(count, overlay.orientations(aspect, PLAIN).size());
    }

    @ParameterizedTest
    @EnumSource
    void strokes_stayInsideTheFrame(Overlay overlay) {
        Cases.some(60).forEach(c -> {
            double aspect = c.aspect();
            for (List<Stroke> orientation : overlay.orientations(aspect, PLAIN)) {
                orientation.stream().flatMap(OverlayTest::points).forEach(p -> {
                    assertTrue(p.x() >= -1e-9 && p.x() <= 1 + 1e-9, () -> overlay + " " + aspect + " " + p);
                    assertTrue(p.y() >= -1e-9 && p.y() <= 1 + 1e-9, () -> overlay + " " + aspect + " " + p);
                });
            }
        });
    }

    private static Stream<Point> points(Stroke stroke) {
        return switch (stroke) {
            case Segment(Point from, Point to) -> Stream.of(from, to);
            case Arc arc -> Stream.of(0.0, 0.25, 0.5, 0.75, 1.0).map(arc::at);
        };
    }

    @Test
    void strokes_orientationIsTakenModuloHowManyThereAre() {
        assertEquals(Overlay.TRIANGLES.strokes(1.5, PLAIN, 1), Overlay.TRIANGLES.strokes(1.5, PLAIN, 3));
        assertEquals(Overlay.TRIANGLES.strokes(1.5, PLAIN, 1), Overlay.TRIANGLES.strokes(1.5, PLAIN, -1));
    }

    @Test
    void thirds_divideBothSidesInThree() {
        assertEquals(
                List.of(
                        segment(1 / 3.0, 0, 1 / 3.0, 1), segment(0, 1 / 3.0, 1, 1 / 3.0),
                        segment(2 / 3.0, 0, 2 / 3.0, 1), segment(0, 2 / 3.0, 1, 2 / 3.0)),
                Overlay.THIRDS.strokes(1.5, PLAIN, 0));
    }

    private static Stroke segment(double x1, double y1, double x2, double y2) {
        return new Segment(new Point(x1, y1), new Point(x2, y2));
    }

    @Test
    void goldenRatio_dividesLikeTheWholeToTheLarger() {
        Segment upright = (Segment) Overlay.GOLDEN_RATIO.strokes(1.5, PLAIN, 0).get(2);
        double larger = upright.from().x();
        assertEquals(1 / larger, larger / (1 - larger), 1e-12);
    }

    @Test
    void grid_hasSquareCells() {
        Cases.some(50).forEach(c -> {
            double aspect = c.aspect();
            List<Double> uprights = Overlay.GRID.strokes(aspect, PLAIN, 0).stream()
                    .map(Segment.class::cast)
                    .filter(s -> s.from().x() == s.to().x())
                    .map(s -> s.from().x() * aspect)
                    .sorted()
                    .toList();
            List<Double> levels = Overlay.GRID.strokes(aspect, PLAIN, 0).stream()
                    .map(Segment.class::cast)
                    .filter(s -> s.from().y() == s.to().y())
                    .map(s -> s.from().y())
                    .sorted()
                    .toList();
            double cell = Math.min(aspect, 1) / 6;
            for (int i = 1; i < uprights.size(); i++) {
                assertEquals(cell, uprights.get(i) - uprights.get(i - 1), 1e-9);
            }
            for (int i = 1; i < levels.size(); i++) {
                assertEquals(cell, levels.get(i) - levels.get(i - 1), 1e-9);
            }
        });
    }

    @Test
    void spiral_isTrueQuarterCirclesJoinedSmoothly() {
        Cases.some(50).forEach(c -> {
            double aspect = c.aspect();
            List<Stroke> spiral = Overlay.GOLDEN_SPIRAL.strokes(aspect, PLAIN, c.below(8));
            for (int i = 0; i < spiral.size(); i++) {
                Arc arc = (Arc) spiral.get(i);
                assertEquals(arc.radiusX() * aspect, arc.radiusY(), 1e-9, "a circle in the picture");
                assertEquals(90, Math.abs(arc.sweep()));
                if (i > 0) {
                    Arc before = (Arc) spiral.get(i - 1);
                    assertEquals(0, before.at(1).distance(arc.at(0)), 1e-9, "it goes on where the last ended");
                    assertEquals((1 + Math.sqrt(5)) / 2, before.radiusY() / arc.radiusY(), 1e-9);
                }
            }
        });
    }

    @Test
    void spiral_fillsTheLargestGoldenRectangle() {
        List<Stroke> wide = Overlay.GOLDEN_SPIRAL.strokes(2, PLAIN, 0);
        Arc first = (Arc) wide.getFirst();
        assertEquals(1, first.radiusY(), 1e-12, "as high as a frame wider than golden");
        Arc inNarrow = (Arc) Overlay.GOLDEN_SPIRAL.strokes(1.25, PLAIN, 0).getFirst();
        assertEquals(1.25 / ((1 + Math.sqrt(5)) / 2), inNarrow.radiusY(), 1e-12, "as wide as a narrower frame");
    }

    @Test
    void diagonals_runAt45DegreesInThePicture() {
        for (Stroke stroke : Overlay.DIAGONALS.strokes(1.5, PLAIN, 0)) {
            Segment s = (Segment) stroke;
            assertEquals(
                    Math.abs(s.to().x() - s.from().x()) * 1.5,
                    Math.abs(s.to().y() - s.from().y()),
                    1e-12);
        }
    }

    @Test
    void triangles_standAtRightAnglesOnTheDiagonalInThePicture() {
        Cases.some(50).forEach(c -> {
            double aspect = c.aspect();
            for (List<Stroke> orientation : Overlay.TRIANGLES.orientations(aspect, PLAIN)) {
                Point diagonal = along(orientation.getFirst(), aspect);
                for (Stroke leg : orientation.subList(1, 3)) {
                    Point other = along(leg, aspect);
                    assertEquals(0, diagonal.x() * other.x() + diagonal.y() * other.y(), 1e-9);
                }
            }
        });
    }

    private static Point along(Stroke stroke, double aspect) {
        Segment s = (Segment) stroke;
        return new Point(
                (s.to().x() - s.from().x()) * aspect, s.to().y() - s.from().y());
    }

    @Test
    void stretchedSpiral_reachesAllFourSides() {
        Cases.some(50).forEach(c -> {
            List<Point> points = Overlay.STRETCHED_SPIRAL.strokes(c.aspect(), PLAIN, c.below(8)).stream()
                    .flatMap(OverlayTest::points)
                    .toList();
            assertEquals(0, points.stream().mapToDouble(Point::x).min().orElseThrow(), 1e-9);
            assertEquals(1, points.stream().mapToDouble(Point::x).max().orElseThrow(), 1e-9);
            assertEquals(0, points.stream().mapToDouble(Point::y).min().orElseThrow(), 1e-9);
            assertEquals(1, points.stream().mapToDouble(Point::y).max().orElseThrow(), 1e-9);
        });
    }

    @Test
    void rebatement_cutsSquaresOffBothEnds() {
        assertEquals(
                List.of(segment(2 / 3.0, 0, 2 / 3.0, 1), segment(1 - 2 / 3.0, 0, 1 - 2 / 3.0, 1)),
                Overlay.REBATEMENT.strokes(1.5, PLAIN, 0));
        assertTrue(Overlay.REBATEMENT.strokes(1, PLAIN, 0).isEmpty());
    }

    @Test
    void grid_takesTheSettledSpacing() {
        assertEquals(3 + 5, Overlay.GRID.strokes(1.5, PLAIN.withCells(4), 0).size());
        assertEquals(OverlayOptions.MOST_CELLS, PLAIN.withCells(999).cells());
    }

    @Test
    void nested_liesWhereItsOutlineIs() {
        Cases.some(200).forEach(c -> {
            Frame frame = c.wish();
            Shape.Ratio shape = new Shape.Ratio(1 + c.below(20), 1 + c.below(20));
            Frame outline = Nested.outline(frame, shape);
            assertEquals(Nested.laid(frame.aspect(), shape).aspect(), outline.aspect(), 1e-9 * outline.aspect());
            assertEquals(
                    1, Math.max(outline.width() / frame.width(), outline.height() / frame.height()), 1e-9, "largest");
            assertTrue(outline.width() <= frame.width() + 1e-12 && outline.height() <= frame.height() + 1e-12);
            for (Stroke side : Overlay.NESTED.strokes(frame.aspect(), PLAIN.withNested(List.of(shape)), 0)) {
                Segment s = (Segment) side;
                assertTrue(onOutline(outline, frame.at(s.from().x(), s.from().y())));
            }
            Point corner = outline.at(0, 0);
            assertEquals(Optional.of(shape), Nested.at(frame, List.of(shape), corner, 1e-9));
            assertEquals(Optional.empty(), Nested.at(frame, List.of(shape), outline.centre(), 1e-9));
        });
    }

    private static boolean onOutline(Frame outline, Point p) {
        return Math.abs(Math.abs(p.x() - outline.centreX()) - outline.width() / 2) < 1e-9
                || Math.abs(Math.abs(p.y() - outline.centreY()) - outline.height() / 2) < 1e-9;
    }

    @Test
    void margins_areEvenInThePictureWithACaptionBelow() {
        List<Stroke> margins = Overlay.MARGINS.strokes(2, PLAIN.withMargins(0.25, 0.5), 0);
        assertTrue(margins.contains(segment(0.125, 0.25, 0.125, 0.75)));
        assertTrue(margins.contains(segment(0, 0.5, 1, 0.5)));
        assertTrue(Overlay.MARGINS.strokes(1.5, PLAIN.withMargins(0, 0), 0).isEmpty());
    }

    @Test
    void nested_shapesLieAsTheFrameDoes() {
        Shape.Ratio wide = new Shape.Ratio(3, 2);
        Shape.Ratio tall = new Shape.Ratio(2, 3);
        for (Shape.Ratio shape : List.of(wide, tall)) {
            assertEquals(1.5, Nested.laid(1.3, shape).aspect(), 1e-12);
            assertEquals(1.5, Nested.laid(1, shape).aspect(), 1e-12);
            assertEquals(1 / 1.5, Nested.laid(0.9, shape).aspect(), 1e-12);
        }
        assertEquals(1, Nested.laid(0.5, new Shape.Ratio(1, 1)).aspect());
    }

    /** Measured to the outline itself, from inside and from outside. */
    @Test
    void nested_at_isTheOutlineNearestToThePointer() {
        Frame frame = Frame.around(Point.ORIGIN, 0.6, 0.3);
        Shape.Ratio square = new Shape.Ratio(1, 1); // 0.3 wide, its sides at ±0.15
        Shape.Ratio wide = new Shape.Ratio(5, 3); // 0.5 wide, its sides at ±0.25
        List<Shape.Ratio> both = List.of(square, wide);
        assertEquals(Optional.of(square), Nested.at(frame, both, new Point(0.16, 0), 0.02));
        assertEquals(Optional.of(square), Nested.at(frame, both, new Point(-0.14, 0), 0.02));
        assertEquals(Optional.of(wide), Nested.at(frame, both, new Point(0.24, 0), 0.02));
        assertEquals(Optional.empty(), Nested.at(frame, both, new Point(0.2, 0), 0.02));
        assertEquals(Optional.empty(), Nested.at(frame, both, new Point(0.16, 0.19), 0.03));
        assertEquals(Optional.of(square), Nested.at(frame, List.of(square), new Point(0.18, 0.19), 0.051));
        assertEquals(Optional.empty(), Nested.at(frame, List.of(square), new Point(0.18, 0.19), 0.049));
    }
}
