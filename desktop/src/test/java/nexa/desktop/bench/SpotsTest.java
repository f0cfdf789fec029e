package nexa.desktop.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Point;
import nexa.desktop.repair.EyeMending;
import nexa.desktop.repair.Neutrals;
import org.junit.jupiter.api.Test;

class SpotsTest {
    @Test
    void theLastOfTheEyesThatWereFound_isLookedAt() {
        EyeMending eyes = mock(EyeMending.class);
        ReadOnlyObjectWrapper<Optional<EyeMending.Verdict>> verdict = new ReadOnlyObjectWrapper<>(Optional.empty());
        when(eyes.verdictProperty()).thenReturn(verdict.getReadOnlyProperty());
        GlowingEye eye = new GlowingEye(new Point(0.1, 0.2), 0.01, GlowingEye.Glow.RED);
        when(eyes.eyes()).thenReturn(new GlowingEyes(List.of(eye)));
        Spots spots = new Spots(mock(Neutrals.class), eyes);
        assertEquals(Optional.empty(), spots.foundEye());
        verdict.set(Optional.of(new EyeMending.Verdict.Found(0)));
        assertEquals(Optional.empty(), spots.foundEye());
        verdict.set(Optional.of(new EyeMending.Verdict.Found(1)));
        assertEquals(Optional.of(eye.centre()), spots.foundEye());
    }
}
