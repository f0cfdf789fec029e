package nexa.core.brief;

import static nexa.core.Cases.ROUNDING;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.core.Cases;
import nexa.core.carry.By;
import nexa.core.carry.Carried;
import nexa.core.carry.Carry;
import nexa.core.carry.Change;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.core.carry.Together;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.gesture.FrameDrag;
import nexa.core.gesture.FrameDrag.Hold;
import nexa.core.gesture.Grip;
import nexa.core.gesture.Snap;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.outline.Outline;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayOptions;
import nexa.core.overlay.Stroke;
import nexa.core.review.Warning;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import org.junit.jupiter.api.Test;

/** All that is done with frames, on photos that a lens or a lean has bent. */
class BentPhotoTest {
    private static final Format PRINT = new Format(1, "Print", Shape.parse("4:5"), OrientationRule.FOLLOW_PHOTO);
    private static final Format SQUARE = new Format(2, "Square", Shape.parse("1:1"), OrientationRule.FOLLOW_PHOTO);
    private static final Brief BRIEF = new Brief(List.of(PRINT, SQUARE), 3);

    private static Framing held(PhotoSpace space) {
        return Framing.UNTOUCHED.withPose(space.pose());
    }

    /** Somewhere on the photo's content. */
    private static Crop crop(Cases c) {
        double height = Math.exp(c.between(-3, 0));
        return new Crop(new Frame(c.between(-0.4, 0.4), c.between(-0.3, 0.3), 0.8 * height, height));
    }

    private static Frame frame(PhotoSpace space, Framing framing, Format format) {
        return Derivation.frame(space.asShot(), framing, format, BRIEF);
    }

    @Test
    void frames_derivedAndPlaced_showNothingButPhoto() {
        Cases.some(1000).forEach(c -> {
            PhotoSpace space = c.bent();
            Framing placed = held(space).withCrop(PRINT, crop(c));
            for (Format format : BRIEF.formats()) {
                for (Framing framing : List.of(held(space), placed)) {
                    assertTrue(space.outline().holds(frame(space, framing, format)), space::toString);
                    Set<Warning> warnings = Warning.of(space.asShot(), framing, format, BRIEF);
                    assertFalse(warnings.contains(Warning.BLANK), space::toString);
                    assertFalse(warnings.contains(Warning.MUCH_BLANK), space::toString);
                }
            }
        });
    }

    @Test
    void correction_onAndOff_givesTheFrameBackToTheLastBit() {
        Cases.some(1000).forEach(c -> {
            PhotoSpace bent = c.bent();
            PhotoSpace plain = new PhotoSpace(bent.asShot(), bent.pose().withCorrection(Correction.NONE));
            Framing before = held(plain).withCrop(PRINT, crop(c));
            Frame frame = frame(plain, before, PRINT);
            Framing corrected = before.withPose(bent.pose());
            frame(bent, corrected, PRINT);
            assertEquals(frame, frame(plain, corrected.withPose(plain.pose()), PRINT));
        });
    }

    @Test
    void correction_keepsTheSameSubjectInTheFrame_asLargeAsItWas() {
        Cases.some(1000).forEach(c -> {
            PhotoSpace bent = c.bent();
            Framing framing = held(bent).withCrop(PRINT, crop(c));
            Frame wish = framing.crop(PRINT).orElseThrow().wish();
            Frame asked = bent.fromAsShot(wish);
            Frame frame = frame(bent, framing, PRINT);
            if (bent.outline().contains(Derivation.shaped(bent, asked, PRINT), 0)
                    && frame.width() * bent.asShot().longEdge() > 20) {
                assertEquals(0, bent.toAsShot(frame.centre()).distance(wish.centre()), 1e-9);
                double stretch = bent.pose().correction().mapping().stretch(wish.centre());
                assertEquals(
                        Math.sqrt(wish.width() * wish.height()) * stretch,
                        Math.sqrt(frame.width() * frame.height()),
                        1e-9);
            }
            Frame back = bent.fromAsShot(bent.toAsShot(asked));
            assertEquals(0, back.centre().distance(asked.centre()), 1e-9);
            assertEquals(asked.width(), back.width(), 1e-9 * asked.width());
        });
    }

    /**
     * A frame goes with what is in its middle. Away from it a correction moves content against the middle, which no frame can
     * follow: with a lens's usual bend by less than a hundredth of the frame, in the middle half where subjects stand.
     */
    @Test
    void marksInTheFrame_stayWhereTheyWere_whereThereIsRoom() {
        AtomicInteger looked = new AtomicInteger();
        Cases.some(400).forEach(c -> {
            PhotoSpace plain = new PhotoSpace(c.bent().asShot(), c.pose());
            Lens lens = Lens.byHand(new ByHand(c.between(-0.02, 0.02), 0, 0.5));
            PhotoSpace corrected = new PhotoSpace(plain.asShot(), plain.pose().withLens(lens));
            double height = c.between(0.1, 0.4);
            Crop crop = new Crop(new Frame(c.between(-0.3, 0.3), c.between(-0.2, 0.2), 0.8 * height, height));
            Frame before = frame(plain, held(plain).withCrop(PRINT, crop), PRINT);
            Frame after = frame(corrected, held(corrected).withCrop(PRINT, crop), PRINT);
            Frame asked = Derivation.shaped(corrected, corrected.fromAsShot(crop.wish()), PRINT);
            if (!corrected.outline().contains(asked, 0) || !plain.outline().contains(before, 0)) {
                return;
            }
            looked.incrementAndGet();
            Point mark = before.at(c.between(-1, 1) / 4, c.between(-1, 1) / 4);
            Point moved = corrected.fromAsShot(plain.toAsShot(mark));
            double right =
                    (moved.x() - after.centreX()) / after.width() - (mark.x() - before.centreX()) / before.width();
            double down =
                    (moved.y() - after.centreY()) / after.height() - (mark.y() - before.centreY()) / before.height();
            assertEquals(0, Math.hypot(right, down), 0.01, corrected::toString);
        });
        assertTrue(looked.get() > Cases.of(200), looked::toString);
    }

    @Test
    void drag_ofAnyGrip_staysInThePhotoAndBeginsWhereItIs() {
        Cases.some(400).forEach(c -> {
            PhotoSpace space = c.bent();
            Outline room = space.room(false);
            Frame start = frame(space, held(space).withCrop(PRINT, crop(c)), PRINT);
            for (Grip grip : Grip.values()) {
                for (Hold hold : Hold.values()) {
                    Point from = start.at(0.5, 0.5);
                    FrameDrag drag = new FrameDrag(room, start, grip, from, hold);
                    assertEquals(start.width(), drag.to(from).width(), 1e-7, () -> grip + " " + space);
                    Point to = new Point(c.between(-1, 1), c.between(-1, 1));
                    assertTrue(room.contains(drag.to(to), 1e-7), () -> grip + " " + hold + " " + space);
                    Snap snap = Snap.of(room, List.of(new Point(c.between(-0.3, 0.3), 0.1)), 0.02);
                    assertTrue(room.contains(snap.drag(drag, to).frame(), 1e-7), () -> grip + " " + hold);
                }
            }
        });
    }

    @Test
    void marks_stayOnTheContent() {
        Cases.some(500).forEach(c -> {
            PhotoSpace space = c.bent();
            PhotoSpace otherwise = new PhotoSpace(space.asShot(), c.bent().pose());
            List<Point> level = List.of(
                    new Point(c.between(-0.3, 0.3), c.between(-0.3, -0.05)),
                    new Point(c.between(-0.3, 0.3), c.between(0.05, 0.3)));
            Marks marks = Marks.of(space, level);
            for (int i = 0; i < 2; i++) {
                Point content = marks.points().get(i);
                assertEquals(0, level.get(i).distance(marks.in(space).get(i)), 1e-9);
                assertEquals(
                        0,
                        content.distance(otherwise.toAsShot(marks.in(otherwise).get(i))),
                        1e-9);
            }
        });
    }

    @Test
    void marks_ofADerivedFrame_lieWhereTheRuleHasThem() {
        Cases.some(500).forEach(c -> {
            PhotoSpace space = c.bent();
            Point mark = frame(space, held(space), SQUARE).at(c.between(0.4, 0.6), c.between(0.4, 0.6));
            Composition third = Composition.of(new Frame(0, 0, 0.1, 0.1), List.of(new Point(-0.0166, -0.0166)));
            Framing framing = held(space)
                    .withSubject(Subject.UNKNOWN
                            .marked(Marks.of(space, List.of(mark)))
                            .ruled(Optional.of(third)));
            Frame frame = frame(space, framing, SQUARE);
            assertTrue(space.outline().holds(frame));
            assertTrue(frame.contains(framing.marks().in(space).getFirst()), space::toString);
        });
    }

    @Test
    void carry_toAnotherBentPhoto_bringsTheMarkToItsPlace() {
        Cases.some(300).forEach(c -> {
            PhotoSpace from = c.bent();
            PhotoSpace to = new PhotoSpace(
                    from.asShot(), c.bent().pose().withTurn(from.pose().turn()));
            Framing source =
                    held(from).withMarks(marked(from, c)).withCrop(PRINT, new Crop(new Frame(0, 0, 0.16, 0.2)));
            Framing target = held(to).withMarks(marked(to, c));
            Carry carry = new Carry(
                    from.asShot(), source, PRINT, BRIEF, EnumSet.of(Part.SHAPE, Part.PLACE), Opposite.TURN, By.MARKS);
            Carried carried = carry.to(to.asShot(), target);
            Frame frame = frame(to, carried.framing(), PRINT);
            assertTrue(to.outline().holds(frame));
            if (carried.losses().isEmpty()) {
                assertEquals(0, carried.error(), 1e-6, to::toString);
            }
        });
    }

    private static Marks marked(PhotoSpace space, Cases c) {
        return Marks.of(space, List.of(new Point(c.between(-0.1, 0.1), c.between(-0.1, 0.1))));
    }

    @Test
    void carry_byPlaceToThePhotoItself_changesNothing() {
        Cases.some(300).forEach(c -> {
            PhotoSpace space = c.bent();
            Framing framing = held(space).withCrop(PRINT, crop(c));
            Carry carry = new Carry(
                    space.asShot(), framing, PRINT, BRIEF, EnumSet.of(Part.SHAPE, Part.PLACE), Opposite.TURN, By.PLACE);
            Frame before = frame(space, framing, PRINT);
            Frame after = frame(space, carry.to(space.asShot(), framing).framing(), PRINT);
            assertEquals(0, before.centre().distance(after.centre()), 1e-8);
            assertEquals(before.width(), after.width(), 1e-8);
        });
    }

    @Test
    void together_movedAndBack_isWhereItBegan() {
        Together together = new Together(PRINT, BRIEF);
        Cases.some(300).forEach(c -> {
            PhotoSpace space = c.bent();
            Framing start = held(space).withCrop(PRINT, crop(c));
            Change change =
                    new Change(c.between(-1, 1), c.between(-1, 1), c.between(0.5, 1.5), c.between(-3, 3), false);
            Framing there = together.apply(space.asShot(), start, change);
            PhotoSpace tilted = new PhotoSpace(space.asShot(), there.pose());
            assertTrue(tilted.outline().holds(frame(tilted, there, PRINT)));
            assertEquals(start, together.apply(space.asShot(), start, Change.NONE));
        });
    }

    /** A line of an overlay and the pixels under it belong together: through the renderer's mapping and back. */
    @Test
    void overlay_liesOnTheContentThatIsDelivered() {
        PixelSize output = new PixelSize(800, 1000);
        Cases.some(300).forEach(c -> {
            PhotoSpace space = c.bent();
            Frame frame = frame(space, held(space).withCrop(PRINT, crop(c)), PRINT);
            Turn exif = c.turn();
            PixelSize stored = exif.inverse().apply(space.asShot());
            Mapping toStored = space.outputToStored(exif, frame, output);
            for (Stroke stroke : Overlay.THIRDS.strokes(frame.aspect(), OverlayOptions.DEFAULT, 0)) {
                Point at = ((Stroke.Segment) stroke).from();
                Point pixel = toStored.apply(new Point(at.x() * output.width(), at.y() * output.height()));
                Point unit = pixel.minus(new Point(stored.width() / 2.0, stored.height() / 2.0))
                        .times(1.0 / stored.longEdge());
                Point level = space.asShotToLevel().apply(exif.apply(unit));
                assertEquals(0, level.distance(frame.at(at.x(), at.y())), 1e-8);
                assertEquals(0, level.distance(space.fromAsShot(exif.apply(unit))), ROUNDING);
            }
        });
    }
}
