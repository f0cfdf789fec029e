package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import nexa.core.geometry.Frame;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PresetTest {
    /** A paper's shape is its size's: the frame of a preset needs no white strip and no cut. */
    @ParameterizedTest
    @EnumSource(Preset.class)
    void preset_shapeAndSizeAgree(Preset preset) {
        Format format = preset.format();
        double aspect = ((Shape.Ratio) format.shape()).aspect();
        Frame frame = new Frame(0, 0, aspect, 1);
        var size = format.target().asked(frame).orElseThrow();
        assertEquals(aspect, size.aspect(), 1.0 / Math.min(size.width(), size.height()));
        assertTrue(format.target() instanceof SizeTarget.Print || format.target() instanceof SizeTarget.Pixels);
    }

    @Test
    void of_aKind_isEachPresetOnce() {
        List<Preset> all = Stream.of(Preset.Kind.values())
                .flatMap(kind -> Preset.of(kind).stream())
                .toList();
        assertEquals(List.of(Preset.values()), all);
        assertEquals(Preset.A6, Preset.of(Preset.Kind.ISO).getFirst());
        assertEquals(Preset.INCH_4_6, Preset.of(Preset.Kind.INCH).getFirst());
    }
}
