package nexa.shoot.exchange;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
        return formats(kept(FORMATS));
    }

    /** Newest first. */
    public List<BriefFile> briefs() {
        return all(kept(BRIEFS), BriefFile::parse);
    }

    /** Newest first. */
    public List<KeptHandover> handovers() {
        return all(kept(HANDOVERS), KeptHandover::parse);
    }

    private String kept(String setting) {
        return preferences.get(setting).orElse("");
    }

    private static List<Format> formats(String text) {
        return Optional.of(text)
                .filter(kept -> !kept.isBlank())
                .flatMap(kept -> read(kept, BriefFile::parse))
                .map(BriefFile::formats)
                .orElse(List.of());
    }

    private static <T> List<T> all(String text, Parsing<T> parsing) {
        return Stream.of(text.split(SEPARATOR))
                .filter(one -> !one.isBlank())
                .flatMap(one -> read(one, parsing).stream())
                .toList();
    }

    public void keep(Format format) {
        changeFormats(formats -> first(format, formats, Format::name));
    }

    public void drop(Format format) {
        changeFormats(formats -> without(format, formats, Format::name));
    }

    private void changeFormats(UnaryOperator<List<Format>> change) {
        preferences.change(FORMATS, text -> new BriefFile("", change.apply(formats(text))).text());
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(BriefFile brief) {
        if (brief.name().isBlank()) {
            throw new InvalidException("told.exchange.give-brief-name");
        }
        BriefFile named = new BriefFile(brief.name().strip(), brief.formats());
        changeBriefs(briefs -> first(named, briefs, BriefFile::name));
    }

    public void drop(BriefFile brief) {
        changeBriefs(briefs -> without(brief, briefs, BriefFile::name));
    }

    private void changeBriefs(UnaryOperator<List<BriefFile>> change) {
        preferences.change(BRIEFS, text -> joined(change.apply(all(text, BriefFile::parse)), BriefFile::text));
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(KeptHandover handover) {
        if (handover.name().isBlank()) {
            throw new InvalidException("told.exchange.give-handover-name");
        }
        changeHandovers(handovers -> first(handover, handovers, KeptHandover::name));
    }

    public void drop(KeptHandover handover) {
        changeHandovers(handovers -> without(handover, handovers, KeptHandover::name));
    }

    private void changeHandovers(UnaryOperator<List<KeptHandover>> change) {
        preferences.change(HANDOVERS, text -> joined(change.apply(all(text, KeptHandover::parse)), KeptHandover::text));
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

    private static <T> String joined(List<T> all, Function<T, String> text) {
        return all.stream().map(text).collect(Collectors.joining(SEPARATOR));
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
