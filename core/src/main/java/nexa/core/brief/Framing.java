package nexa.core.brief;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import nexa.core.geometry.Pose;

/**
 * All that the photographer asked of one photo.
 *
 * @param crops by format id; a format without one is derived
 * @param setAside left out of the shoot's work, reversibly
 */
public record Framing(Pose pose, Map<Integer, Crop> crops, boolean setAside) {
    public static final Framing UNTOUCHED = new Framing(Pose.AS_SHOT, Map.of(), false);

    public Framing {
        crops = Map.copyOf(crops);
    }

    public Optional<Crop> crop(Format format) {
        return Optional.ofNullable(crops.get(format.id()));
    }

    public Framing with(Pose other) {
        return new Framing(other, crops, setAside);
    }

    public Framing with(Format format, Crop crop) {
        Map<Integer, Crop> changed = new HashMap<>(crops);
        changed.put(format.id(), crop);
        return new Framing(pose, changed, setAside);
    }

    /** The format derived again. */
    public Framing cleared(Format format) {
        Map<Integer, Crop> changed = new HashMap<>(crops);
        changed.remove(format.id());
        return new Framing(pose, changed, setAside);
    }

    public Framing withSetAside(boolean aside) {
        return new Framing(pose, crops, aside);
    }

    public FrameState state(Format format) {
        return crop(format).map(Crop::state).orElse(FrameState.DERIVED);
    }
}
