package nexa.core.files;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import nexa.core.files.Description.Keep;
import nexa.core.files.Finish.Sharpening;
import nexa.core.pixel.Sharpened;
import org.junit.jupiter.api.Test;

class FinishTest {
    @Test
    void steps_areStronger_theMoreAMediumBlurs_andByTheirAmount() {
        assertEquals(List.of(), Finish.DEFAULT.steps());
        assertEquals(
                List.of(new Sharpened(0.6, 0.5)),
                Finish.DEFAULT.sharpened(Sharpening.SCREEN, 100).steps());
        assertEquals(
                List.of(new Sharpened(1.0, 0.4)),
                Finish.DEFAULT.sharpened(Sharpening.GLOSS, 50).steps());
        assertEquals(
                List.of(new Sharpened(1.3, 2.4)),
                Finish.DEFAULT.sharpened(Sharpening.MATT, 200).steps());
    }

    @Test
    void changes_keepTheRest() {
        Finish finish =
                Finish.DEFAULT.sharpened(Sharpening.MATT, 80).tagged(300).enlarged(150);
        assertEquals(new Finish(Sharpening.MATT, 80, 300, 150), finish);
    }

    @Test
    void numbers_beyondWhatIsAllowed_areRefused() {
        for (int amount : new int[] {0, Finish.MOST_AMOUNT + 1}) {
            assertThrows(IllegalArgumentException.class, () -> Finish.DEFAULT.sharpened(Sharpening.MATT, amount));
        }
        for (int ppi : new int[] {-1, 2401}) {
            assertThrows(IllegalArgumentException.class, () -> Finish.DEFAULT.tagged(ppi));
        }
        for (int percent : new int[] {99, Finish.MOST_ENLARGED + 1}) {
            assertThrows(IllegalArgumentException.class, () -> Finish.DEFAULT.enlarged(percent));
        }
        new Finish(Sharpening.OFF, 1, 2400, Finish.MOST_ENLARGED);
        new Finish(Sharpening.OFF, Finish.MOST_AMOUNT, 0, 100);
    }

    @Test
    void description_isAdded_withAnyWordsOfItsOwn() {
        assertFalse(Description.DEFAULT.isAdded());
        assertFalse(Description.DEFAULT.keeping(Keep.NONE, true).isAdded());
        assertTrue(Description.DEFAULT.saying("A. Potter", "", "").isAdded());
        assertTrue(Description.DEFAULT.saying("", "Fennick Kiln", "").isAdded());
        assertTrue(Description.DEFAULT.saying("", "", "A bowl").isAdded());
        assertEquals(
                new Description(Keep.CREDIT, true, "a", "b", "c"),
                Description.DEFAULT.saying(" a ", "b", "c").keeping(Keep.CREDIT, true));
    }

    @Test
    void description_ofOneLineAndNotTooLong() {
        assertThrows(IllegalArgumentException.class, () -> Description.DEFAULT.saying("a\nb", "", ""));
        assertThrows(IllegalArgumentException.class, () -> Description.DEFAULT.saying("", "x".repeat(2001), ""));
        assertEquals(
                2000,
                Description.DEFAULT.saying("", "", "x".repeat(2000)).caption().length());
    }

    @Test
    void fileTypes_sayWhatTheyHold() {
        assertEquals(List.of("jpg", "png", "tif", "webp"), all(FileType::extension));
        assertEquals(List.of("JPEG", "PNG", "TIFF", "WebP"), all(FileType::label));
        assertEquals(List.of(8, 16, 16, 8), all(FileType::mostBits));
        assertEquals(List.of(false, true, true, true), all(FileType::keepsAlpha));
        assertEquals(List.of(true, false, false, true), all(FileType::hasQuality));
        assertEquals(Optional.of(FileType.WEBP), FileType.named("webp"));
        assertEquals(Optional.empty(), FileType.named("gif"));
    }

    private static <T> List<T> all(Function<FileType, T> of) {
        return Stream.of(FileType.values()).map(of).toList();
    }
}
