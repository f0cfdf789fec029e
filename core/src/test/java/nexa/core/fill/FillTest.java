package nexa.core.fill;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import nexa.core.Cases;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.outline.Outline;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FillTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "white",
                "#a0b0c0",
                "transparent",
                "mirror",
                "stretch",
                "stretch 23.5 %",
                "stretch 4.0 %",
                "blur",
                "surroundings"
            })
    void text_isReadBack(String text) {
        assertEquals(text, Fill.parse(text).text());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "#12345", "pink", "stretch 0 %", "stretch 99 %", "#gggggg"})
    void whatIsNoFill_isRefused(String text) {
        assertThrows(IllegalArgumentException.class, () -> Fill.parse(text));
    }

    @Test
    void ofAPhoto_winsOverTheFormats() {
        Format format = Brief.EMPTY
                .with("One", new Shape.Ratio(1, 1))
                .formats()
                .getFirst()
                .filed(FileSettings.DEFAULT.filled(new Fill.Mirror()));
        Crop crop = new Crop(new Frame(0, 0, 0.5, 0.5));
        assertEquals(new Fill.Mirror(), crop.fill(format));
        assertEquals(
                new Fill.Blurred(),
                crop.withFill(Optional.of(new Fill.Blurred())).fill(format));
    }

    @Test
    void blankShare_isThatOfAFineGridOfPlaces() {
        Cases.some(60).forEach(cases -> {
            Outline photo = new PhotoSpace(
                            new PixelSize(300, 200), new Pose(Turn.NONE, new Tilt(cases.between(-20, 20))))
                    .outline();
            Frame frame = new Frame(cases.between(-0.4, 0.4), cases.between(-0.3, 0.3), 0.6, 0.5);
            int beyond = 0;
            int side = 60;
            for (int i = 0; i < side * side; i++) {
                boolean inside = photo.contains(frame.at((i % side + 0.5) / side, (i / side + 0.5) / side), 0);
                beyond += inside ? 0 : 1;
            }
            assertEquals((double) beyond / (side * side), Blank.share(photo, frame), 0.02);
        });
    }

    @Test
    void frameInThePhoto_hasNoBlank() {
        Outline photo = new PhotoSpace(new PixelSize(300, 200), Pose.AS_SHOT).outline();
        assertEquals(0, Blank.share(photo, new Frame(0, 0, 1, 2.0 / 3)));
        assertEquals(1, Blank.share(photo, new Frame(2, 2, 0.5, 0.5)), 1e-12);
    }

    @Test
    void isOfPhoto_ifItIsMadeOfItsPixels() {
        for (String made : new String[] {"mirror", "stretch", "blur", "surroundings"}) {
            assertTrue(Fill.parse(made).isOfPhoto(), made);
        }
        for (String plain : new String[] {"white", "#a0b0c0", "transparent"}) {
            assertFalse(Fill.parse(plain).isOfPhoto(), plain);
        }
    }
}
