package nexa.desktop.find;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.stream.Stream;
import nexa.desktop.find.Findable.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FindingTest {
    private static final List<Findable> ALL = Stream.of(
                    "automatic level", "level line", "mirror left and right", "Größe", "Banner 16:9", "kiln_0204.jpg")
            .map(words -> new Findable(Kind.COMMAND, words, "", () -> {}))
            .toList();

    private static String found(String typed, int most) {
        return String.join(
                "|", Finding.of(ALL, typed, most).stream().map(Findable::words).toList());
    }

    @ParameterizedTest
    @CsvSource({
        "level, level line|automatic level",
        "LEV, level line|automatic level",
        "lev auto, automatic level",
        "right left, mirror left and right",
        "groß, Größe",
        "grosse, ''",
        "GRÖSSE, ''",
        "grö, Größe",
        "gro, Größe",
        "16:9, Banner 16:9",
        "0204, kiln_0204.jpg",
        "level banner, ''",
    })
    void everyTypedWordFits_theBestFirst(String typed, String names) {
        assertEquals(names, found(typed, 9));
    }

    @Test
    void nothingTyped_isAll_asManyAsThereIsRoomFor() {
        assertEquals("automatic level|level line", found("  ", 2));
    }
}
