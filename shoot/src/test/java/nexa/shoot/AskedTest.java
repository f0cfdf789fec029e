package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.sight.Sight;
import nexa.core.space.Pose;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.FoundFile;
import nexa.shoot.store.StoredPhoto;
import org.junit.jupiter.api.Test;

/** What is asked of photos, and what is known of them beside it. */
class AskedTest {
    private static final Photo ONE = photo(1);
    private static final Photo OTHER = photo(2);
    private static final Sight FACE = new Sight(List.of(new Frame(0.1, -0.1, 0.2, 0.2)), Optional.empty(), 0);
    private static final Framing TILTED = Framing.UNTOUCHED.withPose(new Pose(Turn.NONE, new Tilt(2)));

    private final Asked asked =
            new Asked(Brief.EMPTY, List.of(stored(ONE, Framing.UNTOUCHED), stored(OTHER, Framing.UNTOUCHED)));

    private static Photo photo(long id) {
        return new Photo(id, id + ".jpg", "print " + id, Probe.unreadable(Trouble.Kind.READ_FAILED));
    }

    private static StoredPhoto stored(Photo photo, Framing framing) {
        return new StoredPhoto(photo, new FoundFile(photo.file(), 1, 1), framing);
    }

    private Optional<Sight> seen(Photo photo) {
        return asked.framing(photo).subject().sight();
    }

    @Test
    void sight_isNotedOnce() {
        assertEquals(Map.of(ONE, FACE), asked.saw(Map.of(ONE, FACE)));
        assertEquals(
                Set.of(OTHER),
                asked.saw(Map.of(ONE, Sight.NONE, OTHER, Sight.NONE)).keySet());
        assertEquals(Optional.of(FACE), seen(ONE), "the first look stays");
        assertEquals(Optional.of(Sight.NONE), seen(OTHER));
    }

    @Test
    void edits_keepWhatWasSeenMeanwhile() {
        asked.saw(Map.of(ONE, FACE));
        asked.take(Edit.framing("edit.tilt", ONE.id(), Framing.UNTOUCHED, TILTED));
        assertEquals(TILTED.pose(), asked.framing(ONE).pose());
        assertEquals(Optional.of(FACE), seen(ONE));
    }

    @Test
    void changedFile_isToBeSeenAnew_andIsAskedWhatItWas() {
        asked.take(Edit.framing("edit.tilt", ONE.id(), Framing.UNTOUCHED, TILTED));
        asked.saw(Map.of(ONE, FACE));
        asked.take(stored(ONE, Framing.UNTOUCHED));
        assertEquals(TILTED.pose(), asked.framing(ONE).pose());
        assertTrue(seen(ONE).isEmpty());
        asked.saw(Map.of(OTHER, Sight.NONE));
        asked.take(stored(OTHER, Framing.UNTOUCHED.withSubject(Subject.UNKNOWN.seen(Sight.NONE))));
        assertEquals(Optional.of(Sight.NONE), seen(OTHER), "its content is as it was seen");
    }

    @Test
    void snapshot_stays() {
        Snapshot before = asked.snapshot(List.of(ONE));
        asked.take(Edit.framing("edit.tilt", ONE.id(), Framing.UNTOUCHED, TILTED));
        assertEquals(Pose.AS_SHOT, before.framing(ONE).pose());
        assertEquals(TILTED, asked.snapshot(List.of(ONE)).framing(ONE));
    }
}
