package nexa.core.review;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.mark.Marks;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;

class WarningTest {
    private static final PixelSize PHOTO = new PixelSize(1800, 1200);
    private static final Format PRINT = new Format(1, "Print", Shape.parse("4:5"), OrientationRule.FOLLOW_PHOTO);
    private static final Framing PLACED = Framing.UNTOUCHED.withCrop(PRINT, new Crop(new Frame(0, 0, 0.5, 0.4)));

    private static Set<Warning> of(Framing framing, Format format) {
        return Warning.of(PHOTO, framing, format, new Brief(List.of(format), 2));
    }

    @Test
    void nothingWrong_isNoWarning() {
        assertEquals(Set.of(), of(Framing.UNTOUCHED, PRINT));
        assertEquals(Set.of(), of(PLACED.withMarks(new Marks(List.of(Point.ORIGIN))), PRINT));
    }

    @Test
    void fewPixels_areThoseOfTheFrameNotOfThePhoto() {
        Format sized = PRINT.sized(SizeTarget.parse("1000 x 800 px"));
        assertEquals(Set.of(Warning.FEW_PIXELS), of(PLACED, sized));
        assertEquals(Set.of(), of(Framing.UNTOUCHED, sized));
    }

    @Test
    void marks_areCutOrNearTheEdge() {
        assertEquals(Set.of(Warning.NEAR_EDGE), of(PLACED.withMarks(new Marks(List.of(new Point(0.24, 0)))), PRINT));
        assertEquals(Set.of(Warning.SUBJECT_CUT), of(PLACED.withMarks(new Marks(List.of(new Point(0.26, 0)))), PRINT));
    }

    @Test
    void blank_isWhereAFrameMayLeaveThePhoto() {
        Crop outside = new Crop(new Frame(0.3, 0, 0.5, 0.4), Optional.empty(), true, false);
        assertEquals(Set.of(Warning.BLANK), of(Framing.UNTOUCHED.withCrop(PRINT, outside), PRINT));
        Crop farther = new Crop(new Frame(0.4, 0, 0.5, 0.4), Optional.empty(), true, false);
        assertEquals(Set.of(Warning.MUCH_BLANK), of(Framing.UNTOUCHED.withCrop(PRINT, farther), PRINT));
        Format lenient = PRINT.filed(PRINT.files().warnedAbove(60));
        assertEquals(Set.of(Warning.BLANK), of(Framing.UNTOUCHED.withCrop(lenient, farther), lenient));
    }

    @Test
    void notLevel_onlyWhereTheLevelIsKnown_alsoMirrored() {
        Framing known = PLACED.levelledAt(new Tilt(2));
        assertEquals(Set.of(Warning.NOT_LEVEL), of(known, PRINT));
        Framing level = known.withPose(Pose.AS_SHOT.withTilt(new Tilt(2)));
        assertEquals(Set.of(), of(level, PRINT));
        assertEquals(Set.of(), of(level.withPose(level.pose().turned(Turn.MIRROR)), PRINT));
    }
}
