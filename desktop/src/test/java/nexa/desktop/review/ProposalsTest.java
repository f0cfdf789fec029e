package nexa.desktop.review;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.desktop.review.Proposals.Item;
import nexa.desktop.review.Proposals.State;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Framings;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

class ProposalsTest {
    private final Framings framings = mock(Framings.class);
    private final Photo sure = photo(1, "sure.jpg");
    private final Photo cut = photo(2, "cut.jpg");
    private final Photo odd = photo(3, "odd.jpg");
    private final Photo doubtful = photo(4, "doubtful.jpg");
    private final List<Photo> photos = List.of(sure, cut, odd, doubtful);

    private static Photo photo(long id, String file) {
        PhotoFacts facts = new PhotoFacts(FileKind.JPEG, new PixelSize(600, 400), 1, null, null, Set.of());
        return new Photo(id, file, "", new Probe.Readable(facts));
    }

    /** Finds the photo's number as an angle; one file is cut off, and native code fails at another. */
    private final class Angles implements Proposals.Looking<Double> {
        @Override
        public Double find(Photo photo, Framing framing) throws UnreadablePhotoException {
            if (photo.equals(cut)) {
                throw new UnreadablePhotoException(Path.of(photo.file()), Trouble.of(Trouble.Kind.DAMAGED));
            }
            if (photo.equals(odd)) {
                throw new IllegalStateException("an assertion of the library's failed");
            }
            return (double) photo.id();
        }

        @Override
        public State state(Framing framing, Double found) {
            return found < 2 ? State.PROPOSED : State.DOUBTFUL;
        }

        @Override
        public Framing accepted(Framing before, Double found) {
            return before.levelledAt(new Tilt(found));
        }

        @Override
        public String label() {
            return "edit.level.auto";
        }
    }

    @BeforeEach
    void shoot() {
        when(framings.framing(any())).thenReturn(Framing.UNTOUCHED);
        when(framings.mayEdit()).thenReturn(true);
    }

    private Proposals<Double> proposals() {
        return new Proposals<>(framings, photos, new Angles(), Runnable::run, Runnable::run);
    }

    private static List<State> states(Proposals<?> proposals) {
        return proposals.items().stream().map(Item::state).toList();
    }

    @Test
    void photoThatCantBeLookedAt_stopsNoOthers() {
        assertEquals(List.of(State.PROPOSED, State.UNREADABLE, State.UNREADABLE, State.DOUBTFUL), states(proposals()));
    }

    @Test
    void whatIsSure_isAcceptedAsOneStep() {
        Proposals<Double> proposals = proposals();
        proposals.acceptAll();
        ArgumentCaptor<Edit> edit = ArgumentCaptor.forClass(Edit.class);
        verify(framings).apply(edit.capture());
        assertEquals("edit.level.auto", edit.getValue().label());
        assertEquals(
                List.of(new FramingChange(1, Framing.UNTOUCHED, Framing.UNTOUCHED.levelledAt(new Tilt(1)))),
                edit.getValue().framings());
        assertEquals(1, proposals.count(State.ACCEPTED));
        proposals.accept(proposals.items().getFirst());
        verify(framings).apply(any());
        proposals.accept(proposals.items().getLast());
        proposals.leave(proposals.items().get(1));
        assertEquals(List.of(State.ACCEPTED, State.LEFT, State.UNREADABLE, State.ACCEPTED), states(proposals));
    }

    @Test
    void shootThatMayOnlyBeRead_staysAsItIs() {
        when(framings.mayEdit()).thenReturn(false);
        Proposals<Double> proposals = proposals();
        proposals.acceptAll();
        verify(framings, never()).apply(any());
        assertEquals(1, proposals.count(State.PROPOSED));
    }

    @Test
    void whatIsCancelled_searchesNoFurther() {
        List<Runnable> threads = new ArrayList<>();
        Proposals<Double> proposals = new Proposals<>(framings, photos, new Angles(), threads::add, Runnable::run);
        proposals.cancel();
        threads.forEach(Runnable::run);
        assertEquals(4, proposals.count(State.SEARCHING));
    }
}
