package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.Remark;
import nexa.imaging.source.SourceMetadata;
import org.jspecify.annotations.Nullable;

/** Reads what a HEIC or AVIF file says of its primary picture (ISO/IEC 23008-12, HEIF; AV1 Image File Format 1.1). */
public final class HeifFile {
    private static final Set<String> PICTURES = Set.of("heic", "heix", "heim", "heis", "mif1", "mif2", "avif", "miaf");
    private static final Set<String> SEQUENCES = Set.of("hevc", "hevx", "msf1", "avis");
    private static final Set<String> CODINGS = Set.of("hvc1", "av01");
    private static final String GAIN_MAP = "hdrgainmap";

    /** HEIF's name for it, and HEVC's. */
    private static final Set<String> ALPHAS = Set.of("auxiliary:alpha", "hevc:2015:auxid:1");

    private static final int MOST_TILES = 65_536;
    private static final int LARGEST_BLOCK = 32 << 20;

    private final SeekableByteChannel channel;
    private final FileBoxes top;
    private final HeifTable table;

    private HeifFile(SeekableByteChannel channel, FileBoxes top, HeifTable table) {
        this.channel = channel;
        this.top = top;
        this.table = table;
    }

    /** Whether a file of these first bytes calls itself HEIF, still or moving. */
    public static boolean isOne(byte[] beginning) {
        ByteBuffer in = ByteBuffer.wrap(beginning);
        if (in.remaining() < 16) {
            return false;
        }
        long size = Integer.toUnsignedLong(in.getInt());
        if (!Box.word(in).equals("ftyp")) {
            return false;
        }
        in.limit((int) Math.min(in.limit(), Math.max(16, size)));
        List<String> brands = new ArrayList<>(List.of(Box.word(in)));
        in.getInt(); // version
        while (in.remaining() >= 4) {
            brands.add(Box.word(in));
        }
        return brands.stream().anyMatch(brand -> PICTURES.contains(brand) || SEQUENCES.contains(brand));
    }

    /**
     * What a file says; empty if it holds no still picture of a coding and colours that are read.
     *
     * @throws ImageProcessingException if it is damaged
     */
    public static Optional<HeifPicture> read(SeekableByteChannel channel) throws IOException, ImageProcessingException {
        try {
            FileBoxes top = FileBoxes.of(channel);
            Optional<ByteBuffer> meta = top.content("meta");
            return meta.isEmpty() ? Optional.empty() : new HeifFile(channel, top, new HeifTable(meta.get())).picture();
        } catch (RuntimeException senseless) { // numbers that point beyond what is there
            throw new ImageProcessingException(senseless);
        }
    }

    private Optional<HeifPicture> picture() throws IOException, ImageProcessingException {
        HeifItem item = table.primary();
        Optional<CodedPicture> coded = coded(item);
        if (coded.isEmpty()) {
            return Optional.empty();
        }
        Optional<CodedPicture> thumbnail = Optional.empty();
        Nclx nclx = coded.get().nclx();
        if (nclx != null && !Nclx.isRead(nclx.matrix())) {
            return Optional.empty();
        }
        boolean isHdr = nclx != null && nclx.isHdr();
        for (HeifItem small : table.referring("thmb", item.id())) {
            thumbnail = thumbnail.isPresent()
                    ? thumbnail
                    : coded(small).filter(found -> !isHdr || Objects.equals(nclx, found.nclx()));
        }
        return Optional.of(new HeifPicture(
                coded.get(),
                shown(item, coded.get().size()),
                orientation(item),
                bits(item, coded.get()),
                new SourceMetadata(exif(), profile(item, nclx), block("mime", "application/rdf+xml")),
                thumbnail,
                remarks(item, isHdr)));
    }

    private Optional<CodedPicture> coded(HeifItem item) throws IOException, ImageProcessingException {
        if (item.type().equals("grid")) {
            return grid(item);
        }
        if (!CODINGS.contains(item.type())) {
            return Optional.empty();
        }
        return Optional.of(new CodedPicture(
                item.type(),
                configuration(item),
                size(item.needed("ispe")),
                1,
                List.of(table.extents(item.id())),
                nclx(item)));
    }

    private Optional<CodedPicture> grid(HeifItem item) throws IOException, ImageProcessingException {
        ByteBuffer in = ByteBuffer.wrap(data(item));
        in.get(); // version
        boolean wide = (in.get() & 1) != 0;
        int rows = (in.get() & 0xFF) + 1;
        int columns = (in.get() & 0xFF) + 1;
        PixelSize size = wide
                ? new PixelSize(in.getInt(), in.getInt())
                : new PixelSize(in.getShort() & 0xFFFF, in.getShort() & 0xFFFF);
        List<Integer> parts = table.partsOf(item.id());
        if (parts.size() != rows * columns || parts.size() > MOST_TILES) {
            throw new ImageProcessingException(parts.size() + " tiles for " + columns + " x " + rows);
        }
        HeifItem first = table.item(parts.getFirst());
        if (!CODINGS.contains(first.type())) {
            return Optional.empty();
        }
        List<List<Extent>> tiles = new ArrayList<>();
        for (int part : parts) {
            tiles.add(table.extents(part));
        }
        Nclx nclx = nclx(item);
        return Optional.of(new CodedPicture(
                first.type(), configuration(first), size, columns, tiles, nclx == null ? nclx(first) : nclx));
    }

    private static byte[] configuration(HeifItem item) throws ImageProcessingException {
        return Box.rest(item.needed(item.type().equals("hvc1") ? "hvcC" : "av1C"));
    }

    private static PixelSize size(ByteBuffer ispe) {
        Box.versionAndFlags(ispe);
        return new PixelSize(ispe.getInt(), ispe.getInt());
    }

    /** The clean aperture (ISO/IEC 14496-12, 12.1.4), rounded to whole pixels; all if it is senseless. */
    private static PixelRectangle shown(HeifItem item, PixelSize size) {
        Optional<ByteBuffer> aperture = item.property("clap");
        if (aperture.isEmpty()) {
            return PixelRectangle.all(size);
        }
        ByteBuffer in = aperture.get();
        double width = fraction(in);
        double height = fraction(in);
        double left = (size.width() - width) / 2 + fraction(in);
        double top = (size.height() - height) / 2 + fraction(in);
        PixelRectangle part = new PixelRectangle(
                (int) Math.round(left), (int) Math.round(top), (int) Math.round(width), (int) Math.round(height));
        return part.isWithin(size) ? part : PixelRectangle.all(size);
    }

    private static double fraction(ByteBuffer in) {
        return (double) in.getInt() / in.getInt();
    }

    /**
     * Turns and mirrors in the order in which they are said (HEIF, 6.5.10 and 6.5.12): anticlockwise quarter turns; axis 0
     * exchanges top and bottom, axis 1 left and right.
     */
    private static int orientation(HeifItem item) {
        Turn turn = Turn.NONE;
        for (Box box : item.properties()) {
            if (box.is("irot")) {
                turn = turn.then(new Turn(-(box.content().get(0) & 3), false));
            } else if (box.is("imir")) {
                turn = turn.then((box.content().get(0) & 1) == 0 ? Turn.FLIP : Turn.MIRROR);
            }
        }
        for (int orientation = 1; orientation <= 8; orientation++) {
            if (Turn.ofExif(orientation).equals(turn)) {
                return orientation;
            }
        }
        return 1;
    }

    /** As its pixels' property says, else the decoder's configuration. */
    private static int bits(HeifItem item, CodedPicture coded) {
        Optional<ByteBuffer> channels = item.property("pixi");
        if (channels.isPresent() && channels.get().remaining() > 5) {
            return channels.get().get(5) & 0xFF;
        }
        byte[] configuration = coded.configuration();
        if (coded.coding().equals("hvc1")) {
            return configuration.length > 17 ? 8 + (configuration[17] & 7) : 8;
        }
        boolean deep = configuration.length > 2 && (configuration[2] & 0x40) != 0;
        return deep ? (configuration[2] & 0x20) != 0 ? 12 : 10 : 8;
    }

    private static @Nullable Nclx nclx(HeifItem item) {
        for (Box box : item.properties()) {
            ByteBuffer in = box.content().slice();
            if (box.is("colr") && Box.word(in).equals("nclx")) {
                return new Nclx(
                        in.getShort() & 0xFFFF, in.getShort() & 0xFFFF, in.getShort() & 0xFFFF, (in.get() & 0x80) != 0);
            }
        }
        return null;
    }

    /**
     * The embedded one, of a grid perhaps with its tiles; else one for the code points, if they say other than sRGB. Those of
     * HDR come first, as their values get another meaning in decoding.
     */
    private byte @Nullable [] profile(HeifItem item, @Nullable Nclx nclx) throws ImageProcessingException {
        byte[] embedded = embeddedProfile(item);
        List<Integer> parts = table.partsOf(item.id());
        if (embedded == null && !parts.isEmpty()) {
            embedded = embeddedProfile(table.item(parts.getFirst()));
        }
        if (nclx == null || embedded != null && !nclx.isHdr()) {
            return embedded;
        }
        return nclx.profile().map(Profile::bytes).orElse(null);
    }

    private static byte @Nullable [] embeddedProfile(HeifItem item) {
        for (Box box : item.properties()) {
            ByteBuffer in = box.content().slice();
            if (box.is("colr") && Set.of("prof", "rICC").contains(Box.word(in))) {
                return Box.rest(in);
            }
        }
        return null;
    }

    private byte @Nullable [] exif() throws IOException, ImageProcessingException {
        byte[] block = block("Exif", "");
        return block == null ? null : Box.exif(ByteBuffer.wrap(block));
    }

    private byte @Nullable [] block(String type, String content) throws IOException, ImageProcessingException {
        Optional<HeifItem> item = table.first(type, content);
        return item.isPresent() ? data(item.get()) : null;
    }

    private byte[] data(HeifItem item) throws IOException, ImageProcessingException {
        byte[] inTable = table.inTable(item.id());
        return inTable != null ? inTable : Pieces.of(channel, table.extents(item.id()), LARGEST_BLOCK);
    }

    private Set<Remark> remarks(HeifItem item, boolean isHdr) {
        Set<Remark> remarks = EnumSet.noneOf(Remark.class);
        if (isHdr) {
            remarks.add(Remark.HDR);
        }
        if (table.hasItem("tmap") || hasBeside(item, GAIN_MAP)) {
            remarks.add(Remark.GAIN_MAP);
        }
        if (ALPHAS.stream().anyMatch(alpha -> hasBeside(item, alpha))) {
            remarks.add(Remark.NO_ALPHA);
        }
        if (top.has("moov")) {
            remarks.add(Remark.FIRST_OF_SEVERAL);
        }
        return remarks;
    }

    /** Whether there is another picture of a kind that belongs to one. */
    private boolean hasBeside(HeifItem item, String kind) {
        return table.referring("auxl", item.id()).stream()
                .flatMap(other -> other.property("auxC").stream())
                .anyMatch(said -> HeifTable.latin(said).contains(kind));
    }
}
