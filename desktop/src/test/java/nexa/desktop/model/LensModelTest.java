package nexa.desktop.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.core.lens.ByHand;
import nexa.core.lens.Lens;
import nexa.core.space.Pose;
import nexa.desktop.session.Session;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Lens data that can't be read, without a window. */
class LensModelTest {
    private final Session session = mock(Session.class, RETURNS_DEEP_STUBS);
    private final Lenses lenses = mock(Lenses.class);
    private final Photo bowl = photo();
    private LensModel model;

    private static Photo photo() {
        PhotoFacts facts = new PhotoFacts(FileKind.JPEG, new PixelSize(6000, 4000), 1, null, null, Set.of());
        return new Photo(1, "1.jpg", "print 1", new Probe.Readable(facts));
    }

    @BeforeEach
    void begin() throws IOException {
        when(session.photo()).thenReturn(Optional.of(bowl));
        when(session.shoot().mayEdit()).thenReturn(true);
        when(session.selection().adjusted()).thenReturn(List.of(bowl));
        when(lenses.found(any())).thenThrow(new IOException("gone"));
        when(lenses.book()).thenThrow(new IOException("gone"));
        model = new LensModel(session, lenses, Runnable::run, Runnable::run);
    }

    @Test
    void looking_saysThatNothingCanBeFound() {
        assertFalse(model.unreadableProperty().get());
        model.look();
        assertTrue(model.unreadableProperty().get());
        assertTrue(model.offerProperty().get().isEmpty());
    }

    @Test
    void finding_changesNothingAndSaysSo() {
        model.find();
        assertTrue(model.unreadableProperty().get());
        verify(session.shoot(), never()).apply(any());
    }

    /** A plan of what is carried would wait for ever. */
    @Test
    void carrying_leavesCorrectionsAsTheyAre() {
        Pose bent = Pose.AS_SHOT.withLens(Lens.byHand(new ByHand(0.05, 0, 0.5)));
        assertTrue(model.carried(bent, bowl, Pose.AS_SHOT).isEmpty(), "it is being read");
        verify(session.carry()).refreshPlan();
        assertEquals(Optional.of(Pose.AS_SHOT.correction()), model.carried(bent, bowl, Pose.AS_SHOT));
    }
}
