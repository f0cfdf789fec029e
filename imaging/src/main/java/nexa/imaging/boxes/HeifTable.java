package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The table of contents of a HEIF file, its {@code meta} box (ISO/IEC 14496-12, 8.11): items, where their data lies, their
 * properties, and what refers to what.
 */
final class HeifTable {
    /** @param inTable whether the extents are within the table's own data, not of the file */
    record Location(boolean inTable, List<Extent> extents) {}

    /** An item speaks of others: {@code dimg} is made of them, {@code thmb} is small for them, {@code cdsc} tells of them. */
    record Reference(String type, int from, List<Integer> to) {}

    private static final int MOST_ITEMS = 100_000;

    private final Map<Integer, HeifItem> items = new LinkedHashMap<>();
    private final Map<Integer, Location> locations = new LinkedHashMap<>();
    private final List<Reference> references = new ArrayList<>();
    private final int primary;
    private final ByteBuffer data;

    HeifTable(ByteBuffer meta) throws ImageProcessingException {
        Box.versionAndFlags(meta);
        Map<String, ByteBuffer> parts = new LinkedHashMap<>();
        Box.in(meta).forEach(box -> parts.putIfAbsent(box.type(), box.content()));
        this.primary = primary(needed(parts, "pitm"));
        this.data = parts.getOrDefault("idat", ByteBuffer.allocate(0));
        ByteBuffer properties = needed(parts, "iprp");
        readItems(needed(parts, "iinf"), associations(properties));
        readLocations(needed(parts, "iloc"));
        if (parts.containsKey("iref")) {
            readReferences(needed(parts, "iref"));
        }
    }

    private static ByteBuffer needed(Map<String, ByteBuffer> parts, String type) throws ImageProcessingException {
        ByteBuffer part = parts.get(type);
        if (part == null) {
            throw new ImageProcessingException("no " + type);
        }
        return part;
    }

    private static int version(ByteBuffer in) {
        return Box.versionAndFlags(in) >>> 24;
    }

    private static int number(ByteBuffer in, boolean wide) {
        return wide ? in.getInt() : in.getShort() & 0xFFFF;
    }

    private static int counted(int count) throws ImageProcessingException {
        if (count < 0 || count > MOST_ITEMS) {
            throw new ImageProcessingException(count + " items");
        }
        return count;
    }

    private static int primary(ByteBuffer in) {
        return number(in, version(in) > 0);
    }

    private void readItems(ByteBuffer in, Map<Integer, List<Box>> properties) throws ImageProcessingException {
        counted(number(in, version(in) > 0));
        for (Box entry : Box.in(in)) {
            ByteBuffer info = entry.content();
            int version = version(info);
            if (!entry.is("infe") || version < 2) {
                continue;
            }
            int id = number(info, version > 2);
            info.getShort(); // protection
            String type = Box.word(info);
            text(info); // its name
            String content = type.equals("mime") ? text(info) : "";
            items.put(id, new HeifItem(id, type, content, properties.getOrDefault(id, List.of())));
        }
    }

    private static String text(ByteBuffer in) {
        StringBuilder text = new StringBuilder();
        while (in.hasRemaining()) {
            byte letter = in.get();
            if (letter == 0) {
                break;
            }
            text.append((char) (letter & 0xFF));
        }
        return text.toString();
    }

    /** The properties of each item, in their order. */
    private static Map<Integer, List<Box>> associations(ByteBuffer properties) throws ImageProcessingException {
        List<Box> all = List.of();
        Map<Integer, List<Box>> byItem = new LinkedHashMap<>();
        for (Box part : Box.in(properties)) {
            if (part.is("ipco")) {
                all = Box.in(part.content());
            } else if (part.is("ipma")) {
                associate(part.content(), all, byItem);
            }
        }
        return byItem;
    }

    private static void associate(ByteBuffer in, List<Box> all, Map<Integer, List<Box>> byItem)
            throws ImageProcessingException {
        int head = Box.versionAndFlags(in);
        boolean wideIds = head >>> 24 > 0;
        boolean wideIndices = (head & 1) != 0;
        int count = counted(in.getInt());
        for (int i = 0; i < count; i++) {
            List<Box> ofItem = byItem.computeIfAbsent(number(in, wideIds), unused -> new ArrayList<>());
            int associations = in.get() & 0xFF;
            for (int a = 0; a < associations; a++) {
                int index = wideIndices ? in.getShort() & 0x7FFF : in.get() & 0x7F; // without the bit for "essential"
                if (index > 0 && index <= all.size()) {
                    ofItem.add(all.get(index - 1));
                }
            }
        }
    }

    private void readLocations(ByteBuffer in) throws ImageProcessingException {
        int version = version(in);
        int sizes = in.getShort() & 0xFFFF;
        int offsetSize = sizes >> 12;
        int lengthSize = sizes >> 8 & 0xF;
        int baseSize = sizes >> 4 & 0xF;
        int indexSize = version == 0 ? 0 : sizes & 0xF;
        int count = counted(number(in, version > 1));
        for (int i = 0; i < count; i++) {
            int id = number(in, version > 1);
            int method = version == 0 ? 0 : in.getShort() & 0xF;
            in.getShort(); // the file is this one
            long base = sized(in, baseSize);
            int pieces = in.getShort() & 0xFFFF;
            List<Extent> extents = new ArrayList<>();
            for (int e = 0; e < pieces; e++) {
                sized(in, indexSize);
                long offset = sized(in, offsetSize);
                extents.add(new Extent(base + offset, sized(in, lengthSize)));
            }
            locations.put(id, new Location(method == 1, extents));
        }
    }

    private static long sized(ByteBuffer in, int bytes) throws ImageProcessingException {
        return switch (bytes) {
            case 0 -> 0;
            case 4 -> Integer.toUnsignedLong(in.getInt());
            case 8 -> in.getLong();
            default -> throw new ImageProcessingException("numbers of " + bytes + " bytes");
        };
    }

    private void readReferences(ByteBuffer in) {
        boolean wide = version(in) > 0;
        for (Box entry : Box.in(in)) {
            ByteBuffer reference = entry.content();
            int from = number(reference, wide);
            int count = reference.getShort() & 0xFFFF;
            List<Integer> to = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                to.add(number(reference, wide));
            }
            references.add(new Reference(entry.type(), from, to));
        }
    }

    HeifItem primary() throws ImageProcessingException {
        return item(primary);
    }

    HeifItem item(int id) throws ImageProcessingException {
        HeifItem item = items.get(id);
        if (item == null) {
            throw new ImageProcessingException("no item " + id);
        }
        return item;
    }

    /** The items that one is made of, in their order. */
    List<Integer> partsOf(int id) {
        return references.stream()
                .filter(reference -> reference.type().equals("dimg") && reference.from() == id)
                .findFirst()
                .map(Reference::to)
                .orElse(List.of());
    }

    /** The items that refer to another in a way. */
    List<HeifItem> referring(String type, int to) {
        return references.stream()
                .filter(reference ->
                        reference.type().equals(type) && reference.to().contains(to))
                .map(reference -> items.get(reference.from()))
                .filter(Objects::nonNull)
                .toList();
    }

    boolean hasItem(String type) {
        return items.values().stream().anyMatch(item -> item.type().equals(type));
    }

    /** The first item of a type and content. */
    Optional<HeifItem> first(String type, String content) {
        return items.values().stream()
                .filter(item -> item.type().equals(type) && item.content().equals(content))
                .findFirst();
    }

    /** Where an item's data lies in the file. */
    List<Extent> extents(int id) throws ImageProcessingException {
        Location location = location(id);
        if (location.inTable()) {
            throw new ImageProcessingException("pixels of item " + id + " within the table");
        }
        return location.extents();
    }

    /** An item's data, if it lies in the table itself. */
    byte @Nullable [] inTable(int id) throws ImageProcessingException {
        Location location = location(id);
        if (!location.inTable()) {
            return null;
        }
        ByteBuffer whole = ByteBuffer.allocate(data.limit());
        for (Extent extent : location.extents()) {
            int length = extent.length() == 0
                    ? data.limit() - Math.toIntExact(extent.start())
                    : Math.toIntExact(extent.length());
            whole.put(data.slice(Math.toIntExact(extent.start()), length));
        }
        return Box.rest(whole.flip());
    }

    private Location location(int id) throws ImageProcessingException {
        Location location = locations.get(id);
        if (location == null || location.extents().isEmpty()) {
            throw new ImageProcessingException("item " + id + " has no data");
        }
        return location;
    }

    static String latin(ByteBuffer in) {
        return new String(Box.rest(in), StandardCharsets.ISO_8859_1);
    }
}
