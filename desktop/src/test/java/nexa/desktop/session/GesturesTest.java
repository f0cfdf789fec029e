package nexa.desktop.session;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.shape.Shape;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.shoot.Framings;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

/** From a gesture to an edit, without a window. */
class GesturesTest {
    private static final Brief BRIEF = Brief.EMPTY.with("Square", Shape.parse("1:1"));

    private final Framings framings = mock(Framings.class);
    private final Selection.Around around = mock(Selection.Around.class);
    private final Photo bowl = photo(1);
    private final Photo jug = photo(2);
    private Current current;
    private Gestures gestures;

    private static Photo photo(long id) {
        PhotoFacts facts = new PhotoFacts(FileKind.JPEG, new PixelSize(6000, 4000), 1, null, null, Set.of());
        return new Photo(id, id + ".jpg", "print " + id, new Probe.Readable(facts));
    }

    private static Framing tilted(double degrees) {
        return Framing.UNTOUCHED.withPose(Framing.UNTOUCHED.pose().withTilt(new Tilt(degrees)));
    }

    @BeforeEach
    void begin() {
        when(framings.brief()).thenReturn(BRIEF);
        when(framings.mayEdit()).thenReturn(true);
        when(framings.framing(bowl)).thenReturn(Framing.UNTOUCHED);
        when(framings.framing(jug)).thenReturn(tilted(1));
        when(around.current()).thenReturn(List.of(bowl));
        when(around.view()).thenReturn(MainView.BENCH);
        current = new Current(framings);
        current.choose(Optional.of(format()));
        current.choose(bowl);
        gestures = new Gestures(framings, current, new Selection(around));
    }

    private static Format format() {
        return BRIEF.formats().getFirst();
    }

    private Edit applied() {
        ArgumentCaptor<Edit> edit = ArgumentCaptor.forClass(Edit.class);
        verify(framings).apply(edit.capture());
        return edit.getValue();
    }

    @Test
    void gesture_isStoredOnce_fromWhatWasToWhatShows() {
        gestures.preview(tilted(2));
        gestures.preview(tilted(3));
        verify(framings, never()).apply(any());
        gestures.commit("edit.tilt");
        assertEquals(Edit.framing("edit.tilt", 1, Framing.UNTOUCHED, tilted(3)), applied());
    }

    @Test
    void abandoned_showsWhatIsStored_andStoresNothing() {
        gestures.preview(tilted(2));
        gestures.abandon();
        assertEquals(Framing.UNTOUCHED, current.moment().framing());
        verify(framings, never()).apply(any());
    }

    @Test
    void whereNothingMayBeEdited_nothingIsShownNorStored() {
        when(framings.mayEdit()).thenReturn(false);
        gestures.preview(tilted(2));
        gestures.commit("edit.tilt");
        gestures.editAll("edit.aside", (photo, before) -> before.withSetAside(true));
        assertEquals(Framing.UNTOUCHED, current.moment().framing());
        verify(framings, never()).apply(any());
    }

    @Test
    void editOfAll_isOneEdit_ofThoseThatAreAdjusted() {
        when(around.current()).thenReturn(List.of(bowl, jug));
        gestures.editAll("edit.aside", (photo, before) -> before.withSetAside(true));
        Edit edit = applied();
        assertEquals(2, edit.framings().size());
        assertEquals(tilted(1).withSetAside(true), edit.framings().getLast().after());
    }

    /** The frame that shows is the frame that was asked for, whatever the tilt. */
    @Test
    void placedFrame_isTheMomentsFrame() {
        current.preview(tilted(7));
        Frame asked = new Frame(0.05, 0.02, 0.3, 0.3);
        current.preview(gestures.placed(asked));
        Frame shown = current.moment().frame().orElseThrow();
        assertEquals(asked.centreX(), shown.centreX(), 1e-12);
        assertEquals(asked.centreY(), shown.centreY(), 1e-12);
        assertEquals(asked.width(), shown.width(), 1e-12);
    }
}
