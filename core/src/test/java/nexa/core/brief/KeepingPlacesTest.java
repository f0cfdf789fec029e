package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.outline.Outline;
import nexa.core.sight.Sight;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where exactly a frame lies that keeps what is seen, by the rules' own numbers. */
class KeepingPlacesTest {
    private static final Outline WIDE = new PhotoSpace(new PixelSize(6000, 4000), Pose.AS_SHOT).outline();
    private static final double SHORT = 2 / 3.0;
    private static final Frame SQUARE = new Frame(0, 0, SHORT, SHORT);
    private static final Frame TALL = new Frame(0, 0, 0.375, SHORT);
    private static final Frame FLAT = new Frame(0, 0, 1, 0.5);
    private static final double EXACT = 1e-9;

    private static Frame box(double left, double top, double right, double bottom) {
        return Frame.between(new Point(left, top), new Point(right, bottom));
    }

    private static Sight face(double centreX, double gaze) {
        return new Sight(List.of(box(centreX - 0.05, -0.05, centreX + 0.05, 0.05)), Optional.empty(), gaze);
    }

    private static Sight subject(double from, double to) {
        return new Sight(List.of(), Optional.of(box(from, -0.1, to, 0.1)), 0);
    }

    private static Frame kept(Sight sight, Frame largest) {
        return Keeping.frame(WIDE, sight, Optional.empty(), largest);
    }

    /** Between the lines of thirds as near to the middle as it goes; of who looks aside in the half behind. */
    @ParameterizedTest
    @CsvSource({
        "0.05, 0, 0",
        "0.14, 0, 0.0288888888889",
        "-0.14, 0, -0.0288888888889",
        "0.12, 0.34, 0.0088888888889",
        "0.12, 0.36, 0.12",
        "0.12, -0.36, 0.0088888888889",
        "-0.12, -0.9, -0.12",
        "0.4, 0, 0.1666666666667"
    })
    void aFace_liesBetweenTheThirds_withRoomWhereItLooks(double at, double gaze, double centre) {
        Frame frame = kept(face(at, gaze), SQUARE);
        assertEquals(centre, frame.centreX(), EXACT);
        assertEquals(0, frame.centreY(), EXACT);
        assertEquals(SHORT, frame.width(), EXACT);
    }

    /** Brows three tenths down the face; they lie 22 to 46 hundredths down the frame. */
    @ParameterizedTest
    @CsvSource({"-0.06, 0", "-0.02, 0.03", "0.01, 0.06", "0.2, 0.0833333333333"})
    void eyes_lieInTheUpperHalf(double top, double centre) {
        Sight sight = new Sight(List.of(box(-0.05, top, 0.05, top + 0.1)), Optional.empty(), 0);
        assertEquals(centre, kept(sight, FLAT).centreY(), EXACT);
    }

    /** Of a frame half a long edge high; the photo goes on above. */
    @ParameterizedTest
    @CsvSource({"-0.17, 0.32, 0.06", "-0.2, 0.33, 0.03"})
    void airAboveAHead_isHalfAsMuchWhereTheBodyIsCut(double top, double foot, double air) {
        Frame face = box(-0.05, -0.14, 0.05, -0.04);
        Sight sight = new Sight(List.of(face), Optional.of(box(-0.1, top, 0.1, foot)), 0);
        assertEquals(air, Keeping.headRoom(kept(sight, FLAT), sight), EXACT);
    }

    @Test
    void airAboveAHead_isKeptAsFarAsThePhotoHasIt() {
        Sight sight = new Sight(List.of(box(-0.05, -0.19, 0.05, -0.09)), Optional.empty(), 0);
        Frame frame = kept(sight, FLAT);
        assertTrue(Keeping.headRoom(frame, sight) >= 0.06 - EXACT);
        assertEquals((-0.245 - frame.top()) / 0.5, Keeping.headRoom(frame, sight), EXACT);
        assertEquals(0.02, Keeping.headRoom(box(-1, -0.255, 1, 0.245), sight), EXACT);
        assertTrue(Keeping.headRoom(box(-1, -0.2, 1, 0.3), sight) < 0, "cut");
        assertEquals(0, Keeping.headRoom(FLAT, subject(0, 0.1)), EXACT);
    }

    /** With air of 4 % of the side about it, less where there is less; in the middle of what it leaves. */
    @ParameterizedTest
    @CsvSource({"-0.2, 0.45, 0.125", "0, 0.48, 0.1733333333333", "-0.1, 0.1, 0", "-0.45, -0.1, -0.1638888888889"})
    void aSubjectThatFits_isWhole(double from, double to, double centre) {
        Frame frame = kept(subject(from, to), SQUARE);
        assertEquals(Math.min(centre, 1 / 6.0), frame.centreX(), 0.002);
        assertTrue(frame.left() <= from + EXACT && frame.right() >= to - EXACT, frame::toString);
    }

    @Test
    void aSubjectThatIsLonger_fillsTheSide() {
        assertEquals(0.1375, kept(subject(-0.1, 0.5), TALL).centreX(), EXACT);
        assertEquals(0, kept(subject(-0.4, 0.4), TALL).centreX(), EXACT);
        Frame frame = kept(subject(0, 0.45), TALL);
        assertTrue(frame.left() >= -EXACT && frame.right() <= 0.45 + EXACT, frame::toString);
    }

    @Test
    void marks_areWhatIsLookedAtInstead() {
        Sight sight = subject(-0.1, 0.1);
        Frame frame = Keeping.frame(WIDE, sight, Optional.of(new Point(0.14, 0)), SQUARE);
        assertEquals(0.14 - SHORT / 6, frame.centreX(), EXACT);
        assertNotEquals(frame, kept(sight, SQUARE));
    }

    /** Two heads that have no room together: one whole, the other out, none cut through. */
    @Test
    void ofHeadsThatHaveNoRoom_oneIsWhole() {
        Frame left = box(-0.35, -0.05, -0.25, 0.05);
        Frame right = box(0.25, -0.05, 0.35, 0.05);
        Frame frame = kept(new Sight(List.of(left, right), Optional.empty(), 0), TALL);
        assertTrue(frame.contains(left) != frame.contains(right), frame::toString);
        assertEquals(0.3, Math.abs(frame.centreX()), EXACT, "it is in the middle");
    }

    private static double placeOf(double... centresAndWidths) {
        List<Frame> faces = IntStream.range(0, centresAndWidths.length / 2)
                .mapToObj(i -> Frame.around(new Point(centresAndWidths[2 * i], 0), centresAndWidths[2 * i + 1], 0.1))
                .toList();
        return kept(new Sight(faces, Optional.empty(), 0), TALL).centreX();
    }

    private static void assertPlace(double expected, double... centresAndWidths) {
        assertEquals(expected, placeOf(centresAndWidths), 1e-8);
        double[] mirrored = centresAndWidths.clone();
        for (int i = 0; i < mirrored.length; i += 2) {
            mirrored[i] *= -1;
        }
        assertEquals(-expected, placeOf(mirrored), 1e-8);
    }

    /** A head is a face with two tenths of it on both sides; the frame is 0.375 long and its middle within 0.3125. */
    @Test
    void ofGroups_thoseThatHaveRoomLieInTheMiddle() {
        assertPlace(0.29, 0, 0.1, 0.25, 0.1, 0.33, 0.1); // the two on the right
        assertPlace(-0.0075, 0, 0.2, 0.25, 0.1); // the larger one, the other just out
        assertPlace(0.1325, -0.4, 0.05, -0.09, 0.05, 0.2, 0.1, 0.05, 0.1); // two of four, as near as the next one lets
        // as far as the photo goes, which has less of the cheek
        assertPlace(0.3125, 0.41, 0.16, 0.06, 0.06, -0.1, 0.06);
    }

    /** Where one is cut whatever is done, it is a little of its hair, and the one beside it is whole. */
    @Test
    void ofGroupsThatStandTooClose_aLittleIsCut() {
        assertPlace(0.103 + 0.375 / 2, 0, 0.2, 0.25, 0.21);
    }

    /** A head that is longer than the frame is kept as a face. */
    @Test
    void ofLargeHeads_theFaceIsWhole() {
        assertPlace(-0.2, -0.2, 0.3, 0.25, 0.05);
    }

    @Test
    void headsThatFitAsFacesOnly_areKeptAsFaces() {
        Frame left = box(-0.185, -0.05, -0.085, 0.05);
        Frame right = box(0.085, -0.05, 0.185, 0.05);
        Frame frame = kept(new Sight(List.of(left, right), Optional.empty(), 0), TALL);
        assertTrue(frame.contains(left) && frame.contains(right), frame::toString);
        assertEquals(0, frame.centreX(), 0.0026);
    }

    /** Of heads that have no room together the frame takes the one of which it has most, and has it in its middle. */
    @Test
    void ofUnlikeHeadsThatHaveNoRoom_theLargerIsWhole() {
        Frame small = box(-0.4, -0.05, -0.3, 0.05);
        Frame large = box(0.1, -0.1, 0.3, 0.1);
        Frame frame = kept(new Sight(List.of(large, small), Optional.empty(), 0), TALL);
        assertTrue(frame.contains(large), frame::toString);
        assertEquals(0.2, frame.centreX(), EXACT, "in the middle, not at the edge");
        Frame mirrored = kept(
                new Sight(List.of(box(-0.3, -0.1, -0.1, 0.1), box(0.3, -0.05, 0.4, 0.05)), Optional.empty(), 0), TALL);
        assertEquals(-frame.centreX(), mirrored.centreX(), EXACT);
    }

    /** Two of three that stand together are worth more than the third. */
    @Test
    void ofThreeHeads_theTwoThatHaveRoomAreWhole() {
        Frame one = box(-0.45, -0.05, -0.35, 0.05);
        Frame two = box(0.05, -0.05, 0.15, 0.05);
        Frame three = box(0.25, -0.05, 0.35, 0.05);
        Frame frame = kept(new Sight(List.of(one, two, three), Optional.empty(), 0), TALL);
        assertTrue(frame.contains(two) && frame.contains(three) && !frame.contains(one), frame::toString);
    }

    /** What is longer than the side fills it, as near to the middle of what is looked at as it goes. */
    @Test
    void aLongSubjectAtTheSide_leavesNoAirBesideIt() {
        assertEquals(-0.05 + 0.375 / 2, kept(subject(-0.05, 0.45), TALL).centreX(), 0.09);
        Frame frame = kept(subject(-0.05, 0.45), TALL);
        assertTrue(frame.left() >= -0.05 - EXACT && frame.right() <= 0.45 + EXACT, frame::toString);
        Frame left = kept(subject(-0.45, 0.05), TALL);
        assertEquals(-frame.centreX(), left.centreX(), EXACT);
    }

    /** A tilted photo has less room at its side: a face there is whole in a smaller frame. */
    @Test
    void whereALargeFrameWouldCutAHead_aSmallerOneDoesNot() {
        PhotoSpace tilted = new PhotoSpace(new PixelSize(6000, 4000), Pose.AS_SHOT.withTilt(new Tilt(6)));
        Frame face = tilted.fromAsShot(box(0.4, -0.27, 0.46, -0.21));
        Sight sight = new Sight(List.of(face), Optional.empty(), 0);
        Frame largest = Fit.within(tilted.outline(), Frame.around(Point.ORIGIN, SHORT, SHORT));
        Frame frame = Keeping.frame(tilted.outline(), sight, Optional.empty(), largest);
        assertTrue(frame.contains(face), frame::toString);
        assertTrue(tilted.outline().contains(frame, EXACT));
        assertTrue(
                frame.width() < largest.width() - EXACT && frame.width() >= 0.7 * largest.width() - EXACT,
                () -> frame + " " + largest);
        double steps = Math.log(frame.width() / largest.width()) / Math.log(0.95);
        assertEquals(Math.rint(steps), steps, 1e-6, "by whole steps");
    }

    /** No frame of the shape holds the head: then most of it is better than none. */
    @Test
    void headWiderThanTheFrame_isKeptRatherThanLeftOut() {
        Frame face = box(0.03, -0.3, 0.47, 0.1);
        Frame frame = kept(new Sight(List.of(face), Optional.of(box(0.01, -0.3, 0.49, 0.33)), 0), TALL);
        assertTrue(frame.left() > face.left() - 0.1 && frame.right() < face.right() + 0.1, frame::toString);
    }

    /** The air of {@code HEAD_ROOM} is that above the person who is found, not above hair that is not there. */
    @Test
    void headWithLittleHair_hasNoMoreAirThanOthers() {
        Frame face = box(-0.1, -0.16, 0.06, 0);
        Frame body = box(-0.25, -0.2, 0.25, 0.33);
        Frame bald = kept(new Sight(List.of(face), Optional.of(body), 0), FLAT);
        Frame hairy = kept(new Sight(List.of(face), Optional.of(box(-0.25, -0.3, 0.25, 0.33)), 0), FLAT);
        assertTrue(bald.contains(face));
        assertEquals(-0.2 - 0.1 * 0.16 - 0.5 * 0.06 * 0.5, bald.top(), EXACT);
        assertTrue(hairy.top() < bald.top());
    }
}
