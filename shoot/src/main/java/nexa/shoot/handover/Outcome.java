package nexa.shoot.handover;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What became of one delivery. */
public sealed interface Outcome {
    Delivery delivery();

    /**
     * Written, read back and found good.
     *
     * @param bytes its length
     * @param sha256 of its content, in hexadecimal digits
     * @param damaged whether parts of its photo are damaged, so that what shows there is a decoder's guess
     * @param notes what of the photo's metadata was left out that nobody asked to leave out, in words for the user
     */
    record Written(Delivery delivery, long bytes, String sha256, boolean damaged, List<String> notes)
            implements Outcome {
        public Written {
            notes = List.copyOf(notes);
        }

        /** What whoever gets the file should know, in words; empty if nothing. */
        public String remarks() {
            Stream<String> damage = damaged ? Stream.of("parts of the photo are damaged") : Stream.empty();
            return Stream.concat(damage, notes.stream()).collect(Collectors.joining("; "));
        }
    }

    /** @param reason in plain words */
    record Failed(Delivery delivery, String reason) implements Outcome {}
}
