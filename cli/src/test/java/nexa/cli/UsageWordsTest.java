package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import nexa.cli.base.ExitCode;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.words.Languages;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is said of command lines that cannot be understood, in the language that is set. */
class UsageWordsTest extends CommandTest {
    private String before;

    @BeforeEach
    void speakGerman() {
        try (Preferences preferences = Preferences.open(Locations.ofThisUser())) {
            before = preferences.get(Languages.SETTING).orElse(Languages.AS_SYSTEM);
        }
        speak("de");
    }

    @AfterEach
    void speakAsBefore() {
        speak(before);
    }

    private static void speak(String language) {
        try (Preferences preferences = Preferences.open(Locations.ofThisUser())) {
            preferences.put(Languages.SETTING, language);
        }
    }

    private void assertSaid(String words, String... arguments) {
        assertEquals(ExitCode.WRONG_USAGE, run(arguments));
        assertTrue(said().contains(words), this::said);
        assertTrue(said().contains("Siehe: nexa"), this::said);
    }

    @Test
    void unknownCommand_isTold_withWhatIsAlike() {
        assertSaid("handovr: Diesen Befehl gibt es nicht", "handovr", shoot());
        assertTrue(said().contains("Gemeint ist vielleicht: "), this::said);
        assertTrue(said().contains("handover"), this::said);
    }

    @Test
    void unknownOption_isTold() {
        assertSaid("--sice: Diese Option gibt es hier nicht.", "photos", shoot(), "--sice", "3");
    }

    @Test
    void missingFolder_isTold() {
        assertSaid("Es fehlt: ", "photos");
    }

    @Test
    void optionWithoutValue_isTold() {
        assertSaid("--tilt braucht einen Wert.", "crop", shoot(), "--tilt");
    }

    @Test
    void optionGivenTwice_isTold() {
        assertSaid("--tilt ist mehr als einmal angegeben.", "crop", shoot(), "--tilt", "1", "--tilt", "2");
    }

    @Test
    void optionsThatExcludeEachOther_areTold() {
        assertSaid("Davon geht nur eines auf einmal: --suggest, --clear", "mark", shoot(), "--suggest", "--clear");
        assertSaid("Eines davon fehlt: --write, --read", "sidecars", shoot());
    }

    @Test
    void wordsForANumber_areTold() {
        assertSaid("--tilt: „steil“ ist kein Wert dafür. Es ist eine Zahl.", "crop", shoot(), "--tilt", "steil");
    }

    @Test
    void whatACommandItselfRefuses_isSaidInTheSameLanguage() {
        assertEquals(ExitCode.WRONG_USAGE, run("crop", shoot(), "--turn", "45"));
        assertFalse(said().contains("Invalid") || said().contains("must"), this::said);
    }

    @Test
    void inEnglish_itIsEnglish() throws IOException {
        speak("en");
        assertEquals(ExitCode.WRONG_USAGE, run("crop", shoot(), "--tilt", "steep"));
        assertTrue(said().contains("--tilt: “steep” is not a value for it. It is a number."), this::said);
    }
}
