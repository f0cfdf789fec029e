package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.nio.ByteBuffer;
import java.util.List;
import java.util.Optional;

/**
 * An item of a HEIF file with the properties that hold for it, in their order.
 *
 * @param type {@code hvc1}, {@code av01}, {@code grid}, {@code Exif}, {@code mime}, …
 * @param content of a {@code mime} item the type of its content, else empty
 */
record HeifItem(int id, String type, String content, List<Box> properties) {
    /** What the first property of a type holds. */
    Optional<ByteBuffer> property(String name) {
        return properties.stream().filter(box -> box.is(name)).findFirst().map(box -> box.content()
                .slice());
    }

    ByteBuffer needed(String name) throws ImageProcessingException {
        return property(name).orElseThrow(() -> new ImageProcessingException("item " + id + " has no " + name));
    }
}
