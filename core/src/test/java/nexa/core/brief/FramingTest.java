package nexa.core.brief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
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

    @Test
    void whatIsSeen_isKnownRatherThanAsked() {
        Sight left = new Sight(List.of(), Optional.of(new Frame(-0.3, 0, 0.1, 0.1)), 0);
        Framing seen = Framing.UNTOUCHED.withSubject(Subject.UNKNOWN.seen(left));
        Framing aside = Framing.UNTOUCHED.withSetAside(true);
        assertTrue(seen.isUntouched());
        assertFalse(aside.isUntouched());
        assertTrue(seen.withSetAside(true).asksTheSame(aside));
        assertFalse(seen.asksTheSame(aside));
        assertEquals(seen.withSetAside(true), aside.knowing(seen));
        assertEquals(seen.unmarked(), seen.unmarked().knowing(seen), "it knows that nothing is to be seen");
        assertEquals(Optional.of(Sight.NONE), seen.unmarked().subject().sight());
        assertEquals(aside, aside.knowing(Framing.UNTOUCHED));
    }

    @Test
    void changes_keepWhatTheyAreNotAbout() {
        Format format = Brief.EMPTY.with("A", Shape.parse("4:5")).formats().getFirst();
        Crop crop = new Crop(new Frame(0, 0, 0.5, 0.4));
        Marks marks = new Marks(List.of(new Point(0.1, 0.2)));
        Framing framing = Framing.UNTOUCHED.withCrop(format, crop).withMarks(marks);
        Framing aside = framing.withSetAside(true);
        assertTrue(aside.setAside());
        assertEquals(framing, aside.withSetAside(false));
        assertEquals(Marks.NONE, aside.unmarked().marks());
        assertEquals(aside.crops(), aside.unmarked().crops());
        assertTrue(aside.unmarked().setAside());
    }

    @Test
    void fill_isTheCropsOwn_elseTheFormats() {
        Format format = Brief.EMPTY.with("A", Shape.parse("4:5")).formats().getFirst();
        Format grey = format.filed(format.files().filled(Fill.parse("#808080")));
        Crop crop = new Crop(new Frame(0, 0, 0.5, 0.4));
        assertEquals(Fill.WHITE, Framing.UNTOUCHED.fill(format));
        assertEquals(Fill.parse("#808080"), Framing.UNTOUCHED.fill(grey));
        assertEquals(
                Fill.parse("#808080"), Framing.UNTOUCHED.withCrop(grey, crop).fill(grey));
        Crop own = crop.withFill(Optional.of(Fill.parse("mirror")));
        assertEquals(Fill.parse("mirror"), Framing.UNTOUCHED.withCrop(grey, own).fill(grey));
    }

    @Test
    void checked_isTheSameCrop_untilItIsChanged() {
        Crop crop = new Crop(new Frame(0, 0, 0.5, 0.4)).withFill(Optional.of(Fill.parse("mirror")));
        Crop checked = crop.asChecked();
        assertTrue(checked.checked());
        assertFalse(crop.checked());
        assertEquals(crop.wish(), checked.wish());
        assertEquals(crop.fill(), checked.fill());
        assertFalse(checked.withFill(Optional.empty()).checked());
        assertFalse(checked.withWish(new Frame(0, 0, 0.3, 0.24)).checked());
    }
}
