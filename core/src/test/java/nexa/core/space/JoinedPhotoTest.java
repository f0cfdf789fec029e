package nexa.core.space;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.Cases;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.Gaps.Gap;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A photo with bands left out is as one whose sides always met. */
class JoinedPhotoTest {
    private static final double NEAR = 1e-9;
    private static final PixelSize SIZE = new PixelSize(3000, 2000);

    /** From 300 pixels right of the middle to 600. */
    private static final Bands BANDS = new Bands(new Gaps(List.of(new Gap(0.1, 0.2))), Gaps.NONE);

    private static final PhotoSpace JOINED = new PhotoSpace(SIZE, Pose.AS_SHOT.withBands(BANDS));

    @Test
    void outline_isNarrowerByTheBand() {
        Frame box = JOINED.extent();
        assertEquals(0.9, box.width(), NEAR);
        assertEquals(2.0 / 3, box.height(), NEAR);
        assertEquals(new PixelSize(2700, 2000), JOINED.keptSize());
        assertTrue(JOINED.outline().holds(new Frame(0, 0, 0.9 - NEAR, 2.0 / 3 - NEAR)));
        assertTrue(!JOINED.outline().holds(new Frame(0, 0, 0.91, 0.5)));
    }

    @Test
    void trimmedAndTurned_itIsAsWideAsWhatIsLeft() {
        Trim trim = new Trim(-0.4, -1, 0.4, 1, Tilt.NONE, 0);
        Pose pose = Pose.AS_SHOT.withBands(BANDS).withTrim(trim).withTurn(new Turn(1, false));
        PhotoSpace space = new PhotoSpace(SIZE, pose);
        assertEquals(new PixelSize(2000, 2100), space.keptSize());
        assertEquals(0.7, height(space), NEAR);
    }

    @Test
    void bandsThatLeaveNothing_areNotFollowed() {
        Bands all = Bands.NONE.plus(new Bands.Band(false, new Gap(-0.4, 0.4))); // of the short side
        assertEquals(
                Bands.NONE,
                new PhotoSpace(SIZE, Pose.AS_SHOT.withBands(all)).pose().bands());
        PhotoSpace higher = new PhotoSpace(new PixelSize(2000, 3000), Pose.AS_SHOT.withBands(all));
        assertEquals(all, higher.pose().bands(), "of a photo that is higher enough is left");
        Pose between = Pose.AS_SHOT.withBands(BANDS).withTrim(new Trim(0.1, -1, 0.2, 1, Tilt.NONE, 0));
        assertEquals(Bands.NONE, new PhotoSpace(SIZE, between).pose().bands());
        assertEquals(Optional.empty(), Bands.NONE.plus(all.all(), SIZE, Trim.NONE));
    }

    /** Whatever is stored or read: there is a photo, and frames find room in it. */
    @ParameterizedTest
    @MethodSource("cases")
    void anyBandsAndTrim_leaveAPhoto(Cases cases) {
        Bands bands = Bands.NONE;
        for (int i = 0; i < 3; i++) {
            double from = cases.between(-0.6, 0.3);
            Bands.Band band =
                    new Bands.Band(cases.between(0, 1) < 0.5, new Gap(from, from + cases.between(0.001, 0.3)));
            bands = bands.plus(band);
        }
        double left = cases.between(-0.6, 0.3);
        double top = cases.between(-0.6, 0.3);
        Tilt lean = new Tilt(cases.between(-5, 5));
        Trim trim = new Trim(left, top, left + cases.between(0.02, 0.3), top + cases.between(0.02, 0.3), lean, 0);
        Pose pose =
                cases.pose().withCorrection(cases.correction().withBands(bands)).withTrim(trim);
        PhotoSpace space = new PhotoSpace(SIZE, pose);
        assertTrue(space.kept().width() > 0 && space.kept().height() > 0);
        assertTrue(space.extent().width() > 0 && space.extent().height() > 0);
        assertTrue(space.keptSize().width() > 0);
        assertTrue(space.outline().corners().size() >= 3);
        Frame wish = new Frame(cases.between(-0.5, 0.5), cases.between(-0.3, 0.3), 0.4, 0.3);
        assertTrue(Fit.within(space.outline(), wish).width() > 0);
    }

    static Stream<Cases> cases() {
        return Cases.some(60);
    }

    private static double height(PhotoSpace space) {
        DoubleSummaryStatistics ys =
                space.outline().corners().stream().mapToDouble(Point::y).summaryStatistics();
        return ys.getMax() - ys.getMin();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void pointsOutsideTheBand_areWhereTheyWereShot(Cases cases) {
        PhotoSpace space = new PhotoSpace(
                SIZE, cases.pose().withCorrection(cases.correction().withBands(BANDS)));
        Point shot = new Point(cases.between(-0.45, 0.09), cases.between(-0.25, 0.25));
        Point back = space.toAsShot(space.fromAsShot(shot));
        assertEquals(shot.x(), back.x(), 1e-6);
        assertEquals(shot.y(), back.y(), 1e-6);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void framesStayInsideWhatIsLeft_andComeBackWhenTheBandOpens(Cases cases) {
        Pose pose = Pose.AS_SHOT.withTilt(new Tilt(cases.between(-8, 8)));
        PhotoSpace open = new PhotoSpace(SIZE, pose);
        PhotoSpace joined = new PhotoSpace(SIZE, pose.withBands(BANDS));
        Frame wish = Frame.around(
                new Point(cases.between(-0.45, 0.45), cases.between(-0.3, 0.3)),
                cases.between(0.1, 0.6),
                cases.between(0.1, 0.6));
        Frame shown = joined.fromAsShot(wish);
        assertTrue(joined.outline().holds(Fit.within(joined.outline(), shown)));
        Frame before = open.fromAsShot(wish);
        PhotoSpace opened = new PhotoSpace(SIZE, joined.pose().withBands(BANDS).withBands(Bands.NONE));
        assertEquals(before, opened.fromAsShot(wish));
        assertEquals(open, opened);
    }

    @Test
    void whatIsShown_isBetweenWholePixels_andCanBeTakenBack() {
        Bands.Band band = Bands.between(SIZE, new Point(0.2001, 0.1), new Point(0.1001, 0.13))
                .orElseThrow();
        assertEquals(new Bands.Band(true, new Gap(0.1, 0.2)), band);
        assertEquals(BANDS, Bands.NONE.plus(band));
        assertEquals(Bands.NONE, BANDS.minus(band));
        assertEquals(List.of(band), BANDS.all());
        Bands.Band lying =
                Bands.between(SIZE, new Point(0, 0.3), new Point(0.05, 0.5)).orElseThrow();
        assertEquals(new Bands.Band(false, new Gap(0.3, 1 / 3.0)), lying, "no farther than the photo");
        assertEquals(2, BANDS.plus(lying).count());
        assertTrue(Bands.between(SIZE, Point.ORIGIN, new Point(0.0004, 0)).isEmpty());
    }

    @Test
    void text_isReadToTheLastBit_andWhatIsNoneIsRefused() {
        Bands both = new Bands(BANDS.across(), new Gaps(List.of(new Gap(-0.1, 1 / 3.0), new Gap(0.4, 0.41))));
        assertEquals(both, Bands.parse(both.text()));
        assertEquals(3, both.count());
        assertEquals("", Bands.NONE.text());
        assertEquals(Bands.NONE, Bands.parse(""));
        for (String wrong : List.of("x 1", "z 0 1", "x 0.2 0.1", "x -0.5 0.5", "x a b")) {
            assertThrows(IllegalArgumentException.class, () -> Bands.parse(wrong), wrong);
        }
        assertEquals(
                JOINED.pose().correction(),
                Correction.parse(JOINED.pose().correction().texts()::get));
    }
}
