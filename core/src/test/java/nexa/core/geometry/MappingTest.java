package nexa.core.geometry;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import nexa.core.Cases;
import org.junit.jupiter.api.Test;

class MappingTest {
    private static Affine affine(Cases c) {
        return new Affine(
                c.between(0.5, 2),
                c.between(-0.3, 0.3),
                c.between(-1, 1),
                c.between(-0.3, 0.3),
                c.between(0.5, 2),
                c.between(-1, 1));
    }

    private static List<Mapping> ofEachKind(Cases c) {
        return List.of(affine(c), c.projection(), c.distortion(), c.distortion().then(c.projection()));
    }

    private static Point onThePhoto(Cases c) {
        return new Point(c.between(-0.5, 0.5), c.between(-0.5, 0.5));
    }

    @Test
    void inverse_undoes() {
        Cases.some(500).forEach(c -> ofEachKind(c).forEach(mapping -> {
            Point p = onThePhoto(c);
            assertEquals(0, p.distance(mapping.inverse().apply(mapping.apply(p))), ROUNDING, mapping::toString);
            assertEquals(0, p.distance(mapping.apply(mapping.inverse().apply(p))), ROUNDING, mapping::toString);
        }));
    }

    @Test
    void map_ofMany_isApplyOfEach() {
        Cases.some(100).forEach(c -> ofEachKind(c).forEach(mapping -> {
            double[] xs = {c.between(-0.5, 0.5), c.between(-0.5, 0.5), 7};
            double[] ys = {c.between(-0.5, 0.5), c.between(-0.5, 0.5), 8};
            List<Point> expected =
                    List.of(mapping.apply(new Point(xs[0], ys[0])), mapping.apply(new Point(xs[1], ys[1])));
            mapping.map(xs, ys, 2);
            assertEquals(0, expected.get(0).distance(new Point(xs[0], ys[0])), 1e-12);
            assertEquals(0, expected.get(1).distance(new Point(xs[1], ys[1])), 1e-12);
            assertEquals(7, xs[2]);
            assertEquals(8, ys[2]);
        }));
    }

    @Test
    void tangent_isTheSlopeOfSmallSteps() {
        double step = 1e-6;
        Cases.some(300).forEach(c -> ofEachKind(c).forEach(mapping -> {
            Point p = onThePhoto(c);
            Affine tangent = mapping.tangent(p);
            assertEquals(0, mapping.apply(p).distance(tangent.apply(p)), 1e-12);
            for (Point way : List.of(new Point(step, 0), new Point(0, step))) {
                Point there = mapping.apply(p.plus(way));
                assertEquals(0, there.distance(tangent.apply(p.plus(way))), 1e-10, mapping::toString);
            }
            assertEquals(Math.sqrt(Math.abs(tangent.determinant())), mapping.stretch(p));
        }));
    }

    @Test
    void then_isOneAfterTheOther() {
        Cases.some(300)
                .forEach(c -> ofEachKind(c).forEach(first -> ofEachKind(c).forEach(next -> {
                    Point p = onThePhoto(c);
                    Point expected = next.apply(first.apply(p));
                    assertEquals(0, expected.distance(first.then(next).apply(p)), 1e-9 * (1 + expected.length()));
                })));
    }

    @Test
    void then_mergesNeighboursOfLikeKinds() {
        Cases.some(50).forEach(c -> {
            Mapping turned = affine(c);
            assertInstanceOf(Affine.class, turned.then((Mapping) affine(c)));
            assertInstanceOf(
                    Projective.class,
                    turned.then(c.projection()).then(affine(c)).then(c.projection()));
            Mapping chain = turned.then(c.distortion()).then(affine(c)).then(c.projection());
            assertEquals(3, ((Chain) chain).steps().size());
        });
    }

    @Test
    void then_withNothing_isTheSame_andWithTheInverse_nothing() {
        Cases.some(50).forEach(c -> {
            Mapping lens = c.distortion();
            assertEquals(lens, lens.then(Affine.IDENTITY));
            assertEquals(lens, Affine.IDENTITY.then(lens));
            assertTrue(lens.then(lens.inverse()).isIdentity());
            Mapping there = lens.then(c.projection());
            assertEquals(there, there.then(lens).then(lens.inverse()));
        });
    }

    @Test
    void distortion_thatTurnsBack_goesOnStraight() {
        Radial strong = Radial.of(Point.ORIGIN, 0.5, 1, 0, -0.5, 0, 0);
        double before = 0;
        for (double x = 0.05; x < 3; x += 0.05) {
            Point moved = strong.apply(new Point(x, 0));
            assertTrue(moved.x() > before, "grows at " + x);
            assertEquals(x, strong.inverse().apply(moved).x(), 1e-9);
            before = moved.x();
        }
    }

    @Test
    void distortion_atItsCentre_staysThere() {
        Point centre = new Point(0.1, 0.2);
        Radial lens = Radial.of(centre, 0.5, 1.25, 0, 0.1, 0, 0);
        assertEquals(centre, lens.apply(centre));
        assertEquals(1.25, lens.stretch(centre), ROUNDING);
        assertEquals(0.8, lens.inverse().stretch(centre), ROUNDING);
    }

    @Test
    void projection_behindTheHorizon_isFarAwayButSomewhere() {
        Projective leaning = new Projective(1, 0, 0, 0, 1, 0, 0, 1, 1);
        assertTrue(leaning.apply(new Point(0, -3)).length() > 1e5);
        assertTrue(Double.isFinite(leaning.apply(new Point(0, -1)).length()));
    }

    @Test
    void whatNothingUndoes_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Projective(1, 0, 0, 2, 0, 0, 0, 0, 1));
        assertThrows(IllegalStateException.class, () -> Affine.scale(1, 0).inverse());
        assertThrows(IllegalArgumentException.class, () -> Radial.of(Point.ORIGIN, 0, 1, 0, 0, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> Radial.of(Point.ORIGIN, 1, -1, 0, 0, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> Radial.of(Point.ORIGIN, 1, 1, Double.NaN, 0, 0, 0));
    }
}
