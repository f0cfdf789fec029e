package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import nexa.cli.base.ExitCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MainTest {
    @Test
    void whereThereIsNoScreen_thatIsSaid_insteadOfWhatTheProgramMetThere(@TempDir Path home) throws Exception {
        ProcessBuilder start = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Duser.language=en",
                "-Dglass.platform=gtk",
                "-cp",
                System.getProperty("java.class.path"),
                Main.class.getName(),
                "open");
        start.environment().put("DISPLAY", ":4242");
        start.environment().put("NEXA_HOME", home.toString());
        Process window = start.redirectErrorStream(true).start();
        String said = new String(window.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(ExitCode.SOME_FAILED, window.waitFor(), said);
        assertTrue(said.contains("No window can be shown here: "), said);
        assertTrue(said.contains("nexa tour --out"), said);
        assertFalse(said.contains("\tat "), said);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/shoots/kiln", "./kiln", "shoots/kiln", ".", "..", "C:\\shoots\\kiln"})
    void folderByItsPath_isOpened(String folder) {
        assertArrayEquals(new String[] {"open", folder}, Main.opening(folder));
    }

    @ParameterizedTest
    @ValueSource(strings = {"photos", "kiln", "--help", "--data=/elsewhere", ""})
    void wordsAndOptions_areLeft(String word) {
        assertArrayEquals(new String[] {word, "/shoots/kiln"}, Main.opening(word, "/shoots/kiln"));
    }
}
