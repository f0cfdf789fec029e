package nexa.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.told.InvalidException;

/**
 * The ordered formats of a shoot. Names are unique, ignoring case.
 *
 * @param nextId the id the next added format gets; it never goes back, so a removed format's crops stay its own
 */
public record Brief(List<Format> formats, int nextId) {
    /** More formats than any client asks for; with many more, every change would take minutes. */
    public static final int MOST = 200;

    public static final Brief EMPTY = new Brief(List.of(), 1);

    public Brief {
        formats = List.copyOf(formats);
    }

    /** @throws IllegalArgumentException if the name is taken or not a name */
    public Brief with(String name, Shape shape) {
        return with(new Format(nextId, name, shape, OrientationRule.FOLLOW_PHOTO));
    }

    /**
     * With a format of another brief, or a new one, under the next id.
     *
     * @throws IllegalArgumentException if the name is taken
     */
    public Brief with(Format format) {
        if (formats.size() >= MOST) {
            throw new InvalidException("told.brief.brief-most-formats", MOST);
        }
        Format added = format.withId(nextId);
        if (find(added.name()).isPresent()) {
            throw new InvalidException("told.brief.format-already", added.name());
        }
        List<Format> longer = new ArrayList<>(formats);
        longer.add(added);
        return new Brief(longer, nextId + 1);
    }

    /** With formats of another brief; one that is here already is left out, one whose name is taken is numbered. */
    public Brief withAll(List<Format> others) {
        Brief longer = this;
        for (Format other : others) {
            Format named = other;
            for (int n = 2;
                    longer.find(named.name())
                            .filter(there -> !there.isLike(other))
                            .isPresent();
                    n++) {
                named = other.named(shortened(other.name()) + " " + n);
            }
            longer = longer.find(named.name()).isPresent() ? longer : longer.with(named);
        }
        return longer;
    }

    /** With room for a number behind it. */
    private static String shortened(String name) {
        return name.substring(0, Math.min(name.length(), Format.LONGEST_NAME - 5));
    }

    /**
     * With a format in place of the one that has its id.
     *
     * @throws IllegalArgumentException if its name is another's
     */
    public Brief changed(Format format) {
        if (find(format.name()).filter(f -> f.id() != format.id()).isPresent()) {
            throw new InvalidException("told.brief.format-already", format.name());
        }
        return new Brief(
                formats.stream().map(f -> f.id() == format.id() ? format : f).toList(), nextId);
    }

    /** With a copy of the format behind it, under a name of its own. */
    public Brief duplicated(Format format) {
        String base = shortened(format.name());
        int copy = 2;
        while (find(base + " " + copy).isPresent()) {
            copy++;
        }
        List<Format> longer = new ArrayList<>(formats);
        longer.add(formats.indexOf(format) + 1, format.named(base + " " + copy).withId(nextId));
        return new Brief(longer, nextId + 1);
    }

    /** With the format so many places further down, or up if negative; it stays at the ends. */
    public Brief moved(Format format, int places) {
        List<Format> reordered = new ArrayList<>(formats);
        int from = reordered.indexOf(format);
        reordered.remove(from);
        reordered.add(Math.clamp((long) from + places, 0, reordered.size()), format);
        return new Brief(reordered, nextId);
    }

    public Brief without(Format format) {
        return new Brief(formats.stream().filter(f -> f.id() != format.id()).toList(), nextId);
    }

    public Optional<Format> find(String name) {
        return formats.stream()
                .filter(f -> f.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    public Optional<Format> find(int id) {
        return formats.stream().filter(f -> f.id() == id).findFirst();
    }

    /** The names in order, for messages. */
    public String names() {
        return formats.stream().map(Format::name).collect(Collectors.joining(", "));
    }
}
