package nexa.imaging.blocks;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import nexa.core.told.Told;
import nexa.imaging.blocks.ScanHeader.Tables;
import nexa.imaging.file.ToldException;
import org.jspecify.annotations.Nullable;

/**
 * Goes through all scans of a JPEG without decoding what they say: of pictures that come at once, component by component or
 * progressively. For one walk.
 */
final class PictureWalk {
    private static final int TABLES = 0xC4;
    private static final int STEPS = 0xDB;
    private static final int END = 0xD9;
    private static final int SCAN = 0xDA;
    private static final int RESTART = 0xDD;
    private static final int FIRST_RESTART = 0xD0;
    private static final int RESTARTS = 8;

    private final byte[] bytes;
    private final HuffmanTables tables = new HuffmanTables();
    private @Nullable ScanFrame frame;
    private int restart;
    private int at = 2;

    /** Tables of steps (B.2.4.1) that were there. */
    private final BitSet steps = new BitSet();

    /** Of each component, of which coefficients something but zero was said. */
    private final Map<Integer, long[]> known = new HashMap<>();

    /** Components of which there were first coefficients. */
    private final BitSet begun = new BitSet();

    private PictureWalk(byte[] bytes) {
        this.bytes = bytes;
    }

    /** As far as the first scan; empty if that is not reached, or it is of a kind that this does not know. */
    static Optional<PictureWalk> of(byte[] jpeg) {
        PictureWalk walk = new PictureWalk(jpeg);
        try {
            while (walk.headersMarker() != SCAN) {
                walk.take();
            }
            if (walk.frame == null) {
                return Optional.empty();
            }
            return walk.hasTables(walk.frame) ? Optional.of(walk) : Optional.empty();
        } catch (IOException | IndexOutOfBoundsException ofAnotherKind) { // or damaged: who decodes it knows
            return Optional.empty();
        }
    }

    /** @throws IOException if a code is none of its table, or the last does not end where the picture ends */
    void toTheEnd() throws IOException {
        ScanFrame of = Objects.requireNonNull(frame, "there is one, or no walk");
        try {
            while (!isComplete(of)) {
                next(of);
            }
        } catch (IndexOutOfBoundsException cut) {
            throw new ToldException(Told.of("told.blocks.data-ends-too-early"), cut);
        }
    }

    /** Of a progressive picture only its end says whether there was all of it; what is behind others does not matter. */
    private boolean isComplete(ScanFrame of) throws IOException {
        return begun.cardinality() == of.components().size() && (!of.isProgressive() || marker() == END);
    }

    private void next(ScanFrame of) throws IOException {
        int marker = marker();
        if (marker == SCAN) {
            scan(of);
        } else if (marker == END) {
            throw new ToldException("told.blocks.data-ends-too-early");
        } else if (marker >= FIRST_RESTART && marker < FIRST_RESTART + RESTARTS) { // some put one at a scan's end too
            at += 2;
        } else {
            take();
        }
    }

    /** The next marker's code, behind bytes that only fill. */
    private int marker() throws IOException {
        if (bytes[at] != (byte) 0xFF) {
            throw damaged();
        }
        while (bytes[at + 1] == (byte) 0xFF) {
            at++;
        }
        return bytes[at + 1] & 0xFF;
    }

    /** The same before any scan, where bytes that belong to no segment do no harm. */
    private int headersMarker() throws IOException {
        while (bytes[at] != (byte) 0xFF || bytes[at + 1] == 0) {
            at++;
        }
        return marker();
    }

    private int number(int place) {
        return (bytes[place] & 0xFF) << 8 | bytes[place + 1] & 0xFF;
    }

    private byte[] payload() throws IOException {
        int end = at + 2 + number(at + 2);
        if (end < at + 4 || end > bytes.length) {
            throw damaged();
        }
        return Arrays.copyOfRange(bytes, at + 4, end);
    }

    /** Takes a segment that is no scan. */
    private void take() throws IOException {
        int marker = marker();
        byte[] payload = payload();
        if (marker == TABLES) {
            tables.take(payload);
        } else if (marker == STEPS) {
            takeSteps(payload);
        } else if (marker == RESTART) {
            restart = (payload[0] & 0xFF) << 8 | payload[1] & 0xFF;
        } else if (ScanFrame.isMarker(marker)) {
            frame = ScanFrame.of(marker, payload).orElseThrow(PictureWalk::damaged);
        }
        at += 4 + payload.length;
    }

    /** Each has a byte with its values' size and its number, and 64 values. */
    private void takeSteps(byte[] payload) {
        for (int place = 0; place < payload.length; ) {
            steps.set(payload[place] & 0xF);
            place += 1 + 64 * (payload[place] >> 4 == 0 ? 1 : 2);
        }
    }

    private ScanHeader header(ScanFrame of) throws IOException {
        return ScanHeader.of(payload(), of);
    }

    private void scan(ScanFrame of) throws IOException {
        ScanHeader header = header(of);
        ScanBits bits = new ScanBits(bytes, at + 2 + number(at + 2));
        BlockWalk[] unit = unit(blocks(header, of, bits), header, of);
        boolean isOfOne = header.components().size() == 1;
        int units = isOfOne ? of.blocks(header.components().getFirst().component()) : of.units();
        for (int i = 0; i < units; i++) {
            if (restart > 0 && i > 0 && i % restart == 0) {
                bits.restart();
                for (BlockWalk walk : unit) {
                    walk.restart();
                }
            }
            for (BlockWalk walk : unit) {
                walk.next();
            }
        }
        at = bits.end();
        if (header.part().isOfFirstCoefficients()) {
            header.components().forEach(tables -> begun.set(tables.component()));
        }
    }

    /** The components' walks as their blocks lie in a unit; a scan of one component goes block by block (A.2.2). */
    private static BlockWalk[] unit(List<BlockWalk> walks, ScanHeader header, ScanFrame of) {
        if (walks.size() == 1) {
            return new BlockWalk[] {walks.getFirst()};
        }
        List<BlockWalk> unit = new ArrayList<>();
        for (int i = 0; i < walks.size(); i++) {
            int blocks =
                    of.components().get(header.components().get(i).component()).blocks();
            unit.addAll(Collections.nCopies(blocks, walks.get(i)));
        }
        return unit.toArray(BlockWalk[]::new);
    }

    private List<BlockWalk> blocks(ScanHeader header, ScanFrame of, ScanBits bits) throws IOException {
        List<BlockWalk> walks = new ArrayList<>();
        for (Tables numbers : header.components()) {
            walks.add(
                    of.isProgressive()
                            ? progressive(header, numbers, of, bits)
                            : new SequentialBlocks(
                                    bits, table(tables.dc(), numbers.dc()), table(tables.ac(), numbers.ac())));
        }
        return walks;
    }

    private BlockWalk progressive(ScanHeader header, Tables numbers, ScanFrame of, ScanBits bits) throws IOException {
        if (!header.part().isOfFirstCoefficients()) {
            long[] theirs = known.computeIfAbsent(numbers.component(), component -> new long[of.blocks(component)]);
            return ProgressiveBlocks.coefficients(bits, table(tables.ac(), numbers.ac()), header.part(), theirs);
        }
        return header.part().refines()
                ? ProgressiveBlocks.oneBit(bits)
                : ProgressiveBlocks.differences(bits, table(tables.dc(), numbers.dc()));
    }

    /** Whether the first scan's are there, and none was lost between segments: some take usual ones for granted. */
    private boolean hasTables(ScanFrame of) throws IOException {
        if (!of.components().stream().allMatch(component -> steps.get(component.steps() & 0xF))) {
            return false;
        }
        ScanHeader header = header(of);
        boolean isOfFirst = header.part().isOfFirstCoefficients();
        boolean needsDc = !of.isProgressive() || isOfFirst && !header.part().refines();
        boolean needsAc = !of.isProgressive() || !isOfFirst;
        return header.components().stream()
                .allMatch(numbers -> (!needsDc || tables.dc().containsKey(numbers.dc()))
                        && (!needsAc || tables.ac().containsKey(numbers.ac())));
    }

    private static Huffman table(Map<Integer, Huffman> ofKind, int number) throws IOException {
        Huffman table = ofKind.get(number);
        if (table == null) {
            throw damaged();
        }
        return table;
    }

    private static ToldException damaged() {
        return new ToldException("told.blocks.header-damaged");
    }
}
