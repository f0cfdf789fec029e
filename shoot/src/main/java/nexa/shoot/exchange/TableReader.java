package nexa.shoot.exchange;

import java.io.BufferedReader;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.photo.Photo;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;

/** Reads a table of crops row by row; what is kept is bounded by the shoot's photos, not by the file. */
final class TableReader {
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    /** No photo has so many crops and alternates; more rows of one are a slip. */
    private static final int MOST_ROWS = 2000;

    /** Cells that are numbers; where cells are not parted by commas, a comma in them is a point. */
    private static final Set<String> NUMBERS =
            Set.of("tilt", "level", "centreX", "centreY", "width", "height", "quarterTurns");

    private final Changes changes;
    private final Map<Photo, FramingTexts> byPhoto = new LinkedHashMap<>();

    TableReader(Changes changes) {
        this.changes = changes;
    }

    /**
     * By photo, in the table's order. Rows of derived frames have no wish, and add nothing to their photo.
     *
     * @throws IOException with words for the user if the file can't be read or is not such a table
     */
    Map<Photo, FramingTexts> read(Path file) throws IOException {
        try (BufferedReader text = new BufferedReader(new ShortLines(decoded(file)))) {
            char between = between(text);
            CSVFormat format = CSVFormat.RFC4180
                    .builder()
                    .setDelimiter(between)
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .setIgnoreEmptyLines(true)
                    .setDuplicateHeaderMode(DuplicateHeaderMode.ALLOW_EMPTY)
                    .setAllowMissingColumnNames(true) // spreadsheets write empty columns at the end
                    .get();
            rows(format.parse(text), between != ',');
        } catch (IllegalArgumentException twice) { // the parser's own
            throw new ToldException(Told.of("told.exchange.no-table-crops-columns-twice"), twice);
        } catch (CSVException | CharacterCodingException broken) {
            throw noTable(broken, 1);
        }
        return byPhoto;
    }

    /** @param row that can't be read, of which the first has the columns' names */
    private static IOException noTable(IOException broken, long row) {
        return switch (broken) {
            case CSVException quotes -> new ToldException(Told.of("told.exchange.no-table-crops-row", row), quotes);
            case CharacterCodingException binary ->
                new ToldException(Told.of("told.exchange.no-table-crops-not-utf"), binary);
            default -> broken;
        };
    }

    private static Reader decoded(Path file) throws IOException {
        return new InputStreamReader(Files.newInputStream(file), StandardCharsets.UTF_8.newDecoder());
    }

    /** What parts the cells of the first line; behind the mark of the encoding, which is passed over. */
    private static char between(BufferedReader text) throws IOException {
        text.mark(1 << 13);
        if (text.read() != BYTE_ORDER_MARK) {
            text.reset();
        }
        text.mark(1 << 13);
        char[] first = new char[1 << 12];
        int length = Math.max(0, text.read(first));
        text.reset();
        String line = new String(first, 0, length).lines().findFirst().orElse("");
        char best = ',';
        for (char candidate : new char[] {';', '\t'}) {
            best = count(line, candidate) > count(line, best) ? candidate : best;
        }
        return best;
    }

    private static long count(String line, char of) {
        return line.chars().filter(c -> c == of).count();
    }

    private void rows(CSVParser rows, boolean commaInNumbers) throws IOException {
        if (!rows.getHeaderNames().containsAll(List.of("photo", "format", "centreX"))) {
            throw new ToldException("told.exchange.no-table-crops-no-columns");
        }
        try {
            for (CSVRecord row : rows) {
                photo(row).ifPresent(photo -> take(photo, row, commaInNumbers));
            }
        } catch (UncheckedIOException broken) { // the parser's own
            throw noTable(Objects.requireNonNull(broken.getCause()), rows.getRecordNumber() + 2);
        }
    }

    /** By its name; one that was renamed by its content. */
    private Optional<Photo> photo(CSVRecord row) {
        String name = row.isSet("photo") ? Cell.read(row.get("photo")) : "";
        Optional<Photo> photo = changes.photo(name)
                .or(() -> row.isSet("content") ? changes.withContent(row.get("content")) : Optional.empty());
        if (photo.isEmpty()) {
            changes.trouble(Told.of("told.exchange.no-photo", name));
        }
        return photo;
    }

    private void take(Photo photo, CSVRecord row, boolean commaInNumbers) {
        FramingTexts texts = byPhoto.computeIfAbsent(
                photo, each -> new FramingTexts(cells(row, FramingTexts.PHOTO, commaInNumbers), new ArrayList<>()));
        Map<String, String> crop = cells(row, FramingTexts.CROP, commaInNumbers);
        if (crop.getOrDefault("centreX", "").isBlank()) {
            return;
        }
        if (texts.crops().size() < MOST_ROWS) {
            texts.crops().add(crop);
        } else {
            changes.trouble(Told.of("told.exchange.too-many-rows", photo.file(), MOST_ROWS));
        }
    }

    private static Map<String, String> cells(CSVRecord row, List<String> columns, boolean commaInNumbers) {
        Map<String, String> cells = new LinkedHashMap<>();
        for (String column : columns) {
            if (row.isSet(column)) {
                String text = Cell.read(row.get(column));
                cells.put(column, commaInNumbers && NUMBERS.contains(column) ? text.replace(',', '.') : text);
            }
        }
        return cells;
    }

    /** Ends a text whose line does not: a parser would hold all of it. */
    private static final class ShortLines extends FilterReader {
        private static final int LONGEST = 1 << 20;
        private int length;

        ShortLines(Reader in) {
            super(in);
        }

        @Override
        public int read(char[] into, int from, int most) throws IOException {
            int read = super.read(into, from, most);
            for (int i = 0; i < read; i++) {
                length = into[from + i] == '\n' ? 0 : length + 1;
            }
            if (length > LONGEST) {
                throw new ToldException("told.exchange.no-table-crops-line-more");
            }
            return read;
        }
    }
}
