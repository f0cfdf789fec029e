package nexa.imaging.blocks;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;

/**
 * The tables that a JPEG's segments have defined so far, by their number.
 *
 * @param dc for first coefficients
 * @param ac for the others
 */
record HuffmanTables(Map<Integer, Huffman> dc, Map<Integer, Huffman> ac) {
    HuffmanTables() {
        this(new HashMap<>(), new HashMap<>());
    }

    /**
     * Takes those that a segment defines, in place of earlier ones with their number (B.2.4.2).
     *
     * @throws IOException if they are damaged
     */
    void take(byte[] payload) throws IOException {
        int at = 0;
        while (at < payload.length) {
            int kindAndNumber = payload[at] & 0xFF;
            Huffman table = Huffman.of(payload, at + 1);
            (kindAndNumber < 16 ? dc : ac).put(kindAndNumber & 0xF, table);
            at += 1 + table.size();
        }
    }
}
