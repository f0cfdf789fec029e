package nexa.shoot.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.Brief;
import nexa.core.brief.Framing;
import nexa.shoot.Photo;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;

/** Framings that were read from files, to become one step. */
public final class Changes {
    private final Shoot shoot;
    private final String label;
    private final Map<String, Photo> byFile = new HashMap<>();
    private final Map<String, Photo> byContent = new HashMap<>();
    private final Map<Photo, Framing> found = new LinkedHashMap<>();
    private final List<String> troubles = new ArrayList<>();

    Changes(Shoot shoot, String label) {
        this.shoot = shoot;
        this.label = label;
        for (Photo photo : shoot.photos()) {
            byFile.put(photo.file(), photo);
            byContent.put(photo.fingerprint(), photo);
        }
    }

    Brief brief() {
        return shoot.brief();
    }

    Optional<Photo> photo(String file) {
        return Optional.ofNullable(byFile.get(file));
    }

    /** A photo that was renamed since. */
    Optional<Photo> withContent(String fingerprint) {
        return Optional.ofNullable(byContent.get(fingerprint));
    }

    void trouble(String words) {
        troubles.add(words);
    }

    void add(Photo photo, Framing framing) {
        found.put(photo, framing);
    }

    /** Does what was read, in place of what is known of the photos now. */
    public Exchanged apply() {
        List<FramingChange> changes = new ArrayList<>();
        found.forEach((photo, framing) -> {
            Framing before = shoot.framing(photo);
            if (!before.onlyOf(brief()).equals(framing)) {
                changes.add(new FramingChange(photo.id(), before, framing));
            }
        });
        if (!changes.isEmpty()) {
            shoot.apply(new Edit(label, changes, null));
        }
        return new Exchanged(changes.size(), found.size() - changes.size(), troubles);
    }
}
