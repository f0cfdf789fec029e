package nexa.desktop.review;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.sight.Sight;
import nexa.desktop.review.Preparing.Choice;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.shoot.Framings;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.Prepared;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

class PreparingTest {
    private final Framings framings = mock(Framings.class);
    private final Map<Photo, Prepared> proposals = new HashMap<>();
    private final Photo sure = photo(1, "sure.jpg");
    private final Photo doubtful = photo(2, "doubtful.jpg");
    private final Photo broken = photo(3, "broken.jpg");

    private static Photo photo(long id, String file) {
        PhotoFacts facts = new PhotoFacts(FileKind.JPEG, new PixelSize(600, 400), 1, null, null, Set.of());
        return new Photo(id, file, "", new Probe.Readable(facts));
    }

    private static Framing tilted(double degrees) {
        return Framing.UNTOUCHED.withPose(Framing.UNTOUCHED.pose().withTilt(new Tilt(degrees)));
    }

    @BeforeEach
    void shoot() {
        when(framings.framing(any())).thenReturn(Framing.UNTOUCHED);
        proposals.put(sure, new Prepared(Framing.UNTOUCHED, List.of(), tilted(1), tilted(1), List.of()));
        proposals.put(doubtful, new Prepared(Framing.UNTOUCHED, List.of(), Framing.UNTOUCHED, tilted(2), List.of()));
    }

    private Prepared look(Photo photo, Framing before) throws IOException {
        Prepared found = proposals.get(photo);
        if (found == null) {
            throw new IOException("damaged");
        }
        return found;
    }

    private Preparing preparing() {
        return new Preparing(framings, List.of(sure, doubtful, broken), this::look, Runnable::run, Runnable::run);
    }

    private Map<Long, Framing> done(Preparing preparing) {
        preparing.finish();
        ArgumentCaptor<Edit> edit = ArgumentCaptor.forClass(Edit.class);
        verify(framings).apply(edit.capture());
        Map<Long, Framing> after = new HashMap<>();
        edit.getValue().framings().forEach(change -> after.put(change.photo(), change.after()));
        return after;
    }

    @Test
    void undecided_onlyWhatIsSureIsDone_andABrokenPhotoStopsNoOther() {
        Preparing preparing = preparing();
        assertEquals(3, preparing.looked());
        assertEquals(
                List.of(doubtful),
                preparing.doubtful().stream().map(Preparing.Item::photo).toList());
        assertEquals(
                List.of(sure),
                preparing.sure().stream().map(Preparing.Item::photo).toList());
        assertEquals(1, preparing.changes());
        assertEquals(Map.of(1L, tilted(1)), done(preparing));
    }

    @Test
    void taken_doesWhatIsDoubtfulToo_andLeftNothing() {
        Preparing preparing = preparing();
        preparing.choose(doubtful, Choice.TAKEN);
        preparing.choose(sure, Choice.LEFT);
        assertEquals(Map.of(2L, tilted(2)), done(preparing));
    }

    @Test
    void adjusted_isDoneAndToldOf() {
        Preparing preparing = preparing();
        preparing.choose(doubtful, Choice.ADJUSTED);
        assertEquals(List.of(doubtful), preparing.finish());
    }

    @Test
    void photoChangedMeanwhile_stays() {
        Preparing preparing = preparing();
        when(framings.framing(sure)).thenReturn(tilted(5));
        assertFalse(done(preparing).containsKey(1L));
    }

    @Test
    void photoInWhichSomethingWasSeenMeanwhile_isDone_orLeftWithoutAStep() {
        Sight sight = new Sight(List.of(), Optional.of(new Frame(0, 0, 0.1, 0.1)), 0);
        Framing seen = Framing.UNTOUCHED.withSubject(Subject.UNKNOWN.seen(sight));
        Preparing preparing = preparing();
        when(framings.framing(any())).thenReturn(seen);
        preparing.choose(doubtful, Choice.LEFT);
        assertEquals(1, preparing.changes());
        assertEquals(Map.of(1L, tilted(1).knowing(seen)), done(preparing));
    }

    @Test
    void cancelled_looksNoFurther() {
        Deque<Runnable> work = new ArrayDeque<>();
        Preparing preparing = new Preparing(framings, List.of(sure, doubtful), this::look, work::add, Runnable::run);
        preparing.cancel();
        work.forEach(Runnable::run);
        assertEquals(0, preparing.looked());
        assertTrue(preparing.doubtful().isEmpty());
    }
}
