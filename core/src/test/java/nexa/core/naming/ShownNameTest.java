package nexa.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class ShownNameTest {
    @Test
    void ordinaryNames_showAsTheyAre() {
        for (String name : new String[] {"kiln_0201.jpg", "日本 – née.jpg", "خزف.jpg", "👩‍🎨 pot.jpg", ""}) {
            assertEquals(name, ShownName.of(name));
        }
    }

    @Test
    void controlsAndDirections_showAsAMark() {
        assertEquals("a\uFFFDgpj.exe", ShownName.of("a\u202Egpj.exe"));
        assertEquals("two\uFFFDlines", ShownName.of("two\nlines"));
        assertEquals("\uFFFD[31mred\uFFFD", ShownName.of("\u001B[31mred\u2028"));
    }
}
