package nexa.core.lens.data;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Set;
import org.junit.jupiter.api.Test;

class LensNameTest {
    private static LensName name(String text) {
        return LensName.of(text, Set.of("kiln"));
    }

    @Test
    void words_areNumbersAndRunsOfLetters_withoutWhatSaysNothing() {
        assertEquals(Set.of("ef", "24", "105", "4", "l", "is"), LensName.words("EF24-105mm f/4.0L IS"));
        assertEquals(Set.of("50", "1.8"), LensName.words("50mm F1.80 lens"));
        assertEquals(Set.of("50", "1.4"), LensName.words("50mm 1.4."), "a point at the end is none of the number");
        assertEquals(Set.of("35", "2", "art"), LensName.words("35mm f/2.0 Art 012"), "a model's number tells nothing");
        assertEquals(Set.of("0.5", "x"), LensName.words("0.5x"));
        assertEquals(Set.of("0", "x"), LensName.words("0 x"));
        assertEquals(Set.of("35"), LensName.words("35mm | Art 07"), "what series it is of");
        assertEquals(Set.of("35"), LensName.words("|35mm"));
        assertEquals(Set.of("100", "macro"), LensName.words("Macro 100mm"));
        assertEquals(Set.of(), LensName.words(" -/ "));
    }

    @Test
    void numbers_areThoseAmongTheWords_andMakersAreLeftOut() {
        assertEquals(new LensName(Set.of("ef", "50", "1.8"), Set.of("50", "1.8")), name("Kiln EF 50mm f/1.8"));
    }

    @Test
    void likeness_isTheShareOfWords_ofLensesOfTheSameNumbers() {
        assertEquals(1, name("EF 50mm f/1.8").likeness(name("Kiln 50mm 1:1.8 EF".replace("1:", "f/"))), 1e-12);
        assertEquals(0.8, name("50mm f/1.8").likeness(name("EF 50mm f/1.8")), 1e-12);
        assertEquals(0, name("EF 50mm f/1.8").likeness(name("EF 50mm f/1.4")));
        assertEquals(0, name("EF 50mm f/1.8").likeness(name("EF 50mm")));
        assertEquals(0, name("Kiln").likeness(name("EF")));
        assertEquals(0, name("EF").likeness(name("")));
    }

    /** A short name whose words are all there is that lens, if its numbers tell it from others. */
    @Test
    void likeness_ofAShortName_isAtLeastThatOfOneContained() {
        LensName longer = name("EF 24-105mm f/4 L IS USM Macro Zoom Deluxe Edition");
        assertEquals(0.6, name("24-105mm f/4").likeness(longer), 1e-12);
        assertTrue(name("macro 50mm").likeness(name("50mm a b c d e f g macro")) < 0.6, "one number is too little");
        assertTrue(name("24-105mm f/4 other").likeness(longer) < 0.6, "a word that is not there");
    }
}
