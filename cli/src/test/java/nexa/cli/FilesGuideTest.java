package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import nexa.imaging.file.FileKind;
import org.junit.jupiter.api.Test;

/** The list of what is read is one: the guide says what the scan looks for. */
class FilesGuideTest {
    private static final Path GUIDE = Path.of("..", "docs", "files.md");

    @Test
    void guide_namesAllKindsThatTheWindowSaysItLooksFor() throws IOException {
        String guide = Files.readString(Path.of("..", "docs", "guide.md"));
        for (String title : FileKind.titles().split(", ")) {
            assertTrue(guide.contains(title), title);
        }
    }

    @Test
    void guide_listsTheEndingsThatTheScanLooksFor_andTestsThatAreThere() throws IOException {
        Set<String> said = new TreeSet<>();
        Set<String> tests = new TreeSet<>();
        for (String line : Files.readAllLines(GUIDE)) {
            String[] cells = line.split("\\|");
            if (cells.length == 10 && !cells[1].isBlank() && !cells[1].contains("---") && !cells[1].contains("kind")) {
                if (!cells[2].contains("the same")) {
                    said.addAll(Arrays.asList(cells[2].strip().split(" ")));
                }
                tests.addAll(Arrays.asList(cells[9].replace("`", "").strip().split(", ")));
            }
        }
        assertEquals(new TreeSet<>(FileKind.allEndings()), said);
        for (String test : tests) {
            assertTrue(
                    Files.exists(Path.of(
                            "..", "imaging", "src", "test", "java", "nexa", "imaging", "codec", test + ".java")),
                    test);
        }
    }
}
