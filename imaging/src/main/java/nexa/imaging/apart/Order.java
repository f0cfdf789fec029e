package nexa.imaging.apart;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import nexa.imaging.apart.decoder.Kind;

/**
 * What a process apart is to do.
 *
 * @param factor 1, 2, 4 or 8: how much smaller the pixels may be; {@link #THUMBNAIL} for the small picture in the file
 * @param brightness of raw data: how light the camera showed it, 0 to 1; 0 if that is not known
 * @param sizeOnly whether no pixels are wanted
 */
record Order(Kind kind, Path file, int factor, double brightness, boolean sizeOnly) {
    static final int THUMBNAIL = 127;

    static Order pixels(Kind kind, Path file, int factor, double brightness) {
        return new Order(kind, file, factor, brightness, false);
    }

    static Order sensor(Path file) {
        return new Order(Kind.RAW, file, 1, 0, true);
    }

    void write(DataOutputStream out) throws IOException {
        out.writeByte(kind.ordinal());
        out.writeUTF(file.toString());
        out.writeByte(factor);
        out.writeDouble(brightness);
        out.writeBoolean(sizeOnly);
        out.flush();
    }

    static Order read(DataInputStream in) throws IOException {
        return new Order(
                Kind.values()[in.readByte()], Path.of(in.readUTF()), in.readByte(), in.readDouble(), in.readBoolean());
    }
}
