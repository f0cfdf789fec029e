package nexa.core.trim;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FoundSideTest {
    private static FoundSide of(int red, int green, int blue, int opacity) {
        return new FoundSide(12, red, green, blue, opacity, 1, 1, false);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, 255, true, false, false",
        "24, 24, 24, 255, true, false, false",
        "24, 25, 24, 255, false, false, false",
        "255, 255, 255, 255, false, true, false",
        "231, 240, 255, 255, false, true, false",
        "230, 255, 255, 255, false, false, false",
        "120, 40, 30, 255, false, false, false",
        "120, 40, 30, 127, false, false, true",
        "120, 40, 30, 128, false, false, false",
    })
    void usualColours_areNearlyBlackNearlyWhiteAndNothing(
            int red, int green, int blue, int opacity, boolean black, boolean white, boolean nothing) {
        FoundSide side = of(red, green, blue, opacity);
        assertEquals(black, side.isBlack());
        assertEquals(white, side.isWhite());
        assertEquals(nothing, side.isTransparent());
        assertEquals(black || white || nothing, side.isUsual());
    }

    @Test
    void finding_isAcceptedWithoutRefusal_andProposedWithATrim() {
        Trim trim = Trim.NONE;
        TrimFinding nothing = TrimFinding.nothing(TrimRefusal.ONE_SIDE);
        assertFalse(nothing.accepted());
        assertFalse(nothing.isProposed());
        assertEquals(Optional.of(TrimRefusal.ONE_SIDE), nothing.refusal());
        assertEquals(Map.of(), nothing.sides());
        assertTrue(new TrimFinding(trim, 1, Optional.empty(), Map.of(Side.LEFT, of(0, 0, 0, 255))).accepted());
    }
}
