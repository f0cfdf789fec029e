package nexa.desktop.session;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.shape.Shape;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.Framings;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is current, without a window. */
class CurrentTest {
    private static final PixelSize SIZE = new PixelSize(6000, 4000);

    private final Framings framings = mock(Framings.class);
    private final Photo bowl = photo(1);
    private final Photo jug = photo(2);
    private final List<Moment> seen = new ArrayList<>();
    private Brief brief = Brief.EMPTY;
    private Current current;

    private static Photo photo(long id) {
        PhotoFacts facts = new PhotoFacts(FileKind.JPEG, SIZE, 1, null, null, Set.of());
        return new Photo(id, id + ".jpg", "print " + id, new Probe.Readable(facts));
    }

    @BeforeEach
    void begin() {
        brief = Brief.EMPTY.with("Print", Shape.parse("4:5")).with("Square", Shape.parse("1:1"));
        when(framings.brief()).thenReturn(brief);
        when(framings.framing(any())).thenReturn(Framing.UNTOUCHED);
        when(framings.framing(jug)).thenReturn(tilted(4));
        current = new Current(framings);
        current.choose(Optional.of(print()));
        current.choose(bowl);
        current.momentProperty().subscribe(moment -> {
            seen.add(moment);
        });
        seen.clear();
    }

    private Format print() {
        return brief.formats().getFirst();
    }

    private static Framing tilted(double degrees) {
        return Framing.UNTOUCHED.withPose(Framing.UNTOUCHED.pose().withTilt(new Tilt(degrees)));
    }

    @Test
    void anotherPhoto_isOneChange_andNeverShowsTheFormerOnesFraming() {
        current.choose(jug);
        assertEquals(1, seen.size());
        assertEquals(Optional.of(jug), seen.getFirst().photo());
        assertEquals(tilted(4), seen.getFirst().framing());
    }

    @Test
    void everyFormatsFrame_isThere_asItIsDerived() {
        Moment moment = current.moment();
        for (Format format : brief.formats()) {
            assertEquals(
                    Derivation.frame(SIZE, Framing.UNTOUCHED, format, brief),
                    moment.frame(format).orElseThrow());
        }
        assertEquals(moment.frame(print()), moment.frame());
        assertTrue(moment.crop().isPresent() && moment.warnings().isEmpty());
    }

    @Test
    void gesture_isShownOfTheCurrentPhotoOnly_andTakenBack() {
        current.preview(tilted(2));
        assertEquals(tilted(2), current.framing(bowl));
        assertEquals(tilted(4), current.framing(jug));
        current.abandon();
        assertEquals(Framing.UNTOUCHED, current.framing(bowl));
        assertEquals(2, seen.size());
    }

    @Test
    void gestureOverSeveral_isShownOfAllOfThem_alsoOfOneThatIsChosenMeanwhile() {
        current.preview(Map.of(bowl, tilted(1), jug, tilted(5)));
        assertEquals(tilted(1), current.moment().framing());
        assertEquals(tilted(5), current.framing(jug));
        current.choose(jug);
        assertEquals(tilted(5), current.moment().framing());
        current.preview(Map.of());
        assertEquals(tilted(4), current.moment().framing(), "what is stored");
    }

    @Test
    void photoThatIsReadAnew_keepsItsGesture_andIsNoOtherOne() {
        AtomicInteger others = new AtomicInteger();
        current.onOther(others::incrementAndGet);
        Photo anew = new Photo(bowl.id(), bowl.file(), "another print", bowl.probe());
        current.preview(Map.of(bowl, tilted(2), jug, tilted(5)));
        assertTrue(current.isGestureOn());

        current.replace(Map.of(anew.id(), anew));

        assertEquals(Optional.of(anew), current.moment().photo());
        assertEquals(tilted(2), current.moment().framing());
        assertEquals(
                Map.of(anew, tilted(2), jug, tilted(5)),
                current.previewsProperty().get());
        assertEquals(1, others.get(), "only when it began to be told");
        current.choose(jug);
        assertEquals(2, others.get());
        current.preview(Map.of());
        assertFalse(current.isGestureOn());
    }

    @Test
    void photoThatIsAnotherPictureNow_isToldAsAnother() {
        AtomicInteger others = new AtomicInteger();
        current.onOther(others::incrementAndGet);
        PhotoFacts turned = new PhotoFacts(FileKind.JPEG, new PixelSize(4000, 6000), 1, null, null, Set.of());
        current.replace(Map.of(1L, new Photo(1, bowl.file(), "another print", new Probe.Readable(turned))));
        assertEquals(2, others.get());
    }

    @Test
    void edit_isOneChange_thoughBriefFormatAndFramingAreNew() {
        Brief without = brief.without(print());
        when(framings.brief()).thenReturn(without);
        when(framings.framing(bowl)).thenReturn(tilted(3));
        current.refresh();
        assertEquals(1, seen.size());
        assertEquals(without, seen.getFirst().brief());
        assertEquals("Square", seen.getFirst().format().orElseThrow().name());
        assertEquals(tilted(3), seen.getFirst().framing());
    }

    @Test
    void unreadablePhoto_hasNoSpaceAndNoFrames() {
        Photo broken = new Photo(3, "3.jpg", "unread", Probe.unreadable(Trouble.Kind.EMPTY));
        when(framings.framing(broken)).thenReturn(Framing.UNTOUCHED);
        current.choose(broken);
        Moment moment = current.moment();
        assertTrue(moment.space().isEmpty()
                && moment.frame().isEmpty()
                && moment.crop().isEmpty());
    }

    @Test
    void sameFraming_isTheSameMoment() {
        Moment before = current.moment();
        current.preview(before.framing());
        assertSame(before, current.moment());
        assertTrue(seen.isEmpty());
    }
}
