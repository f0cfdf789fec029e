package nexa.shoot.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Framing;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.exchange.FramingTexts.Read;
import nexa.shoot.photo.Photo;

/** Framings that were read from files, to become one step. */
public final class Changes {
    private static final int MOST_TROUBLES = 500;

    private final Shoot shoot;
    private final String label;
    private final Map<String, Photo> byFile = new HashMap<>();
    private final Map<String, Photo> byContent = new HashMap<>();
    private final Map<Photo, Framing> found = new LinkedHashMap<>();
    private final Set<Told> troubles = new LinkedHashSet<>();

    Changes(Shoot shoot, String label) {
        this.shoot = shoot;
        this.label = label;
        for (Photo photo : shoot.photos()) {
            byFile.put(photo.file(), photo);
            byContent.put(photo.fingerprint(), photo);
        }
    }

    Optional<Photo> photo(String file) {
        return Optional.ofNullable(byFile.get(file));
    }

    /** A photo that was renamed since. */
    Optional<Photo> withContent(String fingerprint) {
        return Optional.ofNullable(byContent.get(fingerprint));
    }

    /** The same said again is said once, and of very many only the first. */
    void trouble(Told said) {
        if (troubles.size() < MOST_TROUBLES) {
            troubles.add(said);
        }
    }

    /**
     * Adds what was read of a photo; crops of formats that the brief does not have are told and left out.
     *
     * @param where they were read, for the user
     * @throws IllegalArgumentException with words for the user if a text is not what its name says
     */
    void add(String where, Photo photo, FramingTexts texts) {
        Read read = texts.framing(shoot.brief());
        read.unknown().forEach(name -> trouble(Told.of("told.exchange.no-format", where, name)));
        found.put(photo, read.framing());
    }

    /** Does what was read, in place of what is known of the photos now. */
    public Exchanged apply() {
        List<FramingChange> changes = new ArrayList<>();
        found.forEach((photo, framing) -> {
            Framing before = shoot.framing(photo);
            Framing after = framing.knowing(before);
            if (!before.onlyOf(shoot.brief()).equals(after)) {
                changes.add(new FramingChange(photo.id(), before, after));
            }
        });
        if (!changes.isEmpty()) {
            shoot.apply(new Edit(label, changes, null));
        }
        return new Exchanged(changes.size(), found.size() - changes.size(), List.copyOf(troubles));
    }
}
