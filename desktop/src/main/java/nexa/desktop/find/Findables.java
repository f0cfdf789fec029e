package nexa.desktop.find;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import nexa.core.brief.Format;
import nexa.core.geometry.Orientation;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.print.SizeTarget;
import nexa.desktop.find.Findable.Kind;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.session.Session;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoFilter;
import nexa.words.FormatWords;
import nexa.words.ShapeWords;
import nexa.words.Words;

/** All that can be found in an open shoot. */
public final class Findables {
    /** What commands do here. */
    public interface Commands {
        /** Whether one does anything in the view that shows. */
        boolean can(Command command);

        void run(Command command);
    }

    /** Done over and over by keys or the pointer; nobody looks for them by name. */
    private static final Set<Command> STEPS = EnumSet.range(Command.LEFT_STEP, Command.DOWN_LEAP);

    private static final Set<Command> ITSELF = EnumSet.of(Command.FIND, Command.LEAVE);

    private final Session session;
    private final Keys keys;
    private final Commands commands;

    public Findables(Session session, Keys keys, Commands commands) {
        this.session = session;
        this.keys = keys;
        this.commands = commands;
    }

    /**
     * What fits what is typed, the best first; with nothing typed the commands.
     *
     * @param most that a list has room for
     */
    List<Findable> found(String typed, int most) {
        List<Findable> all = new ArrayList<>(commands());
        if (!typed.isBlank()) {
            all.addAll(formats());
            all.addAll(carries());
            all.addAll(filters());
            all.addAll(overlays());
            all.addAll(photos());
        }
        List<Findable> found = new ArrayList<>(Finding.of(all, typed, most));
        newFormat(typed).ifPresent(found::add);
        return found;
    }

    private List<Findable> commands() {
        return Arrays.stream(Command.values())
                .filter(command -> !command.isHeld() && !STEPS.contains(command) && !ITSELF.contains(command))
                .filter(commands::can)
                .map(command -> new Findable(
                        Kind.COMMAND,
                        Words.begun(Words.of("command", command)),
                        keys.label(command),
                        () -> commands.run(command)))
                .toList();
    }

    private List<Findable> formats() {
        List<Findable> all = new ArrayList<>();
        for (Format format : session.brief().formats()) {
            String words = Words.name(format.name())
                    + (ShapeWords.isSaidByName(format) ? "" : " " + ShapeWords.of(format.shape()));
            String key = all.size() < 9 ? String.valueOf(all.size() + 1) : "";
            all.add(new Findable(Kind.FORMAT, words, key, () -> session.choose(format)));
        }
        return all;
    }

    /** One of a shape, or of a shape and a size, that no format has yet. */
    private Optional<Findable> newFormat(String typed) {
        try {
            Format wanted = FormatWords.typed(typed);
            boolean isThere = session.brief().formats().stream().anyMatch(format -> isSuch(format, wanted));
            return isThere || !session.shoot().mayEdit()
                    ? Optional.empty()
                    : Optional.of(new Findable(
                            Kind.FORMAT, Words.of("find.format.new", wanted.name()), "", () -> session.briefEdits()
                                    .addAll(List.of(wanted))));
        } catch (IllegalArgumentException noFormat) { // most of what is typed is none
            return Optional.empty();
        }
    }

    private static boolean isSuch(Format format, Format wanted) {
        boolean anySize = wanted.target().equals(SizeTarget.NONE);
        return format.shape().equals(wanted.shape())
                && (anySize || format.target().equals(wanted.target()));
    }

    /** The current photo's crop to all photos that lie in one way: they are selected, and what would become of them shows. */
    private List<Findable> carries() {
        return Arrays.stream(Orientation.values())
                .filter(orientation -> commands.can(Command.CARRY))
                .map(orientation ->
                        new Findable(Kind.CARRY, Words.of("find.carry", Words.of("lying", orientation)), "", () -> {
                            select(photo -> lies(photo, orientation));
                            commands.run(Command.CARRY);
                        }))
                .toList();
    }

    private boolean lies(Photo photo, Orientation orientation) {
        return session.photo().filter(photo::equals).isEmpty()
                && session.shoot()
                        .space(photo)
                        .filter(space -> space.upright().orientation() == orientation)
                        .isPresent();
    }

    private void select(Predicate<Photo> which) {
        session.selection()
                .property()
                .set(session.shoot().photos().stream().filter(which).collect(Collectors.toSet()));
    }

    private List<Findable> filters() {
        List<Findable> all = new ArrayList<>();
        for (Orientation orientation : Orientation.values()) {
            all.add(new Findable(
                    Kind.FILTER,
                    Words.of("find.filter", Words.of("lying", orientation)),
                    "",
                    () -> filter(PhotoFilter.ALL.lying(Set.of(orientation)))));
        }
        if (session.list().isFiltered()) {
            all.add(new Findable(Kind.FILTER, Words.of("filter.all"), "", () -> filter(PhotoFilter.ALL)));
        }
        return all;
    }

    private void filter(PhotoFilter filter) {
        session.list().filterProperty().set(filter);
    }

    private List<Findable> overlays() {
        return Arrays.stream(Overlay.values())
                .filter(overlay -> commands.can(Command.OVERLAY))
                .map(overlay -> new Findable(Kind.OVERLAY, Words.of(overlay), "", () -> session.overlayProperty()
                        .set(OverlayChoice.of(overlay))))
                .toList();
    }

    private List<Findable> photos() {
        return session.shoot().photos().stream()
                .map(photo -> new Findable(Kind.PHOTO, Words.name(photo.file()), "", () -> session.goTo(photo)))
                .toList();
    }
}
