package nexa.shoot.handover;

import java.util.List;
import java.util.stream.Stream;
import nexa.core.told.Told;

/** What became of one delivery. */
public sealed interface Outcome {
    Delivery delivery();

    /**
     * Written, read back and found good.
     *
     * @param bytes its length
     * @param sha256 of its content, in hexadecimal digits
     * @param damaged whether parts of its photo are damaged, so that what shows there is a decoder's guess
     * @param notes what of the photo's metadata was left out that nobody asked to leave out
     */
    record Written(Delivery delivery, long bytes, String sha256, boolean damaged, List<Told> notes) implements Outcome {
        public Written {
            notes = List.copyOf(notes);
        }

        /** What whoever gets the file should know. */
        public List<Told> remarks() {
            Stream<Told> damage = damaged ? Stream.of(Told.of("told.note.damaged")) : Stream.empty();
            return Stream.concat(damage, notes.stream()).toList();
        }
    }

    record Failed(Delivery delivery, Told reason) implements Outcome {}
}
