package nexa.imaging.apart;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.apart.decoder.Kind;

/**
 * What a process apart is to do.
 *
 * @param factor 1, 2, 4 or 8: how much smaller the pixels may be
 * @param brightness of raw data: how light the camera showed it, 0 to 1; 0 if that is not known
 * @param pixels the file they are to be written into; empty if only the size is wanted
 */
record Order(Kind kind, Path file, int factor, double brightness, Optional<Path> pixels) {
    void write(DataOutputStream out) throws IOException {
        out.writeByte(kind.ordinal());
        out.writeUTF(file.toString());
        out.writeByte(factor);
        out.writeDouble(brightness);
        out.writeUTF(pixels.map(Path::toString).orElse(""));
        out.flush();
    }

    static Order read(DataInputStream in) throws IOException {
        Kind kind = Kind.values()[in.readByte()];
        Path file = Path.of(in.readUTF());
        int factor = in.readByte();
        double brightness = in.readDouble();
        String pixels = in.readUTF();
        return new Order(
                kind, file, factor, brightness, pixels.isEmpty() ? Optional.empty() : Optional.of(Path.of(pixels)));
    }
}
