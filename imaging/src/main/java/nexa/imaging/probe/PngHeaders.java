package nexa.imaging.probe;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.png.PngMetadataReader;
import com.drew.imaging.png.PngProcessingException;
import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** A PNG's chunks (ISO/IEC 15948, 5.3) but for its pixels; its EXIF is read with care, all else by the library. */
final class PngHeaders {
    private static final int SIGNATURE = 8;

    /** Of a chunk: the number of its bytes, and its type. */
    private static final int HEAD = 8;

    private static final int LENGTH = 4;

    private static final int CHECKSUM = 4;

    private final SeekableByteChannel file;
    private final ByteArrayOutputStream others = new ByteArrayOutputStream();
    private final Metadata exif = new Metadata();

    private PngHeaders(SeekableByteChannel file) {
        this.file = file;
    }

    /** @throws ImageProcessingException if they are damaged */
    static Metadata read(SeekableByteChannel file) throws IOException, ImageProcessingException {
        PngHeaders headers = new PngHeaders(file);
        headers.readChunks();
        Metadata metadata = PngMetadataReader.readMetadata(new ByteArrayInputStream(headers.others.toByteArray()));
        headers.exif.getDirectories().forEach(metadata::addDirectory);
        return metadata;
    }

    private void readChunks() throws IOException, PngProcessingException {
        others.writeBytes(bytes(0, SIGNATURE));
        ByteBuffer head = ByteBuffer.allocate(HEAD);
        long at = SIGNATURE;
        String type = "";
        while (!type.equals("IEND") && JpegSegments.read(file, head, at)) {
            int length = head.getInt(0);
            if (length < 0) {
                throw new PngProcessingException("A chunk longer than any");
            }
            type = new String(head.array(), LENGTH, HEAD - LENGTH, StandardCharsets.ISO_8859_1);
            take(at, length, type);
            at += HEAD + (long) length + CHECKSUM;
        }
    }

    private void take(long at, int length, String type) throws IOException {
        switch (type) {
            case "IDAT", "fdAT" -> requireWhole(at + HEAD + length + CHECKSUM);
            case "eXIf" -> new CarefulExif().extract(new ByteArrayReader(bytes(at + HEAD, length)), exif);
            case "tEXt", "zTXt" -> takeText(at, length, type);
            default -> others.writeBytes(bytes(at, HEAD + length + CHECKSUM));
        }
    }

    private void takeText(long at, int length, String type) throws IOException {
        byte[] chunk = bytes(at, HEAD + length + CHECKSUM);
        others.writeBytes(chunk);
        RawProfile.exif(type, Arrays.copyOfRange(chunk, HEAD, HEAD + length))
                .ifPresent(tags -> new CarefulExif().extract(new ByteArrayReader(tags), exif));
    }

    private byte[] bytes(long at, int count) throws IOException {
        requireWhole(at + count);
        ByteBuffer bytes = ByteBuffer.allocate(count);
        JpegSegments.read(file, bytes, at);
        return bytes.array();
    }

    private void requireWhole(long end) throws IOException {
        if (end > file.size()) {
            throw new EOFException();
        }
    }
}
