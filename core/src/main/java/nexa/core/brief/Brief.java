package nexa.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;

/**
 * The ordered formats of a shoot. Names are unique, ignoring case.
 *
 * @param nextId the id the next added format gets; it never goes back, so a removed format's crops stay its own
 */
public record Brief(List<Format> formats, int nextId) {
    public static final Brief EMPTY = new Brief(List.of(), 1);

    public Brief {
        formats = List.copyOf(formats);
    }

    /** @throws IllegalArgumentException if the name is taken or not a name */
    public Brief with(String name, Shape shape) {
        Format added = new Format(nextId, name, shape, OrientationRule.FOLLOW_PHOTO);
        if (find(added.name()).isPresent()) {
            throw new IllegalArgumentException("There is a format “" + added.name() + "” already");
        }
        List<Format> longer = new ArrayList<>(formats);
        longer.add(added);
        return new Brief(longer, nextId + 1);
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
