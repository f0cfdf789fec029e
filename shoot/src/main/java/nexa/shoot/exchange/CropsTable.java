package nexa.shoot.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.print.OutputSize;
import nexa.shoot.Photo;
import nexa.shoot.Shoot;
import nexa.shoot.guard.WriteGuard.IfTaken;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * All crops of a shoot in one table (CSV, RFC 4180, UTF-8): a row for each photo and format, with what was asked for and
 * the frame that comes of it. docs/formats.md describes the columns.
 */
public final class CropsTable {
    /** What comes of the crop, for other programs; not read back. Corners in upright pixels. */
    private static final List<String> RESULT =
            List.of("state", "x1", "y1", "x2", "y2", "x3", "y3", "x4", "y4", "pixelsWide", "pixelsHigh");

    private static final List<String> COLUMNS = Stream.of(
                    List.of("photo"), FramingTexts.CROP, RESULT, FramingTexts.PHOTO)
            .flatMap(List::stream)
            .toList();

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader(COLUMNS.toArray(String[]::new))
            .get();

    private CropsTable() {}

    // ---- writing ----

    /**
     * Puts the table in a file whole; the number of rows.
     *
     * @throws IOException with words for the user if it can't be written or the name is taken
     */
    public static int write(Shoot shoot, Path file, IfTaken ifTaken) throws IOException {
        StringBuilder text = new StringBuilder();
        int rows = 0;
        try (CSVPrinter printer = new CSVPrinter(text, FORMAT)) {
            for (Photo photo : shoot.photos()) {
                for (Map<String, String> row : rows(shoot, photo)) {
                    printer.printRecord(COLUMNS.stream().map(column -> row.getOrDefault(column, "")));
                    rows++;
                }
            }
        }
        shoot.guard().write(file, text.toString().getBytes(StandardCharsets.UTF_8), ifTaken);
        return rows;
    }

    private static List<Map<String, String>> rows(Shoot shoot, Photo photo) {
        Framing framing = shoot.framing(photo);
        FramingTexts texts = FramingTexts.of(framing, shoot.brief());
        List<Map<String, String>> rows = new ArrayList<>();
        for (Format format : shoot.brief().formats()) {
            Map<String, String> derived = Map.of("format", format.name());
            Map<String, String> placed = texts.crops().stream()
                    .filter(crop -> isOf(crop, format) && crop.get("alternate").isEmpty())
                    .findFirst()
                    .orElse(derived);
            Map<String, String> row = row(photo, texts, placed);
            row.put("state", framing.state(format).name().toLowerCase(Locale.ROOT));
            row.putAll(result(shoot, photo, format));
            rows.add(row);
            texts.crops().stream()
                    .filter(crop -> isOf(crop, format) && !crop.get("alternate").isEmpty())
                    .forEach(crop -> rows.add(row(photo, texts, crop)));
        }
        return rows;
    }

    private static boolean isOf(Map<String, String> crop, Format format) {
        return format.name().equals(crop.get("format"));
    }

    private static Map<String, String> row(Photo photo, FramingTexts texts, Map<String, String> crop) {
        Map<String, String> row = new HashMap<>(texts.photo());
        row.putAll(crop);
        row.put("photo", photo.file());
        return row;
    }

    /** Nothing for a photo that can't be read. */
    private static Map<String, String> result(Shoot shoot, Photo photo, Format format) {
        Optional<PhotoSpace> space = shoot.space(photo);
        Optional<Frame> frame = shoot.frame(photo, format);
        Map<String, String> result = new HashMap<>();
        if (space.isPresent() && frame.isPresent()) {
            List<Point> corners = space.get().toUpright(frame.get());
            for (int i = 0; i < corners.size(); i++) {
                result.put("x" + (i + 1), pixels(corners.get(i).x()));
                result.put("y" + (i + 1), pixels(corners.get(i).y()));
            }
            PixelSize size = OutputSize.natural(frame.get(), space.get().asShot());
            result.put("pixelsWide", Integer.toString(size.width()));
            result.put("pixelsHigh", Integer.toString(size.height()));
        }
        return result;
    }

    private static String pixels(double value) {
        return String.format(Locale.ROOT, "%.3f", value);
    }

    // ---- reading ----

    /**
     * Reads a table; nothing changes before that is applied.
     *
     * @throws IOException with words for the user if the file can't be read or is not such a table
     */
    public static Changes read(Shoot shoot, Path file) throws IOException {
        Changes changes = new Changes(shoot, "edit.read.crops");
        for (Map.Entry<String, FramingTexts> entry : texts(file).entrySet()) {
            Optional<Photo> photo = changes.photo(entry.getKey());
            if (photo.isEmpty()) {
                changes.trouble(entry.getKey() + ": there is no such photo");
                continue;
            }
            try {
                changes.add(entry.getKey(), photo.get(), entry.getValue());
            } catch (IllegalArgumentException wrong) {
                changes.trouble(entry.getKey() + ": " + wrong.getMessage());
            }
        }
        return changes;
    }

    /** By photo, in the table's order. Rows of derived frames have no wish, and add nothing to their photo. */
    private static Map<String, FramingTexts> texts(Path file) throws IOException {
        Map<String, FramingTexts> byPhoto = new LinkedHashMap<>();
        CSVFormat named = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (CSVParser rows = named.parse(new StringReader(Files.readString(file, StandardCharsets.UTF_8)))) {
            if (!rows.getHeaderNames().containsAll(List.of("photo", "format", "centreX"))) {
                throw new IOException("This is no table of crops: it has no columns photo, format and centreX");
            }
            for (CSVRecord row : rows) {
                FramingTexts texts = byPhoto.computeIfAbsent(
                        row.get("photo"), photo -> new FramingTexts(cells(row, FramingTexts.PHOTO), new ArrayList<>()));
                Map<String, String> crop = cells(row, FramingTexts.CROP);
                if (!crop.getOrDefault("centreX", "").isBlank()) {
                    texts.crops().add(crop);
                }
            }
        } catch (UncheckedIOException | IllegalArgumentException broken) { // the parser's own
            throw new IOException("This is no table of crops: " + broken.getMessage(), broken);
        } catch (CharacterCodingException binary) {
            throw new IOException("This is no table of crops: it is not UTF-8 text", binary);
        }
        return byPhoto;
    }

    private static Map<String, String> cells(CSVRecord row, List<String> columns) {
        Map<String, String> cells = new LinkedHashMap<>();
        columns.stream().filter(row::isSet).forEach(column -> cells.put(column, row.get(column)));
        return cells;
    }
}
