package nexa.shoot.exchange;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
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
        saveFormats(first(format, formats(), Format::name));
    }

    public void drop(Format format) {
        saveFormats(without(format, formats(), Format::name));
    }

    private void saveFormats(List<Format> formats) {
        preferences.put(FORMATS, new BriefFile("", formats).text());
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(BriefFile brief) {
        if (brief.name().isBlank()) {
            throw new InvalidException("told.exchange.give-brief-name");
        }
        BriefFile named = new BriefFile(brief.name().strip(), brief.formats());
        save(BRIEFS, first(named, briefs(), BriefFile::name), BriefFile::text);
    }

    public void drop(BriefFile brief) {
        save(BRIEFS, without(brief, briefs(), BriefFile::name), BriefFile::text);
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(KeptHandover handover) {
        if (handover.name().isBlank()) {
            throw new InvalidException("told.exchange.give-handover-name");
        }
        save(HANDOVERS, first(handover, handovers(), KeptHandover::name), KeptHandover::text);
    }

    public void drop(KeptHandover handover) {
        save(HANDOVERS, without(handover, handovers(), KeptHandover::name), KeptHandover::text);
    }

    /** In front of the others, in place of one that has its name. */
    private static <T> List<T> first(T one, List<T> others, Function<T, String> name) {
        List<T> longer = new ArrayList<>(without(one, others, name));
        longer.addFirst(one);
        return longer;
    }

    private static <T> List<T> without(T one, List<T> others, Function<T, String> name) {
        String gone = name.apply(one).strip();
        return others.stream()
                .filter(other -> !name.apply(other).equalsIgnoreCase(gone))
                .toList();
    }

    private <T> void save(String setting, List<T> all, Function<T, String> text) {
        preferences.put(setting, all.stream().map(text).collect(Collectors.joining(SEPARATOR)));
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
