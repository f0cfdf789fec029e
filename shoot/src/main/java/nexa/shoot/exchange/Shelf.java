package nexa.shoot.exchange;

import java.io.IOException;
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
 * keeping one again replaces it. What only another version can read stays on the shelf, unseen.
 */
public final class Shelf {
    private final Section<Format> formats;
    private final Section<BriefFile> briefs;
    private final Section<KeptHandover> handovers;

    public Shelf(Preferences preferences) {
        formats = new Section<>(
                preferences,
                "shelf formats",
                Format::name,
                format -> new BriefFile("", List.of(format)).text(),
                text -> BriefFile.parse(text).formats());
        briefs = new Section<>(
                preferences, "shelf briefs", BriefFile::name, BriefFile::text, text -> List.of(BriefFile.parse(text)));
        handovers = new Section<>(
                preferences,
                "shelf handovers",
                KeptHandover::name,
                KeptHandover::text,
                text -> List.of(KeptHandover.parse(text)));
    }

    /** Newest first. */
    public List<Format> formats() {
        return formats.all();
    }

    /** Newest first. */
    public List<BriefFile> briefs() {
        return briefs.all();
    }

    /** Newest first. */
    public List<KeptHandover> handovers() {
        return handovers.all();
    }

    public void keep(Format format) {
        formats.keep(format);
    }

    public void drop(Format format) {
        formats.drop(format);
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(BriefFile brief) {
        if (brief.name().isBlank()) {
            throw new InvalidException("told.exchange.give-brief-name");
        }
        briefs.keep(new BriefFile(brief.name().strip(), brief.formats()));
    }

    public void drop(BriefFile brief) {
        briefs.drop(brief);
    }

    /** @throws IllegalArgumentException with words for the user if it has no name */
    public void keep(KeptHandover handover) {
        if (handover.name().isBlank()) {
            throw new InvalidException("told.exchange.give-handover-name");
        }
        handovers.keep(handover);
    }

    public void drop(KeptHandover handover) {
        handovers.drop(handover);
    }

    private interface Parsing<T> {
        List<T> parse(String text) throws IOException;
    }

    /**
     * All of one kind, in a setting of its own.
     *
     * @param text of one of them
     * @param parsing of such a text; of several
     */
    private record Section<T>(
            Preferences preferences,
            String setting,
            Function<T, String> name,
            Function<T, String> text,
            Parsing<T> parsing) {
        private static final Logger LOG = LoggerFactory.getLogger(Shelf.class);

        /** Between texts; JSON escapes it inside of them. */
        private static final String SEPARATOR = "\u001e";

        List<T> all() {
            return all(texts(preferences.get(setting).orElse("")));
        }

        /** In front of the others, in place of one that has its name. */
        void keep(T one) {
            change(others -> Stream.concat(Stream.of(one), without(one, others)).toList());
        }

        void drop(T one) {
            change(others -> without(one, others).toList());
        }

        private void change(UnaryOperator<List<T>> change) {
            preferences.change(setting, before -> {
                List<String> texts = texts(before);
                Stream<String> readable = change.apply(all(texts)).stream().map(text);
                Stream<String> others = texts.stream().filter(one -> read(one).isEmpty());
                return Stream.concat(readable, others).collect(Collectors.joining(SEPARATOR));
            });
        }

        private static List<String> texts(String joined) {
            return Stream.of(joined.split(SEPARATOR))
                    .filter(one -> !one.isBlank())
                    .toList();
        }

        private List<T> all(List<String> texts) {
            return texts.stream()
                    .flatMap(one -> read(one).stream())
                    .flatMap(List::stream)
                    .toList();
        }

        private Optional<List<T>> read(String one) {
            try {
                return Optional.of(parsing.parse(one));
            } catch (IOException ofAnotherVersion) {
                LOG.warn("Something on the shelf can't be read: {}", ofAnotherVersion.toString());
                return Optional.empty();
            }
        }

        private Stream<T> without(T one, List<T> others) {
            String gone = name.apply(one).strip();
            return others.stream().filter(other -> !name.apply(other).equalsIgnoreCase(gone));
        }
    }
}
