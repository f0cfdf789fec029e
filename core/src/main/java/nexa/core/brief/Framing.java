package nexa.core.brief;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import nexa.core.fill.Fill;
import nexa.core.geometry.Tilt;
import nexa.core.mark.Marks;
import nexa.core.overlay.OverlayChoice;
import nexa.core.sight.Sight;
import nexa.core.space.Pose;

/**
 * All that the photographer asked of one photo.
 *
 * @param crops by format id; a format without one is derived
 * @param alternates by format id, in the order they were kept
 * @param setAside left out of the shoot's work, reversibly
 * @param subject what is known of the subject
 * @param level the tilt that is known to level the photo when it is not mirrored
 * @param overlay the overlay that shows on this photo; empty = the one shown before
 */
public record Framing(
        Pose pose,
        Map<Integer, Crop> crops,
        Map<Integer, List<Alternate>> alternates,
        boolean setAside,
        Subject subject,
        Optional<Tilt> level,
        Optional<OverlayChoice> overlay) {
    public static final Framing UNTOUCHED =
            new Framing(Pose.AS_SHOT, Map.of(), Map.of(), false, Subject.UNKNOWN, Optional.empty(), Optional.empty());

    public Framing {
        crops = Map.copyOf(crops);
        alternates = alternates.entrySet().stream()
                .filter(entry -> !entry.getValue().isEmpty())
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, entry -> List.copyOf(entry.getValue())));
    }

    public Optional<Crop> crop(Format format) {
        return Optional.ofNullable(crops.get(format.id()));
    }

    /** What goes into a format's blank: the crop's own fill, else the format's. */
    public Fill fill(Format format) {
        return crop(format).map(crop -> crop.fill(format)).orElse(format.files().fill());
    }

    public Framing withPose(Pose other) {
        return new Framing(other, crops, alternates, setAside, subject, level, overlay);
    }

    public Framing withCrop(Format format, Crop crop) {
        Map<Integer, Crop> changed = new HashMap<>(crops);
        changed.put(format.id(), crop);
        return new Framing(pose, changed, alternates, setAside, subject, level, overlay);
    }

    /** The format derived again. */
    public Framing cleared(Format format) {
        Map<Integer, Crop> changed = new HashMap<>(crops);
        changed.remove(format.id());
        return new Framing(pose, changed, alternates, setAside, subject, level, overlay);
    }

    public Framing withSetAside(boolean aside) {
        return new Framing(pose, crops, alternates, aside, subject, level, overlay);
    }

    public Marks marks() {
        return subject.marks();
    }

    /** With other marks; what was accepted stays accepted, as marks only move frames that nobody placed. */
    public Framing withMarks(Marks marks) {
        return withSubject(subject.marked(marks));
    }

    /** Without marks, and as if nothing were seen; the rule stays. */
    public Framing unmarked() {
        return withSubject(subject.marked(Marks.NONE).seen(Sight.NONE));
    }

    /** Whether nothing was asked. */
    public boolean isUntouched() {
        return asksTheSame(UNTOUCHED);
    }

    /** Whether another asks nothing else; what is seen is no asking. */
    public boolean asksTheSame(Framing other) {
        return unseen().equals(other.unseen());
    }

    /** As if nobody had looked at the photo. */
    public Framing unseen() {
        return withSubject(new Subject(subject.marks(), subject.rule(), Optional.empty()));
    }

    /** With what another knows to be seen in the photo, if this one does not know. */
    public Framing knowing(Framing other) {
        return subject.sight().isPresent()
                ? this
                : other.subject
                        .sight()
                        .map(seen -> withSubject(subject.seen(seen)))
                        .orElse(this);
    }

    public Framing withSubject(Subject other) {
        return new Framing(pose, crops, alternates, setAside, other, level, overlay);
    }

    /** The tilt that is known to level the photo as it is turned. */
    public Optional<Tilt> levelTilt() {
        return level.map(tilt -> pose.turn().mirrored() ? tilt.negated() : tilt);
    }

    /** With a tilt, as the photo is turned, known to level it. */
    public Framing levelledAt(Tilt tilt) {
        Tilt unmirrored = pose.turn().mirrored() ? tilt.negated() : tilt;
        return new Framing(pose, crops, alternates, setAside, subject, Optional.of(unmirrored), overlay);
    }

    public Framing withOverlay(OverlayChoice shown) {
        return new Framing(pose, crops, alternates, setAside, subject, level, Optional.of(shown));
    }

    /** Without the crops and alternates of formats that a brief does not have. */
    public Framing onlyOf(Brief brief) {
        return new Framing(pose, onlyOf(brief, crops), onlyOf(brief, alternates), setAside, subject, level, overlay);
    }

    private static <T> Map<Integer, T> onlyOf(Brief brief, Map<Integer, T> byFormat) {
        Map<Integer, T> fewer = new HashMap<>(byFormat);
        fewer.keySet().removeIf(id -> brief.find(id).isEmpty());
        return fewer;
    }

    public List<Alternate> alternates(Format format) {
        return alternates.getOrDefault(format.id(), List.of());
    }

    /** With an alternate added; one of the same name, ignoring case, is replaced where it stands. */
    public Framing keeping(Format format, Alternate kept) {
        List<Alternate> changed = new ArrayList<>(alternates(format));
        int same = IntStream.range(0, changed.size())
                .filter(i -> changed.get(i).name().equalsIgnoreCase(kept.name()))
                .findFirst()
                .orElse(-1);
        if (same >= 0) {
            changed.set(same, kept);
        } else {
            changed.add(kept);
        }
        return withAlternates(format, changed);
    }

    public Framing without(Format format, Alternate dropped) {
        return withAlternates(
                format,
                alternates(format).stream().filter(a -> !a.equals(dropped)).toList());
    }

    private Framing withAlternates(Format format, List<Alternate> changed) {
        Map<Integer, List<Alternate>> all = new HashMap<>(alternates);
        all.put(format.id(), changed);
        return new Framing(pose, crops, all, setAside, subject, level, overlay);
    }

    public FrameState state(Format format) {
        return crop(format).map(Crop::state).orElse(FrameState.DERIVED);
    }
}
