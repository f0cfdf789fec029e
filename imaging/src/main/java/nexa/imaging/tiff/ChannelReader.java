package nexa.imaging.tiff;

import com.drew.lang.BufferBoundsException;
import com.drew.lang.RandomAccessReader;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Lets headers be read wherever they are in a file. What lies before them, which in TIFF files is most often the pixels, is
 * passed over, and values that are pictures themselves are taken for empty.
 */
public final class ChannelReader extends RandomAccessReader {
    private static final int PAGE = 1 << 14;
    private static final int MOST_PAGES = 64;

    /** A longer value is no header. */
    private static final int LONGEST = 32 << 20;

    private final SeekableByteChannel channel;
    private final long length;
    private final Map<Integer, byte[]> pages = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Integer, byte[]> eldest) {
            return size() > MOST_PAGES;
        }
    };

    /** @param channel lent */
    public ChannelReader(SeekableByteChannel channel) throws IOException {
        this.channel = channel;
        this.length = channel.size();
    }

    @Override
    public int toUnshiftedOffset(int localOffset) {
        return localOffset;
    }

    @Override
    public long getLength() {
        return length;
    }

    @Override
    public byte getByte(int index) throws IOException {
        validateIndex(index, 1);
        return page(index / PAGE)[index % PAGE];
    }

    @Override
    public byte[] getBytes(int index, int count) throws IOException {
        validateIndex(index, count);
        if (count > LONGEST) {
            return new byte[0];
        }
        byte[] bytes = new byte[count];
        if (count > PAGE) {
            read(bytes, index);
            return bytes;
        }
        for (int i = 0; i < count; i++) {
            bytes[i] = getByte(index + i);
        }
        return bytes;
    }

    private byte[] page(int number) throws IOException {
        byte[] known = pages.get(number);
        if (known != null) {
            return known;
        }
        byte[] page = new byte[PAGE]; // zeros behind the end, where nobody looks
        read(page, (long) number * PAGE);
        pages.put(number, page);
        return page;
    }

    private void read(byte[] into, long at) throws IOException {
        ByteBuffer buffer = ByteBuffer.wrap(into);
        channel.position(at);
        while (buffer.hasRemaining() && channel.read(buffer) >= 0) {
            // goes on until it is full
        }
    }

    @Override
    protected void validateIndex(int index, int bytesRequested) throws IOException {
        if (!isValidIndex(index, bytesRequested)) {
            throw new BufferBoundsException(index, bytesRequested, length);
        }
    }

    @Override
    protected boolean isValidIndex(int index, int bytesRequested) {
        return index >= 0 && bytesRequested >= 0 && (long) index + bytesRequested <= length;
    }
}
