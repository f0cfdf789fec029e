package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FileSettingsTest {
    @ParameterizedTest
    @EnumSource(FileType.class)
    void text_isReadBack(FileType type) {
        FileSettings settings = new FileSettings(type, 71);
        assertEquals(settings, FileSettings.parse(settings.text()));
    }

    @Test
    void parse_withoutQuality_takesTheUsual() {
        assertEquals(new FileSettings(FileType.PNG, 92), FileSettings.parse(" PNG "));
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpeg 80 srgb", "tiff 92 wide", "png 92 profile /a folder/lab paper.icc"})
    void text_withColours_isReadBack(String text) {
        assertEquals(text, FileSettings.parse(text).text());
    }

    @Test
    void parse_coloursWithoutQuality() {
        assertEquals(FileSettings.DEFAULT.coloured(DeliveredColour.SRGB), FileSettings.parse("jpeg sRGB"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "jpeg 90 blue",
                "jpeg 90 profile",
                "jpeg 90 srgb /a.icc",
                "gif",
                "jpeg 0",
                "jpeg 101",
                "jpeg much"
            })
    void parse_anythingElse_isRefusedWithWords(String text) {
        assertThrows(IllegalArgumentException.class, () -> FileSettings.parse(text));
    }

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
    void onlyOf_forgetsRemovedFormatsAlone() {
        Brief brief = Brief.EMPTY.with("A", Shape.parse("4:5")).with("B", Shape.parse("1:1"));
        Crop crop = new Crop(new Frame(0, 0, 0.5, 0.4));
        OverlayChoice overlay = OverlayChoice.of(Overlay.GRID);
        Framing framing = Framing.UNTOUCHED
                .with(brief.formats().getFirst(), crop)
                .with(brief.formats().getLast(), crop)
                .keeping(brief.formats().getFirst(), new Alternate("wide", crop))
                .with(overlay);
        Framing fewer = framing.onlyOf(brief.without(brief.formats().getFirst()));
        assertEquals(Map.of(2, crop), fewer.crops());
        assertEquals(Map.of(), fewer.alternates());
        assertEquals(Optional.of(overlay), fewer.overlay());
        assertEquals(framing, framing.onlyOf(brief));
    }
}
