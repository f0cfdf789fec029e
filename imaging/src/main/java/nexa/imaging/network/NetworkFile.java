package nexa.imaging.network;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_dnn.Net;

/** A network that ships with the program. */
public final class NetworkFile {
    private NetworkFile() {}

    /** Makes a network of a file's bytes. */
    @FunctionalInterface
    public interface Format {
        Net read(BytePointer bytes, long count);
    }

    /**
     * Reads a network.
     *
     * @param finder whose package the file lies in
     * @throws IllegalStateException if this build does not have it
     */
    public static Net read(Class<?> finder, String name, Format format) {
        try (InputStream file = finder.getResourceAsStream(name)) {
            if (file == null) {
                throw new IllegalStateException("the network " + name + " is not in this build");
            }
            byte[] bytes = file.readAllBytes();
            try (BytePointer pointer = new BytePointer(bytes)) {
                return format.read(pointer, bytes.length);
            }
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}
