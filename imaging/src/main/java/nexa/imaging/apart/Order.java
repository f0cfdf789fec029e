package nexa.imaging.apart;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import nexa.imaging.apart.decoder.Demosaic;
import nexa.imaging.apart.decoder.Development;
import nexa.imaging.apart.decoder.Kind;

/** What a process apart is to do. As bytes: which of these it is, the file, and what else it says. */
sealed interface Order {
    Path file();

    /**
     * The pixels of a coded picture.
     *
     * @param factor 1, 2, 4 or 8: how much smaller they may be
     */
    record Coded(Path file, Kind kind, int factor) implements Order {}

    /** The small picture in a HEIC or AVIF file. */
    record Thumbnail(Path file) implements Order {}

    /** The pixels of a raw file. */
    record Raw(Path file, Development development) implements Order {}

    /** What a raw file says of its sensor. */
    record OfSensor(Path file) implements Order {}

    default void write(DataOutputStream out) throws IOException {
        switch (this) {
            case Coded coded -> {
                begin(0, out);
                out.writeByte(coded.kind.ordinal());
                out.writeByte(coded.factor);
            }
            case Thumbnail _ -> begin(1, out);
            case Raw raw -> {
                begin(2, out);
                out.writeByte(raw.development.demosaic().ordinal());
                out.writeDouble(raw.development.brightness());
            }
            case OfSensor _ -> begin(3, out);
        }
        out.flush();
    }

    private void begin(int which, DataOutputStream out) throws IOException {
        out.writeByte(which);
        out.writeUTF(file().toString());
    }

    static Order read(DataInputStream in) throws IOException {
        int which = in.readByte();
        Path file = Path.of(in.readUTF());
        return switch (which) {
            case 0 -> new Coded(file, Kind.values()[in.readByte()], in.readByte());
            case 1 -> new Thumbnail(file);
            case 2 -> new Raw(file, new Development(Demosaic.values()[in.readByte()], in.readDouble()));
            case 3 -> new OfSensor(file);
            default -> throw new IOException("no order: " + which);
        };
    }
}
