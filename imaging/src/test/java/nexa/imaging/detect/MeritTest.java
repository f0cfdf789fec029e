package nexa.imaging.detect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.detect.Merit.Eyes;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** How often closed eyes of real people are told is measured in the bench. */
class MeritTest {
    private static Merit of(Eyes... eyes) {
        return new Merit(1, List.of(eyes));
    }

    private static Eyes at(double x, double open) {
        return new Eyes(new Point(x, 0), 0.1, open);
    }

    @Test
    void lidsNearerTogetherThanTheSamePersons_areClosed() {
        assertTrue(of(at(0, 0.2)).isAsleepBeside(of(at(0.02, 0.3))));
        assertFalse(of(at(0, 0.28)).isAsleepBeside(of(at(0.02, 0.3))), "as open");
        assertFalse(of(at(0, 0.3)).isAsleepBeside(of(at(0.02, 0.2))), "the other way round");
    }

    @Test
    void narrowEyes_areNotClosed_besideSomebodyElses() {
        Merit both = of(at(-0.3, 0.2), at(0.3, 0.35));
        assertFalse(both.isAsleepBeside(both));
        assertTrue(both.isAsleepBeside(of(at(-0.31, 0.3), at(0.3, 0.35))));
        assertFalse(both.isAsleepBeside(Merit.UNKNOWN));
    }

    /** The drawn face's eyes, open and half closed, are found and measured. */
    @Test
    void drawnFace_isMeasured_whereItsEyesAre(@TempDir Path base) throws Exception {
        try (Picture open = DrawnFace.picture(20);
                Picture narrow = DrawnFace.picture(2)) {
            Merit one = merit(open, base.resolve("open.jpg"));
            Merit other = merit(narrow, base.resolve("narrow.jpg"));
            assertEquals(1, one.eyes().size());
            assertEquals(0, one.eyes().getFirst().face().distance(new Point(600 / 1200.0, 480 / 1200.0)), 0.08);
            assertFalse(one.isAsleepBeside(other));
            assertTrue(other.isAsleepBeside(one), one + " " + other);
        }
    }

    private static Merit merit(Picture picture, Path file) throws Exception {
        Files.write(file, Encoder.plainJpeg(picture, 92));
        return Merit.of(new PreviewMaker(PhotoCodecs.STANDARD), file, TestPhotos.facts(file));
    }
}
