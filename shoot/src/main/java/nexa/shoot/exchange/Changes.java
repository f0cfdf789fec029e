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

/** Framings that were read, gathered to become one step. */
final class Changes {
    private final Shoot shoot;
    private final Map<String, Photo> byFile = new HashMap<>();
    private final Map<String, Photo> byContent = new HashMap<>();
    private final Map<Long, FramingChange> changes = new LinkedHashMap<>();
    private final List<String> troubles = new ArrayList<>();
    private int same;

    Changes(Shoot shoot) {
        this.shoot = shoot;
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
        Framing before = shoot.framing(photo);
        if (before.onlyOf(brief()).equals(framing)) {
            same++;
        } else {
            changes.put(photo.id(), new FramingChange(photo.id(), before, framing));
        }
    }

    Exchanged apply(String label) {
        if (!changes.isEmpty()) {
            shoot.apply(new Edit(label, List.copyOf(changes.values()), null));
        }
        return new Exchanged(changes.size(), same, troubles);
    }
}
