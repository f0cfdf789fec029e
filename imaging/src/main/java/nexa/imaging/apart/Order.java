package nexa.imaging.apart;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.raw.Demosaic;
import nexa.imaging.apart.raw.Development;

/** What a process apart is to do. As bytes: which of these it is, the file, and what else it says. */
sealed interface Order {
    byte CODED = 0;
    byte THUMBNAIL = 1;
    byte RAW = 2;
    byte OF_SENSOR = 3;

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
                begin(CODED, out);
                out.writeByte(coded.kind.ordinal());
                out.writeByte(coded.factor);
            }
            case Thumbnail _ -> begin(THUMBNAIL, out);
            case Raw raw -> {
                begin(RAW, out);
                out.writeByte(raw.development.demosaic().ordinal());
                out.writeDouble(raw.development.brightness());
            }
            case OfSensor _ -> begin(OF_SENSOR, out);
        }
        out.flush();
    }

    private void begin(byte which, DataOutputStream out) throws IOException {
        out.writeByte(which);
        out.writeUTF(file().toString());
    }

    static Order read(DataInputStream in) throws IOException {
        byte which = in.readByte();
        Path file = Path.of(in.readUTF());
        return switch (which) {
            case CODED -> new Coded(file, Kind.values()[in.readByte()], in.readByte());
            case THUMBNAIL -> new Thumbnail(file);
            case RAW -> new Raw(file, new Development(Demosaic.values()[in.readByte()], in.readDouble()));
            case OF_SENSOR -> new OfSensor(file);
            default -> throw new IOException("no order: " + which);
        };
    }
}
