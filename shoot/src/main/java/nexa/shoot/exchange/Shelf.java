package nexa.shoot.exchange;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.brief.Format;
import nexa.core.told.InvalidException;
import nexa.shoot.Preferences;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What one user keeps for other shoots: single formats, and whole briefs and handovers under a name. Names are unique ignoring case;
 * keeping one again replaces it.
 */
public final class Shelf {
    private static final Logger LOG = LoggerFactory.getLogger(Shelf.class);
    private static final String FORMATS = "shelf formats";
    private static final String BRIEFS = "shelf briefs";
    private static final String HANDOVERS = "shelf handovers";

    /** Between briefs; JSON escapes it inside of them. */
    private static final String SEPARATOR = "\u001e";

    private final Preferences preferences;

    public Shelf(Preferences preferences) {
        this.preferences = preferences;
    }

    /** Newest first. */
    public List<Format> formats() {
        return preferences
                .get(FORMATS)
                .flatMap(text -> read(text, BriefFile::parse))
                .map(BriefFile::formats)
                .orElse(List.of());
    }

    /** Newest first. */
    public List<BriefFile> briefs() {
        return all(BRIEFS, BriefFile::parse);
    }

    /** Newest first. */
    public List<KeptHandover> handovers() {
        return all(HANDOVERS, KeptHandover::parse);
    }

    private <T> List<T> all(String setting, Parsing<T> parsing) {
        return preferences.get(setting).stream()
                .flatMap(all -> List.of(all.split(SEPARATOR)).stream())
                .filter(text -> !text.isBlank())
                .flatMap(text -> read(text, parsing).stream())
                .toList();
    }

    public void keep(Format format) {
        List<Format> longer = new ArrayList<>(without(format));
        longer.addFirst(format);
        saveFormats(longer);
    }

    public void drop(Format format) {
        saveFormats(without(format));
    }

    private List<Format> without(Format format) {
        return formats().stream()
                .filter(other -> !other.name().equalsIgnoreCase(format.name()))
                .toList();
    }

    private void saveFormats(List<Format> formats) {
        preferences.put(FORMATS, new BriefFile("", formats).text());
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(BriefFile brief) {
        if (brief.name().isBlank()) {
            throw new InvalidException("told.exchange.give-brief-name");
        }
        List<BriefFile> longer = new ArrayList<>(without(brief));
        longer.addFirst(new BriefFile(brief.name().strip(), brief.formats()));
        saveBriefs(longer);
    }

    public void drop(BriefFile brief) {
        saveBriefs(without(brief));
    }

    private List<BriefFile> without(BriefFile brief) {
        return briefs().stream()
                .filter(other -> !other.name().equalsIgnoreCase(brief.name().strip()))
                .toList();
    }

    private void saveBriefs(List<BriefFile> briefs) {
        preferences.put(BRIEFS, briefs.stream().map(BriefFile::text).collect(Collectors.joining(SEPARATOR)));
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(KeptHandover handover) {
        if (handover.name().isBlank()) {
            throw new InvalidException("told.exchange.give-handover-name");
        }
        List<KeptHandover> longer = new ArrayList<>(without(handover));
        longer.addFirst(handover);
        saveHandovers(longer);
    }

    public void drop(KeptHandover handover) {
        saveHandovers(without(handover));
    }

    private List<KeptHandover> without(KeptHandover handover) {
        return handovers().stream()
                .filter(other -> !other.name().equalsIgnoreCase(handover.name().strip()))
                .toList();
    }

    private void saveHandovers(List<KeptHandover> handovers) {
        preferences.put(HANDOVERS, handovers.stream().map(KeptHandover::text).collect(Collectors.joining(SEPARATOR)));
    }

    private interface Parsing<T> {
        T parse(String text) throws IOException;
    }

    /** What another version or a slip of the hand left is passed over. */
    private static <T> Optional<T> read(String text, Parsing<T> parsing) {
        try {
            return Optional.of(parsing.parse(text));
        } catch (IOException unreadable) {
            LOG.warn("Something on the shelf can't be read: {}", unreadable.toString());
            return Optional.empty();
        }
    }
}
