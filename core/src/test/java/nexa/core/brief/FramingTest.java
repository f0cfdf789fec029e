package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Map;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.shape.Shape;
import org.junit.jupiter.api.Test;

class FramingTest {
    @Test
    void onlyOf_forgetsRemovedFormatsAlone() {
        Brief brief = Brief.EMPTY.with("A", Shape.parse("4:5")).with("B", Shape.parse("1:1"));
        Crop crop = new Crop(new Frame(0, 0, 0.5, 0.4));
        OverlayChoice overlay = OverlayChoice.of(Overlay.GRID);
        Framing framing = Framing.UNTOUCHED
                .withCrop(brief.formats().getFirst(), crop)
                .withCrop(brief.formats().getLast(), crop)
                .keeping(brief.formats().getFirst(), new Alternate("wide", crop))
                .withOverlay(overlay);
        Framing fewer = framing.onlyOf(brief.without(brief.formats().getFirst()));
        assertEquals(Map.of(2, crop), fewer.crops());
        assertEquals(Map.of(), fewer.alternates());
        assertEquals(Optional.of(overlay), fewer.overlay());
        assertEquals(framing, framing.onlyOf(brief));
    }
}
