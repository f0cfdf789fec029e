package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import nexa.cli.base.ExitCode;
import nexa.cli.base.UsageWords;
import nexa.words.Words;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;
import picocli.CommandLine.ParameterException;

/** What is said of command lines that cannot be understood. */
class UsageWordsTest extends CommandTest {
    @BeforeEach
    void speakGerman() {
        Words.speak(() -> "de");
    }

    @AfterEach
    void speakAsBefore() {
        Words.speak(() -> "en");
    }

    private static String saidOf(String... arguments) {
        CommandLine line = Main.commands(arguments).setCaseInsensitiveEnumValuesAllowed(true);
        ParameterException wrong = assertThrows(ParameterException.class, () -> line.parseArgs(arguments));
        return UsageWords.of(wrong, arguments);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            photos kiln --sice 3             | --sice: Diese Option gibt es hier nicht.
            photos                           | Es fehlt: FOLDER
            crop kiln --tilt                 | --tilt braucht einen Wert.
            crop kiln --tilt 1 --tilt 2      | --tilt ist mehr als einmal angegeben.
            crop kiln --tilt steil           | --tilt: „steil“ ist kein Wert dafür. Es ist eine Zahl.
            crop kiln --mirror ja            | --mirror: „ja“ ist kein Wert dafür. Es ist eines von diesen: true, false.
            mark kiln --json --suggest --clear | Davon geht nur eines auf einmal: --suggest, --clear
            sidecars kiln                    | Eines davon fehlt: --write, --read, --in-step, --not-in-step
            """)
    void isSaidInTheLanguageThatIsSet(String line, String said) {
        assertEquals(said, saidOf(line.split(" ")));
    }

    @Test
    void unknownCommand_isToldWithThoseThatAreAlike() {
        String said = saidOf("handovr", "kiln");
        assertTrue(said.startsWith("handovr: Diesen Befehl gibt es nicht"), said);
        assertTrue(said.contains("Gemeint ist vielleicht: ") && said.contains("handover"), said);
    }

    /** A folder may be called so; to the library that reads command lines it is a file that holds arguments. */
    @Test
    void whatBeginsWithAt_isTakenAsItStands() {
        assertTrue(saidOf("photos", "kiln", "@" + folder).startsWith("@" + folder + ": "));
    }

    @Test
    void formatOfAnEmptyBrief_isToldWithHowToAddOne() {
        assertEquals(ExitCode.WRONG_USAGE, run("formats", shoot(), "--note", "Print=large"));
        assertTrue(said().contains("--add NAME=4:5"), this::said);
    }

    @Test
    void isWhatACommandLineEndsWith() {
        assertEquals(ExitCode.WRONG_USAGE, run("crop", shoot(), "--tilt", "steep"));
        assertTrue(said().contains("--tilt"), this::said);
        assertTrue(said().contains("steep"), this::said);
        assertTrue(said().contains("nexa crop --help"), this::said);
    }
}
