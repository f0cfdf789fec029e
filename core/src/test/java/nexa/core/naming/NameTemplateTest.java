package nexa.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Random;
import nexa.core.geometry.PixelSize;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NameTemplateTest {
    private static NameTemplate.Values values(String any) {
        return new NameTemplate.Values(
                "Fennick Kiln", any, "Print 8×10", "4:5", 7, Optional.of("2026-09-21"), new PixelSize(2048, 1638));
    }

    @ParameterizedTest
    @CsvSource({
        "{photo}_{format}, kiln_0201_Print 8×10",
        "{format}/{number:4}, Print 8×10/0007",
        "{shoot} {date} {size}, Fennick Kiln 2026-09-21 2048x1638",
        "{PHOTO}-{ shape }, kiln_0201-4-5",
        "fixed, fixed"
    })
    void name_fillsTheTokens(String template, String expected) {
        assertEquals(expected, new NameTemplate(template).name(values("kiln_0201.jpg")));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "  ",
                "{photo",
                "photo}",
                "{foto}",
                "{}",
                "{photo:3}",
                "{number:0}",
                "{number:x}",
                "{{photo}}"
            })
    void anythingElse_isRefusedWithWords(String template) {
        String words = assertThrows(IllegalArgumentException.class, () -> new NameTemplate(template))
                .getMessage();
        assertTrue(words.startsWith("told.naming."), words);
    }

    @Test
    void undatedPhoto_saysSo() {
        NameTemplate.Values undated =
                new NameTemplate.Values("s", "p.jpg", "f", "1:1", 1, Optional.empty(), new PixelSize(1, 1));
        assertEquals("undated", new NameTemplate("{date}").name(undated));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "../../{photo}",
                "/etc/{photo}",
                "C:\\{photo}",
                "..",
                "../..",
                "{photo}/..",
                "//{photo}",
                "./{photo}",
                "~/{photo}",
                "con",
                "{photo}/NUL.txt",
                "lpt1",
                " . "
            })
    void name_staysBelowItsFolder(String template) {
        for (String photo :
                new String[] {"a.jpg", "../../etc/passwd", "..", "con.jpg", "x\u0000y.jpg", "é".repeat(300)}) {
            String name = new NameTemplate(template).name(values(photo));
            Path folder = Path.of("/out").toAbsolutePath();
            Path file = folder.resolve(name + ".jpg").normalize();
            assertTrue(file.startsWith(folder) && !file.equals(folder), template + " " + photo + ": " + name);
            for (String part : name.split("/")) {
                assertFalse(part.matches("(?i)(con|nul|lpt1)(\\..*)?|.*[\\\\:*?\"<>|\\x00].*|\\.*| .*|.* "), name);
                assertTrue(part.getBytes(StandardCharsets.UTF_8).length <= 201, name);
            }
        }
    }

    /** Random text of awkward characters, as template and as values. */
    @Test
    void anyText_staysBelowItsFolder() {
        Random random = new Random(11);
        String awkward = "./\\:*?\"<>| ~$%\u0000\u0007\u202eaé漢\n\t-";
        for (int i = 0; i < 2000; i++) {
            StringBuilder text = new StringBuilder();
            for (int k = random.nextInt(40); k >= 0; k--) {
                text.append(awkward.charAt(random.nextInt(awkward.length())));
            }
            String template = text.toString().isBlank() ? "-" : text.toString();
            String name = new NameTemplate(template + "{photo}")
                    .name(values(text.reverse().toString()));
            Path folder = Path.of("/out");
            assertTrue(folder.resolve(name).normalize().startsWith(folder), name);
            assertFalse(name.startsWith("/") || name.contains("..") && name.matches("(^|.*/)\\.\\.(/.*|$)"), name);
        }
    }
}
