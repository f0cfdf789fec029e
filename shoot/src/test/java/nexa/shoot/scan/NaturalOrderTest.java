package nexa.shoot.scan;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class NaturalOrderTest {
    /** Zeros in front, letters of both cases, digits of other scripts, and what stands before and after digits. */
    private static final String CHARACTERS = "0012aAbz-._ é１٣";

    private static final int NAMES = 150;

    private static void assertOrder(String... names) {
        List<String> mixed = new ArrayList<>(List.of(names));
        Collections.shuffle(mixed, new Random(1));
        mixed.sort(NaturalOrder.INSTANCE);
        assertEquals(List.of(names), mixed);
    }

    @Test
    void numbersCountByValue_andLettersInBothCases() {
        assertOrder("IMG_2.jpg", "img_9.jpg", "IMG_10.jpg", "IMG_11 b.jpg", "IMG_011.jpg", "img_100.jpg", "kiln.jpg");
    }

    @Test
    void numbersMayBeOfAnyLength() {
        assertOrder("p1" + "0".repeat(30) + ".jpg", "p2" + "0".repeat(30) + ".jpg", "p1" + "0".repeat(31) + ".jpg");
    }

    @Test
    void digitsOfOtherScripts_areLetters() {
        assertOrder("2.jpg", "2１a.jpg", "2２b.jpg", "3.jpg", "１枚目.jpg", "２枚目.jpg");
    }

    @Test
    void nameThatGoesOn_comesAfter() {
        assertOrder("a1", "a01", "a0001", "a1b", "a01b", "a1c");
    }

    /** Sorting many names fails otherwise. */
    @Test
    void anyNamesHaveOneOrder() {
        Random random = new Random(7);
        List<String> names = new ArrayList<>();
        for (int i = 0; i < NAMES; i++) {
            StringBuilder name = new StringBuilder();
            for (int length = random.nextInt(6); length >= 0; length--) {
                name.append(CHARACTERS.charAt(random.nextInt(CHARACTERS.length())));
            }
            names.add(name.toString());
        }
        for (String a : names) {
            for (String b : names) {
                int order = Integer.signum(NaturalOrder.INSTANCE.compare(a, b));
                assertEquals(-order, Integer.signum(NaturalOrder.INSTANCE.compare(b, a)), a + " and " + b);
                assertEquals(a.equals(b), order == 0, a + " and " + b);
                for (String c : names) {
                    if (order < 0 && NaturalOrder.INSTANCE.compare(b, c) < 0) {
                        assertTrue(NaturalOrder.INSTANCE.compare(a, c) < 0, a + ", " + b + ", " + c);
                    }
                }
            }
        }
    }
}
