package nexa.core.files;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.files.Description.Keep;
import nexa.core.files.Finish.Sharpening;
import nexa.core.files.Packing.Chroma;
import nexa.core.files.Packing.Compression;
import nexa.core.files.Packing.Depth;
import nexa.core.fill.Fill;
import nexa.core.told.InvalidException;
import nexa.core.told.Told;

/** File settings as text: first type, quality and colours, then a clause for each thing that is not as usual. */
final class FileText {
    /** What an earlier version wrote: a profile's path to the end, with whatever characters. */
    private static final Pattern BARE_PROFILE = Pattern.compile("\\w+(?: \\d+)? profile (?!\").*");

    private static final Pattern AT_MOST = Pattern.compile("at most (\\d{1,9}) kb");
    private static final Pattern PPI = Pattern.compile("(\\d{1,9}) ppi");
    private static final Pattern ENLARGED = Pattern.compile("enlarged up to (\\d{1,9}) ?%");
    private static final Pattern SHARPENED = Pattern.compile("sharpened for (\\w+)(?: (\\d{1,9}) ?%)?");
    private static final Pattern CHROMA = Pattern.compile("(full|half|quarter) chroma");
    private static final Pattern DEPTH = Pattern.compile("(8|16) bits");
    private static final Pattern COMPRESSION = Pattern.compile("(lzw|no) compression");
    private static final Pattern KEEP = Pattern.compile("keep (all|credit|none)");
    private static final Pattern MOST_FILL = Pattern.compile("warned above (\\d{1,9}) ?% fill");
    private static final Pattern FILL = Pattern.compile("fill (.+)");
    private static final Pattern INTENT = Pattern.compile("(perceptual|relative|saturation|absolute) intent");
    private static final Pattern WORDS =
            Pattern.compile("(creator|copyright|caption) \"(.*)\"", Pattern.CASE_INSENSITIVE);

    private FileText() {}

    // ---- writing ----

    static String of(FileSettings files) {
        return of(files, lower(files.type()) + " " + files.quality());
    }

    /** Without a quality that the type does not have. */
    static String toRead(FileSettings files) {
        return files.type().hasQuality() ? of(files) : of(files, lower(files.type()));
    }

    private static String of(FileSettings files, String type) {
        List<String> clauses = new ArrayList<>();
        clauses.add(first(type, files.colour()));
        conversion(files.colour().how(), clauses);
        packing(files.packing(), clauses);
        finish(files.finish(), clauses);
        description(files.description(), clauses);
        add(!files.fill().equals(Fill.WHITE), "fill " + files.fill().text(), clauses);
        add(files.mostFill() != FileSettings.USUAL_MOST_FILL, "warned above " + files.mostFill() + " % fill", clauses);
        return String.join("; ", clauses);
    }

    private static String first(String file, DeliveredColour colour) {
        if (colour.kind() == DeliveredColour.Kind.PROFILE) {
            return file + " profile " + quoted(colour.file());
        }
        return colour.equals(DeliveredColour.KEEP) ? file : file + " " + colour.text();
    }

    private static void conversion(Conversion how, List<String> clauses) {
        add(how.intent() != Conversion.DEFAULT.intent(), lower(how.intent()) + " intent", clauses);
        add(how.keepsBlack(), "black stays black", clauses);
    }

    private static void packing(Packing packing, List<String> clauses) {
        add(packing.mostKilobytes() > 0, "at most " + packing.mostKilobytes() + " kB", clauses);
        add(packing.chroma() != Chroma.BY_QUALITY, lower(packing.chroma()) + " chroma", clauses);
        add(packing.progressive(), "progressive", clauses);
        add(packing.depth() != Depth.PHOTO, (packing.depth() == Depth.EIGHT ? 8 : 16) + " bits", clauses);
        add(packing.untouched(), "untouched pixels", clauses);
        add(packing.compression() == Compression.LZW, "lzw compression", clauses);
        add(packing.compression() == Compression.NONE, "no compression", clauses);
    }

    private static void finish(Finish finish, List<String> clauses) {
        String sharpened = "sharpened for " + lower(finish.sharpening()) + " " + finish.amount() + " %";
        add(finish.sharpening() != Sharpening.OFF || finish.amount() != 100, sharpened, clauses);
        add(finish.ppi() > 0, finish.ppi() + " ppi", clauses);
        add(finish.enlarge() > 100, "enlarged up to " + finish.enlarge() + " %", clauses);
    }

    private static void description(Description said, List<String> clauses) {
        add(said.keep() != Keep.ALL, "keep " + lower(said.keep()), clauses);
        add(said.dropsPlace(), "no place", clauses);
        add(!said.creator().isEmpty(), "creator " + quoted(said.creator()), clauses);
        add(!said.copyright().isEmpty(), "copyright " + quoted(said.copyright()), clauses);
        add(!said.caption().isEmpty(), "caption " + quoted(said.caption()), clauses);
    }

    private static void add(boolean unusual, String clause, List<String> clauses) {
        if (unusual) {
            clauses.add(clause);
        }
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    private static String quoted(String text) {
        return '"' + text.replace("\"", "\"\"") + '"';
    }

    private static String unquoted(String text) {
        return text.replace("\"\"", "\"");
    }

    // ---- reading ----

    static FileSettings parse(String text) {
        String stripped = text.strip();
        if (BARE_PROFILE.matcher(stripped).matches()) {
            return bareProfile(stripped);
        }
        if (stripped.chars().filter(c -> c == '"').count() % 2 != 0) {
            throw new InvalidException("told.files.quote-does-not-end", stripped);
        }
        List<String> clauses = clauses(stripped);
        return with(first(clauses.isEmpty() ? stripped : clauses.getFirst()), clauses);
    }

    /** What follows the path is clauses if it reads as such; else an earlier version wrote a path with semicolons. */
    private static FileSettings bareProfile(String text) {
        int end = text.indexOf(';');
        if (end < 0) {
            return first(text);
        }
        try {
            return with(first(text.substring(0, end).strip()), clauses(text));
        } catch (IllegalArgumentException allIsPath) { // then the rest is part of the path
            return first(text);
        }
    }

    private static FileSettings with(FileSettings first, List<String> clauses) {
        FileSettings files = first;
        for (String clause : clauses.subList(Math.min(1, clauses.size()), clauses.size())) {
            files = with(files, clause);
        }
        return files;
    }

    /** Cut at the semicolons outside quotes. */
    private static List<String> clauses(String text) {
        List<String> clauses = new ArrayList<>();
        boolean quoted = false;
        int from = 0;
        for (int i = 0; i <= text.length(); i++) {
            boolean end = i == text.length();
            if (end || text.charAt(i) == ';' && !quoted) {
                String clause = text.substring(from, i).strip();
                if (!clause.isEmpty()) {
                    clauses.add(clause);
                }
                from = i + 1;
            } else if (text.charAt(i) == '"') {
                quoted = !quoted;
            }
        }
        return clauses;
    }

    private static FileSettings first(String clause) {
        String[] words = clause.split("\\s+", 2);
        FileType type = FileType.named(words[0])
                .orElseThrow(() -> new InvalidException("told.files.not-file-type-write-jpeg", clause));
        int usual = FileSettings.DEFAULT.quality();
        return words.length < 2 ? new FileSettings(type, usual) : first(type, words[1], usual);
    }

    private static FileSettings first(FileType type, String rest, int usual) {
        String[] words = rest.split("\\s+", 2);
        if (Character.isLetter(words[0].charAt(0))) {
            return new FileSettings(type, usual, colour(rest));
        }
        DeliveredColour colour = words.length < 2 ? DeliveredColour.KEEP : colour(words[1]);
        return new FileSettings(type, number(words[0]), colour);
    }

    private static DeliveredColour colour(String text) {
        DeliveredColour colour = DeliveredColour.parse(text);
        String file = colour.file();
        boolean isQuoted = file.length() > 2 && file.startsWith("\"") && file.endsWith("\"");
        return isQuoted ? DeliveredColour.profile(unquoted(file.substring(1, file.length() - 1))) : colour;
    }

    private static int number(String digits) {
        try {
            return Integer.parseInt(digits);
        } catch (NumberFormatException notANumber) {
            throw new InvalidException(Told.of("told.files.no-quality-from", digits), notANumber);
        }
    }

    private static FileSettings with(FileSettings files, String clause) {
        String plain = clause.toLowerCase(Locale.ROOT);
        Packing packing = files.packing();
        Finish finish = files.finish();
        Description said = files.description();
        if (plain.equals("progressive")) {
            return files.packed(packing.progressive(true));
        }
        if (plain.equals("untouched pixels")) {
            return files.packed(packing.untouched(true));
        }
        Conversion how = files.colour().how();
        if (plain.equals("black stays black")) {
            return converted(files, new Conversion(how.intent(), true));
        }
        if (plain.equals("no place")) {
            return files.described(said.keeping(said.keep(), true));
        }
        return when(AT_MOST, plain, m -> files.packed(packing.atMost(Integer.parseInt(m.group(1)))))
                .or(() -> when(CHROMA, plain, m -> files.packed(packing.with(Chroma.valueOf(upper(m.group(1)))))))
                .or(() -> when(INTENT, plain, m -> converted(files, intent(how, m.group(1)))))
                .or(() -> when(DEPTH, plain, m -> files.packed(packing.with(depth(m.group(1))))))
                .or(() -> when(COMPRESSION, plain, m -> files.packed(packing.with(compression(m.group(1))))))
                .or(() -> when(SHARPENED, plain, m -> files.finished(sharpened(finish, m))))
                .or(() -> when(PPI, plain, m -> files.finished(finish.tagged(Integer.parseInt(m.group(1))))))
                .or(() -> when(ENLARGED, plain, m -> files.finished(finish.enlarged(Integer.parseInt(m.group(1))))))
                .or(() -> when(
                        KEEP,
                        plain,
                        m -> files.described(said.keeping(Keep.valueOf(upper(m.group(1))), said.dropsPlace()))))
                .or(() -> when(MOST_FILL, plain, m -> files.warnedAbove(Integer.parseInt(m.group(1)))))
                .or(() -> when(FILL, plain, m -> files.filled(Fill.parse(m.group(1)))))
                .or(() -> when(WORDS, clause, m -> files.described(said(said, m))))
                .orElseThrow(() -> new InvalidException("told.files.says-nothing-about-file", clause));
    }

    private static FileSettings converted(FileSettings files, Conversion how) {
        return files.coloured(files.colour().converted(how));
    }

    private static Conversion intent(Conversion how, String word) {
        return new Conversion(Conversion.Intent.valueOf(upper(word)), how.keepsBlack());
    }

    private static Optional<FileSettings> when(Pattern pattern, String clause, Function<Matcher, FileSettings> then) {
        Matcher matcher = pattern.matcher(clause);
        return matcher.matches() ? Optional.of(then.apply(matcher)) : Optional.empty();
    }

    private static String upper(String word) {
        return word.toUpperCase(Locale.ROOT);
    }

    private static Depth depth(String bits) {
        return bits.equals("8") ? Depth.EIGHT : Depth.SIXTEEN;
    }

    private static Compression compression(String word) {
        return word.equals("lzw") ? Compression.LZW : Compression.NONE;
    }

    private static Finish sharpened(Finish finish, Matcher clause) {
        int amount = clause.group(2) == null ? 100 : Integer.parseInt(clause.group(2));
        for (Sharpening sharpening : Sharpening.values()) {
            if (lower(sharpening).equals(clause.group(1))) {
                return finish.sharpened(sharpening, amount);
            }
        }
        throw new InvalidException("told.files.sharpening-for-screen-matt-or", clause.group(1));
    }

    private static Description said(Description said, Matcher clause) {
        if (clause.group(2).replace("\"\"", "").contains("\"")) {
            throw new InvalidException("told.files.write-quote-inside-twice", clause.group());
        }
        String text = unquoted(clause.group(2));
        return switch (clause.group(1).toLowerCase(Locale.ROOT)) {
            case "creator" -> said.saying(text, said.copyright(), said.caption());
            case "copyright" -> said.saying(said.creator(), text, said.caption());
            default -> said.saying(said.creator(), said.copyright(), text);
        };
    }
}
