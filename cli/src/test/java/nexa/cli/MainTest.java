package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MainTest {
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
