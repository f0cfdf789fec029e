package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.cli.base.ExitCode;
import org.junit.jupiter.api.Test;

class PackagingCommandsTest extends CommandTest {
    private static final List<String> SOME =
            List.of("photos", "formats", "crop", "level", "lens", "handover", "contact", "prints");

    private String printed(String command) {
        assertEquals(0, run(command), this::said);
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void version_saysWhichBuildItIs() {
        String said = printed("--version");
        assertTrue(said.matches("(?s)Nexa \\d+\\.\\d+\\.\\d+\nBuild \\w+ of \\d{4}-.*\nJava 25.*"), said);
    }

    @Test
    void manual_hasAllCommandsAndWhatTheyTake() {
        String page = printed("manual");
        assertTrue(page.startsWith(".TH NEXA 1\n.SH NAME\nnexa \\- "), page);
        for (String command : SOME) {
            assertTrue(page.contains(".SS nexa " + command + " FOLDER"), command);
        }
        assertTrue(page.contains("\\fB\\-\\-long\\-edge\\fR=\\fI"), "options with their values");
        assertFalse(page.contains("nexa manual"), "what nobody types is not told of");
        assertTrue(
                page.lines().noneMatch(line -> line.contains("%n") || line.contains("%%")),
                "patterns of the usage help are filled");
    }

    @Test
    void completion_isAScriptThatBashTakes() throws IOException, InterruptedException {
        Path script = Files.writeString(base.resolve("completion"), printed("completion"));
        assertEquals(
                0, new ProcessBuilder("bash", "-n", script.toString()).start().waitFor());
        String asked = "source " + script + "; COMP_WORDS=(nexa hand); COMP_CWORD=1; "
                + "$(complete -p nexa | sed 's/.*-F \\([^ ]*\\).*/\\1/') nexa hand nexa; echo \"${COMPREPLY[@]}\"";
        Process bash = new ProcessBuilder("bash", "-c", asked).start();
        assertEquals("handover", new String(bash.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip());
    }

    @Test
    void oneNamedCommand_isReadAsAmongAll() {
        assertEquals(0, run("handover", "--help"));
        String alone = out.toString(StandardCharsets.UTF_8);
        assertTrue(alone.startsWith("Usage: nexa handover "), alone);
        assertEquals(ExitCode.WRONG_USAGE, run("handovr", shoot()));
        assertTrue(said().contains("handovr"), this::said);
    }
}
