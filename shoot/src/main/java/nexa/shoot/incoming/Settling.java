package nexa.shoot.incoming;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import nexa.shoot.scan.FoundFile;

/**
 * Tells files that are still being written from those that are there: a file is there when nobody wrote to it for a
 * while, or sooner when it is the same at two looks and reads as a whole photo. So one that stays unreadable is shown with
 * its reason, and none is passed over in silence.
 */
final class Settling {
    /** As long as a slow card or cable may pause in the middle of a file, in milliseconds. */
    private static final long PATIENCE = 15_000;

    private Map<String, FoundFile> before = new HashMap<>();
    private final PhotoCodecs codecs;
    private Map<String, FoundFile> now = new HashMap<>();
    private boolean waiting;

    Settling(PhotoCodecs codecs) {
        this.codecs = codecs;
    }

    /** Called before the files of a look are asked about. */
    void begin() {
        before = now;
        now = new HashMap<>();
        waiting = false;
    }

    /** Asked about files that are new or changed. */
    boolean isSettled(Path folder, FoundFile file) {
        now.put(file.file(), file);
        boolean settled = isOld(file)
                || file.equals(before.get(file.file()))
                        && codecs.probe(folder.resolve(file.file())) instanceof Probe.Readable;
        waiting |= !settled;
        return settled;
    }

    private static boolean isOld(FoundFile file) {
        return System.currentTimeMillis() - file.modified() > PATIENCE;
    }

    /** Whether the last look met a file that is not settled. */
    boolean isWaiting() {
        return waiting;
    }
}
