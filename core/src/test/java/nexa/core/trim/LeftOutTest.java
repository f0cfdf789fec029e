package nexa.core.trim;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.Cases;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.brief.Why;
import nexa.core.carry.By;
import nexa.core.carry.Carry;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.core.lineup.Placing;
import nexa.core.mark.Marks;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.PhotoSpace;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What was seen, marked or drawn in a band that is closed up since. */
class LeftOutTest {
    private static final PixelSize PHOTO = new PixelSize(1800, 1200);
    private static final Format FORMAT = Format.of(Shape.parse("4:5"));
    private static final Brief BRIEF = Brief.EMPTY.with(FORMAT);
    private static final double LEFT = -0.05;
    private static final double RIGHT = 0.23;
    private static final Bands BANDS = Bands.NONE.plus(new Bands.Band(true, new Gaps.Gap(LEFT, RIGHT)));

    static Stream<Cases> some() {
        return Cases.some(300);
    }

    /** Held in any way, the band closed. */
    private static Framing held(Cases cases) {
        return Framing.UNTOUCHED.withPose(cases.pose().withBands(BANDS));
    }

    private static Point inside(Cases cases, double y) {
        return new Point(cases.between(LEFT + 0.001, RIGHT - 0.001), y);
    }

    private static void assertFramed(Framing framing) {
        Frame frame = Derivation.frame(PHOTO, framing, FORMAT, BRIEF);
        assertTrue(new PhotoSpace(PHOTO, framing.pose()).outline().holds(frame));
    }

    @ParameterizedTest
    @MethodSource("some")
    void whatWasSeenThere_framesNothingAnyMore(Cases cases) {
        Frame face = Frame.between(inside(cases, 0.1), inside(cases, cases.between(0.11, 0.2)));
        Framing framing = held(cases).withSubject(Subject.UNKNOWN.seen(new Sight(List.of(face), Optional.of(face), 0)));
        assertFramed(framing);
        PhotoSpace space = new PhotoSpace(PHOTO, framing.pose());
        assertTrue(framing.subject().sight().orElseThrow().in(space).isNone());
        Frame frame = Derivation.frame(PHOTO, framing, FORMAT, BRIEF);
        assertEquals(new Why.Centred(), Derivation.why(space, framing, FORMAT, BRIEF, frame));
    }

    @ParameterizedTest
    @MethodSource("some")
    void twoMarksThere_areOnePlaceWithoutASize(Cases cases) {
        double y = cases.between(-0.3, 0.3);
        Point first = inside(cases, y);
        Point far = new Point(first.x() > 0.09 ? LEFT + 0.0005 : RIGHT - 0.0005, y);
        Framing framing = held(cases).withMarks(new Marks(List.of(first, far)));
        assertFramed(framing);
        assertTrue(
                Placing.of(PHOTO, framing, FORMAT, BRIEF).orElseThrow().size().isEmpty());

        Framing pot = Framing.UNTOUCHED.withMarks(new Marks(List.of(new Point(0, -0.1), new Point(0, 0.2))));
        EnumSet<Part> parts = EnumSet.of(Part.SHAPE, Part.PLACE, Part.TILT);
        assertFramed(new Carry(PHOTO, pot, FORMAT, BRIEF, parts, Opposite.KEEP, By.MARKS)
                .to(PHOTO, framing)
                .framing());
        assertFramed(new Carry(PHOTO, framing, FORMAT, BRIEF, parts, Opposite.KEEP, By.MARKS)
                .to(PHOTO, pot)
                .framing());
    }

    @ParameterizedTest
    @MethodSource("some")
    void linesAcrossIt_areNone(Cases cases) {
        double y = cases.between(-0.3, 0.3);
        Point middle = new Point(PHOTO.width() / 2.0, PHOTO.height() / 2.0);
        Point from = inside(cases, y).times(PHOTO.longEdge()).plus(middle);
        Point to = inside(cases, y).times(PHOTO.longEdge()).plus(middle);
        Optional<LevelLine> line = new LevelLine(from, to).through(BANDS.mapping(), PHOTO);
        assertFalse(line.isPresent());
    }
}
