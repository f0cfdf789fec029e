package nexa.imaging.apart;

import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.channels.FileChannel;
import nexa.imaging.apart.decoder.Decoders;

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
        Orders orders = new Orders(target);
        while (true) {
            Order order;
            try {
                order = Order.read(in);
            } catch (EOFException finished) { // the other process needs no more, or is gone
                return;
            }
            Answer.write(orders.answer(order), out);
        }
    }
}
