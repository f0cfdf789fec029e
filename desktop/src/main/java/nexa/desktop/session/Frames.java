package nexa.desktop.session;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;

/**
 * A photo's frames in the formats of a brief, in level space: each derived when it is first asked for, and once. While
 * something is dragged most moments pass before the formats beside the active one have their turn.
 */
final class Frames {
    private final PhotoSpace space;
    private final Framing framing;
    private final Brief brief;
    private final Map<Integer, Frame> known = new ConcurrentHashMap<>();

    Frames(PhotoSpace space, Framing framing, Brief brief) {
        this.space = space;
        this.framing = framing;
        this.brief = brief;
    }

    /** Also in a format that is not in the brief; that is not kept, as its number may be another one's. */
    Frame in(Format format) {
        return brief.formats().contains(format)
                ? known.computeIfAbsent(format.id(), id -> derived(format))
                : derived(format);
    }

    private Frame derived(Format format) {
        return Derivation.frame(space, framing, format, brief);
    }
}
