package nexa.desktop.session;

import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import javafx.util.Subscription;

/** Several values that one thing depends on. */
public final class Follow {
    private Follow() {}

    /** Does something at once, and again whenever one of the values changes. */
    public static Subscription each(Runnable refresh, ObservableValue<?>... values) {
        Subscription changes = Subscription.combine(Stream.of(values)
                .map(value -> value.subscribe((before, now) -> refresh.run()))
                .toArray(Subscription[]::new));
        refresh.run();
        return changes;
    }
}
