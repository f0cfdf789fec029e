package nexa.shoot.edit;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.brief.Brief;
import nexa.core.brief.Framing;
import org.jspecify.annotations.Nullable;

/**
 * One action: what it changed, before and after. It is stored in one transaction and undone by its inverse.
 *
 * @param label what the photographer did, as a key of the interface's words
 * @param brief null if the brief stays as it is
 */
public record Edit(
        String label,
        List<FramingChange> framings,
        @Nullable BriefChange brief) implements Step {
    private static final Set<String> JOINING = Set.of("edit.nudge", "edit.grow", "edit.together");

    public record FramingChange(long photo, Framing before, Framing after) {}

    public record BriefChange(Brief before, Brief after) {}

    public Edit {
        framings = List.copyOf(framings);
    }

    public static Edit framing(String label, long photo, Framing before, Framing after) {
        return new Edit(label, List.of(new FramingChange(photo, before, after)), null);
    }

    public static Edit brief(String label, Brief before, Brief after) {
        return new Edit(label, List.of(), new BriefChange(before, after));
    }

    @Override
    public int photoCount() {
        return framings.size();
    }

    @Override
    public Optional<FramingChange> first() {
        return framings.stream().findFirst();
    }

    @Override
    public boolean isAtHand() {
        return true;
    }

    @Override
    public Edit edit() {
        return this;
    }

    public Edit inverse() {
        return new Edit(
                label,
                framings.stream()
                        .map(change -> new FramingChange(change.photo(), change.after(), change.before()))
                        .toList(),
                brief == null ? null : new BriefChange(brief.after(), brief.before()));
    }

    /** Whether it changes nothing, so that it is not worth a step back. */
    public boolean isEmpty() {
        return framings.stream().allMatch(change -> change.before().equals(change.after()))
                && (brief == null || brief.before().equals(brief.after()));
    }

    /**
     * Whether this is one more small step of what the step before began, so that one step back takes both.
     *
     * @throws UnreadableStepException if what that changed is of importance and can't be read
     */
    boolean continues(Step before) {
        return JOINING.contains(label)
                && label.equals(before.label())
                && framings.size() == before.photoCount()
                && changesTheSameAs(before.edit());
    }

    private boolean changesTheSameAs(Edit other) {
        return photos().equals(other.photos()) && formats().equals(other.formats());
    }

    /** Whose crops it changes. */
    private Set<Integer> formats() {
        return framings.stream()
                .flatMap(change -> Stream.concat(
                                change.before().crops().keySet().stream(), change.after().crops().keySet().stream())
                        .filter(format -> !Objects.equals(
                                change.before().crops().get(format),
                                change.after().crops().get(format))))
                .collect(Collectors.toSet());
    }

    /** The edit before and this one as one. Both change the framings of the same photos and nothing else. */
    public Edit joined(Edit before) {
        Map<Long, Framing> first =
                before.framings.stream().collect(Collectors.toMap(FramingChange::photo, FramingChange::before));
        return new Edit(
                label,
                framings.stream()
                        .map(change -> new FramingChange(
                                change.photo(), Objects.requireNonNull(first.get(change.photo())), change.after()))
                        .toList(),
                null);
    }

    public Set<Long> photos() {
        return framings.stream().map(FramingChange::photo).collect(Collectors.toSet());
    }
}
