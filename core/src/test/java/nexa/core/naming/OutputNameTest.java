package nexa.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OutputNameTest {
    @Test
    void next_holdsPhotoAndFormat() {
        assertEquals("kiln_0201_Print 8×10.jpg", new OutputName().next("kiln_0201.jpg", "Print 8×10", "jpg"));
    }

    @Test
    void next_collisionsAreNumberedOn() {
        OutputName names = new OutputName();
        assertEquals("a_F.jpg", names.next("a.jpg", "F", "jpg"));
        assertEquals("a_F-2.jpg", names.next("a.png", "F", "jpg"));
        assertEquals("A_F-3.jpg", names.next("A.tif", "F", "jpg"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"../../etc/passwd", "a/b", "c:\\d", "..", "x\u0000y", "<|>?*", " . "})
    void next_isOnePathElementWhateverTheFormatIsCalled(String format) {
        String name = new OutputName().next("photo.jpg", format, "png");
        assertFalse(name.matches(".*[/\\\\:*?\"<>|\\x00].*"), name);
        assertTrue(name.startsWith("photo_") && name.endsWith(".png"), name);
    }

    @Test
    void next_longNames_fitTheFileSystem() {
        String name = new OutputName().next("é".repeat(250) + ".jpg", "Print", "jpg");
        assertTrue(name.getBytes(StandardCharsets.UTF_8).length <= 210, name);
    }
}
