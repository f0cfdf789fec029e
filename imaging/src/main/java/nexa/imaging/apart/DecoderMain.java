package nexa.imaging.apart;

import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import nexa.core.neutral.Receptors;
import nexa.imaging.apart.decoder.Decoders;
import nexa.imaging.apart.decoder.Development;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.decoder.Pixels;
import nexa.imaging.apart.decoder.Refusal;
import nexa.imaging.apart.decoder.Sensor;
import nexa.imaging.apart.decoder.StillDecoder;
import nexa.imaging.file.Trouble;

/** The program of a process apart: reads orders and writes answers until the other end is closed. */
public final class DecoderMain {
    /** What it says when all is loaded, so that starting it does not count as decoding. */
    static final int READY = 0x4E;

    private DecoderMain() {}

    /** @param arguments the file that pixels are written into */
    public static void main(String[] arguments) throws IOException {
        try (FileChannel pixels = PixelFile.toWrite(arguments[0])) {
            run(pixels);
        }
    }

    private static void run(FileChannel target) throws IOException {
        DataInputStream in = new DataInputStream(System.in);
        DataOutputStream out = new DataOutputStream(new BufferedOutputStream(System.out));
        System.setOut(new PrintStream(System.err)); // whoever prints does not disturb the answers
        Decoders.load();
        out.writeByte(READY);
        out.flush();
        Decoders decoders = new Decoders();
        while (true) {
            Order order;
            try {
                order = Order.read(in);
            } catch (EOFException finished) { // the other process needs no more, or is gone
                return;
            }
            Answer.write(answer(decoders, order, target), out);
        }
    }

    private static Answer answer(Decoders decoders, Order order, FileChannel target) {
        try {
            Answer[] done = new Answer[1];
            StillDecoder.Taker taker = pixels -> done[0] = written(pixels, target);
            switch (order) {
                case Order.Coded(Path file, Kind kind, int factor) -> decoders.decode(kind, file, factor, taker);
                case Order.Thumbnail(Path file) -> decoders.thumbnail(file, taker);
                case Order.Raw(Path file, Development development) -> decoders.develop(file, development, taker);
                case Order.OfSensor(Path file) -> done[0] = said(decoders.sensor(file));
            }
            return done[0];
        } catch (Refusal refusal) {
            return new Answer.Refused(refusal.kind(), String.valueOf(refusal.getMessage()));
        } catch (IOException failed) {
            return new Answer.Refused(Trouble.Kind.READ_FAILED, failed.toString());
        } catch (RuntimeException | OutOfMemoryError | LinkageError broken) {
            return new Answer.Refused(Trouble.Kind.DAMAGED, broken.toString());
        }
    }

    private static Answer said(Sensor sensor) {
        return new Answer.Done(sensor.size().width(), sensor.size().height(), 0, 0, new byte[0], sensor.receptors());
    }

    private static Answer written(Pixels pixels, FileChannel target) throws IOException {
        PixelFile.write(target, pixels);
        byte[] icc = pixels.icc();
        return new Answer.Done(
                pixels.width(),
                pixels.height(),
                pixels.channels(),
                pixels.bits(),
                icc == null ? new byte[0] : icc,
                Receptors.EYE);
    }
}
