package nexa.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class OutputNameTest {
    @Test
    void next_collisionsAreNumberedOn() {
        OutputName names = new OutputName();
        assertEquals("Print/a_F.jpg", names.next("Print/a_F", "jpg"));
        assertEquals("Print/a_F-2.jpg", names.next("Print/a_F", "jpg"));
        assertEquals("print/A_F-3.jpg", names.next("print/A_F", "jpg"));
        assertEquals("Print/a_F.png", names.next("Print/a_F", "png"));
    }
}
