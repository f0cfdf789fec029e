package nexa.imaging.tiff;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;

import com.drew.lang.ByteArrayReader;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TiffTagsTest {
    private static final byte[] PACKET = {'<', 'x', ':', 'x', 'm', 'p', 'm', 'e', 't', 'a', '/', '>'};

    /** One directory with a number, and a value that lies elsewhere. */
    private static byte[] classic(ByteOrder order) {
        ByteBuffer file = ByteBuffer.allocate(60).order(order);
        file.put((byte) (order == ByteOrder.LITTLE_ENDIAN ? 'I' : 'M')).put(file.get(0));
        file.putShort((short) 42).putInt(8).putShort((short) 2);
        file.putShort((short) 262)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) 5)
                .putShort((short) 0);
        file.putShort((short) 700).putShort((short) 1).putInt(PACKET.length).putInt(40);
        return file.put(40, PACKET).array();
    }

    private static TiffTags tags(byte[] file) throws IOException {
        return TiffTags.of(new ByteArrayReader(file));
    }

    @Test
    void tags_inBothByteOrders() throws IOException {
        for (ByteOrder order : new ByteOrder[] {ByteOrder.LITTLE_ENDIAN, ByteOrder.BIG_ENDIAN}) {
            TiffTags tags = tags(classic(order));
            assertEquals(TiffTags.SEPARATED, tags.number(TiffTags.PHOTOMETRIC_INTERPRETATION));
            assertEquals(-1, tags.number(TiffTags.EXTRA_SAMPLES));
            assertArrayEquals(PACKET, tags.bytes(TiffTags.XMP));
            assertNull(tags.bytes(TiffTags.ICC));
        }
    }

    @Test
    void tags_with64BitPlaces() throws IOException {
        ByteBuffer file = ByteBuffer.allocate(100).order(ByteOrder.LITTLE_ENDIAN);
        file.put((byte) 'I')
                .put((byte) 'I')
                .putShort((short) 43)
                .putShort((short) 8)
                .putShort((short) 0);
        file.putLong(16).putLong(2);
        file.putShort((short) 338)
                .putShort((short) 3)
                .putLong(1)
                .putShort((short) 2)
                .putShort((short) 0)
                .putInt(0);
        file.putShort((short) 700).putShort((short) 1).putLong(PACKET.length).putLong(80);
        file.put(80, PACKET);
        TiffTags tags = tags(file.array());
        assertEquals(2, tags.number(TiffTags.EXTRA_SAMPLES));
        assertArrayEquals(PACKET, tags.bytes(TiffTags.XMP));
    }

    @Test
    void valueOutsideTheFile_isLeftOut_andTheOthersStay() throws IOException {
        byte[] cut = Arrays.copyOf(classic(ByteOrder.BIG_ENDIAN), 45);
        TiffTags tags = tags(cut);
        assertNull(tags.bytes(TiffTags.XMP));
        assertEquals(TiffTags.SEPARATED, tags.number(TiffTags.PHOTOMETRIC_INTERPRETATION));
    }

    @Test
    void damagedFiles_giveTagsOrAnIOException_nothingElse() {
        Random random = new Random(3);
        byte[] whole = classic(ByteOrder.LITTLE_ENDIAN);
        assertThrows(IOException.class, () -> tags(new byte[] {'I', 'I'}));
        for (int i = 0; i < 5000; i++) {
            byte[] damaged = Arrays.copyOf(whole, 1 + random.nextInt(whole.length));
            for (int hit = 0; hit < 4; hit++) {
                damaged[random.nextInt(damaged.length)] = (byte) random.nextInt();
            }
            try {
                tags(damaged).bytes(TiffTags.XMP);
            } catch (IOException said) { // that is the answer
                assertEquals(false, said.getMessage().isEmpty());
            }
        }
    }
}
