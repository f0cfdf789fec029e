package nexa.imaging.metadata;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/**
 * Camera makers' own notes (EXIF tag 37500). Most point to places counted from the beginning of the file they were
 * written in, and say nonsense anywhere else; some count from their own beginning.
 */
final class MakerNotes {
    /** Beginnings of notes that count from themselves. */
    private static final List<byte[]> OF_THEIR_OWN = List.of(
            ascii("Nikon\0\2"), ascii("Apple iOS\0"), ascii("FUJIFILM"), ascii("OLYMPUS\0II"), ascii("OM SYSTEM\0"));

    private MakerNotes() {}

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    /** Whether they say the same in another file, and hold no picture, which would show what was cropped away. */
    static boolean mayMove(byte[] notes) {
        boolean own = OF_THEIR_OWN.stream()
                .anyMatch(beginning -> notes.length >= beginning.length
                        && Arrays.equals(notes, 0, beginning.length, beginning, 0, beginning.length));
        return own && !holdsPicture(notes);
    }

    /** The beginning of a JPEG. */
    private static boolean holdsPicture(byte[] notes) {
        for (int i = 0; i + 2 < notes.length; i++) {
            if (notes[i] == (byte) 0xFF && notes[i + 1] == (byte) 0xD8 && notes[i + 2] == (byte) 0xFF) {
                return true;
            }
        }
        return false;
    }
}
