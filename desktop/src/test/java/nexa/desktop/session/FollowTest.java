package nexa.desktop.session;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.util.Subscription;
import org.junit.jupiter.api.Test;

class FollowTest {
    private final SimpleIntegerProperty count = new SimpleIntegerProperty(1);
    private final SimpleStringProperty name = new SimpleStringProperty("one");
    private final List<String> seen = new ArrayList<>();

    @Test
    void each_isDoneOnceAtFirst_thenAtEveryChange_untilItEnds() {
        Subscription following =
                Follow.each(() -> seen.add(name.get() + " " + count.get()), count, name.map(String::toUpperCase), name);
        assertEquals(List.of("one 1"), seen);
        count.set(2);
        assertEquals(List.of("one 1", "one 2"), seen);
        count.set(2);
        assertEquals(2, seen.size(), "nothing changed");
        following.unsubscribe();
        count.set(3);
        name.set("three");
        assertEquals(2, seen.size());
    }
}
