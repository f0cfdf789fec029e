package nexa.cli.packaging;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

/** What the launcher and the package tell Java where the system does not say how names of files are encoded. */
@EnabledOnOs(OS.LINUX)
class LocaleTest {
    private static String told(Map<String, String> environment) throws IOException, InterruptedException {
        ProcessBuilder shell = new ProcessBuilder("sh", "-c", ". ../packaging/locale; echo \"${LC_ALL:-} $spoken\"")
                .redirectError(ProcessBuilder.Redirect.DISCARD);
        shell.environment().keySet().removeIf(name -> name.startsWith("LC_") || name.startsWith("LANG"));
        shell.environment().putAll(environment);
        Process process = shell.start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertTrue(process.waitFor(60, TimeUnit.SECONDS));
        return said.strip();
    }

    @Test
    void withoutALanguageNamesAreInUtf8() throws Exception {
        assertEquals("C.UTF-8", told(Map.of()));
        assertEquals("C.UTF-8", told(Map.of("LANG", "C")));
        assertEquals("C.UTF-8", told(Map.of("LC_ALL", "POSIX", "LANG", "C.UTF-8")));
    }

    @Test
    void aLanguageThatIsNotInstalledIsSpokenAllTheSame() throws Exception {
        assertEquals("C.UTF-8 -Duser.language=xx -Duser.country=YY", told(Map.of("LANG", "xx_YY.UTF-8")));
        assertEquals("C.UTF-8 -Duser.language=xx -Duser.country=YY", told(Map.of("LC_ALL", "xx_YY@euro")));
        assertEquals(
                "C.UTF-8 -Duser.language=xx -Duser.country=YY",
                told(Map.of("LANG", "zz_ZZ.UTF-8", "LC_MESSAGES", "xx_YY.UTF-8")));
    }

    @Test
    void whatTheSystemSaysStands() throws Exception {
        assertEquals("", told(Map.of("LANG", "C.UTF-8")));
        assertEquals("C.UTF-8", told(Map.of("LC_ALL", "C.UTF-8")));
    }
}
