package nexa.core.sight;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SightTest {
    private static final Frame FACE = new Frame(0.1, -0.2, 0.05, 0.06);
    private static final Frame BODY = new Frame(0.1, 0, 0.2, 0.5);

    @Test
    void text_isReadBackExactly() {
        for (Sight sight : List.of(
                Sight.NONE,
                new Sight(List.of(FACE), Optional.empty(), 1 / 3.0),
                new Sight(List.of(FACE, BODY), Optional.of(BODY), -0.5),
                new Sight(List.of(), Optional.of(BODY), 0))) {
            assertEquals(Optional.of(sight), Sight.parse(sight.text()));
        }
    }

    @Test
    void emptyText_isOfAPhotoThatNobodyLookedAt() {
        assertEquals(Optional.empty(), Sight.parse(""));
    }

    @ParameterizedTest
    @ValueSource(strings = {"x", "0", "0;1,2,3", "0;;1,2,3,nothing", "0;1,2,-3,4"})
    void otherText_isRefused(String text) {
        assertThrows(IllegalArgumentException.class, () -> Sight.parse(text));
    }

    @Test
    void quarterTurnAndMirror_takeBoxesAlong() {
        Sight sight = new Sight(List.of(FACE), Optional.of(BODY), 0.8);
        PhotoSpace turned = new PhotoSpace(new PixelSize(6000, 4000), Pose.AS_SHOT.turned(new Turn(1, false)));
        Frame face = sight.in(turned).faces().getFirst();
        assertEquals(0.2, face.centreX(), 1e-12);
        assertEquals(0.1, face.centreY(), 1e-12);
        assertEquals(FACE.height(), face.width(), 1e-12);
        PhotoSpace mirrored = new PhotoSpace(new PixelSize(6000, 4000), Pose.AS_SHOT.turned(new Turn(0, true)));
        assertEquals(-0.8, sight.in(mirrored).gaze());
        assertEquals(-0.1, sight.in(mirrored).faces().getFirst().centreX(), 1e-12);
    }
}
