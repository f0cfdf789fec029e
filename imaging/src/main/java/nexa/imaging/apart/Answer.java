package nexa.imaging.apart;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.StreamCorruptedException;
import nexa.core.neutral.Receptors;
import nexa.imaging.file.Trouble;

/** What a process apart says of an order. */
sealed interface Answer {
    /**
     * The pixels are in the ordered file, rows one after the other in the machine's byte order.
     *
     * @param channels 1 = grey, 3 = red, green, blue; 0 if only the size was wanted
     * @param icc the profile that the decoder knows; empty if none
     * @param receptors of the sensor; the eye's if there is none
     */
    record Done(int width, int height, int channels, int bits, byte[] icc, Receptors receptors) implements Answer {}

    /** @param detail for the log */
    record Refused(Trouble.Kind kind, String detail) implements Answer {}

    int LONGEST_PROFILE = 64 << 20;

    static void write(Answer answer, DataOutputStream out) throws IOException {
        switch (answer) {
            case Done(int width, int height, int channels, int bits, byte[] icc, Receptors receptors) -> {
                out.writeBoolean(true);
                out.writeInt(width);
                out.writeInt(height);
                out.writeByte(channels);
                out.writeByte(bits);
                out.writeInt(icc.length);
                out.write(icc);
                out.writeUTF(receptors.text());
            }
            case Refused(Trouble.Kind kind, String detail) -> {
                out.writeBoolean(false);
                out.writeByte(kind.ordinal());
                out.writeUTF(detail.substring(0, Math.min(1000, detail.length())));
            }
        }
        out.flush();
    }

    private static Receptors receptors(String text) throws StreamCorruptedException {
        try {
            return Receptors.parse(text);
        } catch (IllegalArgumentException none) {
            throw new StreamCorruptedException(none.getMessage());
        }
    }

    static Answer read(DataInputStream in) throws IOException {
        if (!in.readBoolean()) {
            return new Refused(Trouble.Kind.values()[in.readByte()], in.readUTF());
        }
        int width = in.readInt();
        int height = in.readInt();
        int channels = in.readByte();
        int bits = in.readByte();
        int length = in.readInt();
        if (length < 0 || length > LONGEST_PROFILE) {
            throw new StreamCorruptedException("a profile of " + length + " bytes");
        }
        byte[] icc = in.readNBytes(length);
        return new Done(width, height, channels, bits, icc, receptors(in.readUTF()));
    }
}
