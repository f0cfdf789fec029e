package nexa.imaging.probe;

import com.drew.metadata.Directory;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Optional;
import java.util.Set;

/**
 * PNGs with pictures that follow each other (PNG, third edition, 4.9). Whoever shows none of them shows the still picture, which
 * need not be one of them.
 */
public final class MovingPng {
    static final String CONTROL = "acTL";

    private static final Set<String> OF_MOVEMENT = Set.of(CONTROL, "fcTL", "fdAT");

    private MovingPng() {}

    /** Among a PNG's headers if it moves; what else it says of that is of no use here. */
    static final class Said extends Directory {
        @Override
        public String getName() {
            return "PNG-" + CONTROL;
        }

        @Override
        protected HashMap<Integer, String> getTagNameMap() {
            return new HashMap<>();
        }
    }

    /** The same file without what moves. What is no whole chunk is kept as it is. */
    public static byte[] still(byte[] png) {
        try {
            return still(png, Bytes.of(png));
        } catch (IOException never) { // memory can be read
            throw new UncheckedIOException(never);
        }
    }

    private static byte[] still(byte[] png, Bytes bytes) throws IOException {
        ByteArrayOutputStream still = new ByteArrayOutputStream(png.length);
        int done = 0;
        Optional<PngChunk> next = PngChunk.first(bytes);
        while (next.isPresent()) {
            PngChunk chunk = next.get();
            if (OF_MOVEMENT.contains(chunk.type()) && chunk.isWholeIn(png.length)) {
                still.write(png, done, (int) chunk.at() - done);
                done = (int) chunk.end();
            }
            next = chunk.next(bytes);
        }
        still.write(png, done, png.length - done);
        return still.toByteArray();
    }
}
