package nexa.shoot.exchange;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.print.OutputSize;
import nexa.core.space.PhotoSpace;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.disk.AtomicFile;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.photo.Photo;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * All crops of a shoot in one table (CSV, RFC 4180, UTF-8): a row for each photo and format, with what was asked for and
 * the frame that comes of it. docs/formats.md describes the columns.
 */
public final class CropsTable {
    /** What comes of the crop, for other programs; not read back. Corners in upright pixels. */
    private static final List<String> RESULT =
            List.of("state", "x1", "y1", "x2", "y2", "x3", "y3", "x4", "y4", "pixelsWide", "pixelsHigh");

    /** The photo's content, to find one that was renamed. */
    private static final String CONTENT = "content";

    private static final List<String> COLUMNS = Stream.of(
                    List.of("photo"), FramingTexts.CROP, RESULT, FramingTexts.PHOTO, List.of(CONTENT))
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
        AtomicInteger rows = new AtomicInteger();
        shoot.guard().write(file, out -> rows.set(write(shoot, out)), AtomicFile.Check.NONE, ifTaken);
        return rows.get();
    }

    private static int write(Shoot shoot, OutputStream out) throws IOException {
        int rows = 0;
        Writer text = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
        CSVPrinter printer = new CSVPrinter(text, FORMAT);
        for (Photo photo : shoot.photos()) {
            for (Map<String, String> row : rows(shoot, photo)) {
                printer.printRecord(COLUMNS.stream().map(column -> Cell.written(row.getOrDefault(column, ""))));
                rows++;
            }
        }
        printer.flush();
        return rows;
    }

    private static List<Map<String, String>> rows(Shoot shoot, Photo photo) {
        Framing framing = shoot.framing(photo);
        FramingTexts texts = FramingTexts.of(framing, shoot.brief());
        List<Map<String, String>> rows = new ArrayList<>();
        for (Format format : shoot.brief().formats()) {
            Map<String, String> derived = Map.of("format", format.name());
            Map<String, String> placed = texts.crops().stream()
                    .filter(crop -> isOf(crop, format) && !isAlternate(crop))
                    .findFirst()
                    .orElse(derived);
            Map<String, String> row = row(photo, texts, placed);
            row.put("state", framing.state(format).name().toLowerCase(Locale.ROOT));
            row.putAll(result(shoot, photo, format));
            rows.add(row);
            texts.crops().stream()
                    .filter(crop -> isOf(crop, format) && isAlternate(crop))
                    .forEach(crop -> rows.add(row(photo, texts, crop)));
        }
        return rows;
    }

    private static boolean isAlternate(Map<String, String> crop) {
        return !crop.getOrDefault("alternate", "").isEmpty();
    }

    private static boolean isOf(Map<String, String> crop, Format format) {
        return format.name().equals(crop.get("format"));
    }

    private static Map<String, String> row(Photo photo, FramingTexts texts, Map<String, String> crop) {
        Map<String, String> row = new HashMap<>(texts.photo());
        row.putAll(crop);
        row.put("photo", photo.file());
        row.put(CONTENT, photo.fingerprint());
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
     * Reads a table, also as spreadsheets write it: with a mark of its encoding, semicolons or tabs between the cells and
     * commas in the numbers. Nothing changes before that is applied.
     *
     * @throws IOException with words for the user if the file can't be read or is not such a table
     */
    public static Changes read(Shoot shoot, Path file) throws IOException {
        Changes changes = new Changes(shoot, "edit.read.crops");
        for (Map.Entry<Photo, FramingTexts> entry :
                new TableReader(changes).read(file).entrySet()) {
            String name = entry.getKey().file();
            try {
                changes.add(name, entry.getKey(), entry.getValue());
            } catch (IllegalArgumentException wrong) {
                changes.trouble(Told.of("told.at", name, Told.of(wrong)));
            }
        }
        return changes;
    }
}
