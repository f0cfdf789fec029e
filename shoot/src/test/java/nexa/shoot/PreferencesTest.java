package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PreferencesTest {
    @TempDir
    Path base;

    private Locations locations() {
        return new Locations(base.resolve("data"), base.resolve("cache"));
    }

    @Test
    void put_isThereAtTheNextStart() {
        try (Preferences first = Preferences.open(locations())) {
            first.put("mat", "0.5");
            first.put("mat", "0.7");
            assertEquals(Optional.of("0.7"), first.get("mat"));
        }
        try (Preferences second = Preferences.open(locations())) {
            assertEquals(Optional.of("0.7"), second.get("mat"));
        }
    }

    @Test
    void put_inTwoWindows_keepsBoth() {
        try (Preferences one = Preferences.open(locations());
                Preferences other = Preferences.open(locations())) {
            one.put("a", "1");
            one.close();
            other.put("b", "2");
        }
        try (Preferences later = Preferences.open(locations())) {
            assertEquals(Optional.of("1"), later.get("a"));
            assertEquals(Optional.of("2"), later.get("b"));
        }
    }

    @Test
    void open_damagedFile_startsWithDefaultsAndMendsIt() throws IOException {
        Path file = locations().data().resolve("settings.json");
        Files.createDirectories(file.getParent());
        Files.writeString(file, "{ \"mat\": ");
        try (Preferences preferences = Preferences.open(locations())) {
            assertTrue(preferences.get("mat").isEmpty());
            preferences.put("mat", "1");
        }
        assertTrue(Files.readString(file).contains("\"mat\" : \"1\""));
        assertEquals("{ \"mat\": ", Files.readString(file.resolveSibling("settings.json.damaged")));
    }

    /** A hand may have written them. */
    @ParameterizedTest
    @ValueSource(strings = {"null", "[]", "7", "", "{\"mat\": null}", "{\"mat\": {\"deep\": 1}}"})
    void open_otherJson_startsWithDefaults(String text) throws IOException {
        Path file = locations().data().resolve("settings.json");
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
        try (Preferences preferences = Preferences.open(locations())) {
            assertTrue(preferences.get("mat").isEmpty());
        }
    }

    @Test
    void open_numbersAndOneValueThatIsNone_keepsTheOthers() throws IOException {
        Path file = locations().data().resolve("settings.json");
        Files.createDirectories(file.getParent());
        Files.writeString(file, "{\"ppi\": 300, \"pen\": true, \"deep\": [1], \"mat\": \"AUTO\"}");
        try (Preferences preferences = Preferences.open(locations())) {
            assertEquals(Optional.of("300"), preferences.get("ppi"));
            assertEquals(Optional.of("true"), preferences.get("pen"));
            assertEquals(Optional.of("AUTO"), preferences.get("mat"));
            assertTrue(preferences.get("deep").isEmpty());
        }
    }
}
