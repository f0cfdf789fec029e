package nexa.imaging.blocks;

import java.io.IOException;

/** Goes through what a scan says of one component, block by block. */
interface BlockWalk {
    /** @throws IOException if that is damaged */
    void next() throws IOException;

    /** A restart marker was passed: nothing of what was said before it matters any more. */
    default void restart() {}
}
