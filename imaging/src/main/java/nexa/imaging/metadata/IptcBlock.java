package nexa.imaging.metadata;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import org.jspecify.annotations.Nullable;

/**
 * The IPTC record (IPTC-NAA Information Interchange Model 4.2, records 1 and 2) for a delivered file: of the source's
 * what is kept, all in UTF-8.
 */
public final class IptcBlock {
    static final int BYLINE = 80;
    static final int COPYRIGHT = 116;
    static final int CAPTION = 120;

    private static final int TAG = 0x1C;
    private static final int ENVELOPE = 1;
    private static final int APPLICATION = 2;
    private static final int CHARACTER_SET = 90;
    private static final byte[] UTF_8 = {0x1B, '%', 'G'};

    /** Datasets of record 2 that are numbers or bytes: version, preview data and formats, audio, job counters. */
    private static final Set<Integer> NO_TEXT = Set.of(0, 3, 125, 150, 151, 152, 153, 154, 200, 201, 202);

    /** A small picture of the whole photo. */
    private static final Set<Integer> PREVIEW = Set.of(200, 201, 202);

    /** Content location, city, sub-location, state, country. */
    private static final Set<Integer> PLACE = Set.of(26, 27, 90, 92, 95, 100, 101);

    /** By-line and its title, credit, source, copyright, contact. */
    private static final Set<Integer> CREDIT = Set.of(BYLINE, 85, 110, 115, COPYRIGHT, 118);

    /** One of the record's datasets. */
    public record DataSet(int record, int number, byte[] bytes) {
        boolean isText() {
            return record == APPLICATION && !NO_TEXT.contains(number);
        }

        /** Of one that was read by {@link IptcBlock#read}. */
        String text() {
            return new String(bytes, StandardCharsets.UTF_8);
        }
    }

    private IptcBlock() {}

    /**
     * What is kept.
     *
     * @param source null or damaged ones count as empty
     * @return empty if there is nothing to say
     */
    public static List<DataSet> forDelivery(byte @Nullable [] source, Description said) {
        if (source == null || said.keep() == Keep.NONE) {
            return List.of();
        }
        List<DataSet> kept = new ArrayList<>();
        for (DataSet each : read(source)) {
            if (isKept(each, said)) {
                kept.add(each);
            }
        }
        replace(kept, BYLINE, said.creator());
        replace(kept, COPYRIGHT, said.copyright());
        replace(kept, CAPTION, said.caption());
        return List.copyOf(kept);
    }

    private static boolean isKept(DataSet each, Description said) {
        boolean ofTheShot = each.record == APPLICATION && !PREVIEW.contains(each.number);
        boolean asked = said.keep() == Keep.ALL || CREDIT.contains(each.number);
        return ofTheShot && asked && !(said.dropsPlace() && PLACE.contains(each.number));
    }

    /** What the record says must not differ from what EXIF and XMP say. */
    private static void replace(List<DataSet> kept, int number, String text) {
        if (!text.isEmpty() && kept.removeIf(each -> each.number == number)) {
            kept.add(new DataSet(APPLICATION, number, text.getBytes(StandardCharsets.UTF_8)));
        }
    }

    /** All datasets up to the first that is damaged, texts in UTF-8. */
    static List<DataSet> read(byte[] record) {
        List<DataSet> read = new ArrayList<>();
        ByteBuffer in = ByteBuffer.wrap(record);
        while (in.remaining() >= 5 && (in.get() & 0xFF) == TAG) {
            int number = in.get() & 0xFF;
            int dataset = in.get() & 0xFF;
            int length = in.getShort() & 0xFFFF;
            if (length > in.remaining()) { // also the mark of an extended length, for data that is no text
                break;
            }
            byte[] bytes = new byte[length];
            in.get(bytes);
            read.add(new DataSet(number, dataset, bytes));
        }
        Charset charset = charset(read);
        return read.stream().map(each -> inUtf8(each, charset)).toList();
    }

    /** What is not said to be UTF-8 and reads as such is taken for it; else it is Latin-1, as most programs wrote. */
    private static Charset charset(List<DataSet> read) {
        boolean said = read.stream()
                .anyMatch(each ->
                        each.record == ENVELOPE && each.number == CHARACTER_SET && Arrays.equals(each.bytes, UTF_8));
        boolean readsSo = read.stream()
                .filter(DataSet::isText)
                .allMatch(each -> decoded(each.bytes, StandardCharsets.UTF_8).isPresent());
        return said || readsSo ? StandardCharsets.UTF_8 : StandardCharsets.ISO_8859_1;
    }

    private static Optional<CharBuffer> decoded(byte[] bytes, Charset charset) {
        try {
            return Optional.of(charset.newDecoder().decode(ByteBuffer.wrap(bytes)));
        } catch (CharacterCodingException other) { // then it is Latin-1
            return Optional.empty();
        }
    }

    private static DataSet inUtf8(DataSet each, Charset charset) {
        return each.isText()
                ? new DataSet(
                        each.record, each.number, new String(each.bytes, charset).getBytes(StandardCharsets.UTF_8))
                : each;
    }

    /** As bytes; null if there is nothing to say. */
    public static byte @Nullable [] bytes(List<DataSet> kept) {
        if (kept.isEmpty()) {
            return null;
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        write(new DataSet(ENVELOPE, CHARACTER_SET, UTF_8), out);
        kept.forEach(each -> write(each, out));
        return out.toByteArray();
    }

    private static void write(DataSet each, ByteArrayOutputStream out) {
        int length = Math.min(each.bytes.length, Short.MAX_VALUE);
        out.write(TAG);
        out.write(each.record);
        out.write(each.number);
        out.write(length >> 8);
        out.write(length);
        out.write(each.bytes, 0, length);
    }
}
