package nexa.cli.base;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import nexa.core.geometry.Point;
import nexa.core.naming.ShownName;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;

/**
 * What a command prints: objects with the same fields in the same order; some may lack the last ones. As JSON they are for
 * programs, the same in every language; as a table for people, in theirs.
 */
public final class Rows {
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private static final Pattern CAPITAL = Pattern.compile("[A-Z]");

    private final List<Map<String, @Nullable Object>> rows = new ArrayList<>();

    /** Starts a row. */
    public Row add() {
        Map<String, @Nullable Object> row = new LinkedHashMap<>();
        rows.add(row);
        return new Row(row);
    }

    /** One row; points become {@code [x, y]}. */
    public record Row(Map<String, @Nullable Object> fields) {
        public Row with(String name, @Nullable Object value) {
            fields.put(name, value);
            return this;
        }

        /**
         * What a search found: how sure it is, and whether it is to be used or why not; nothing if there was no search.
         *
         * @param refusal empty = it is to be used
         */
        public Row withVerdict(Optional<Double> confidence, Optional<Choice> refusal) {
            return withVerdict(confidence, refusal, false);
        }

        /** @param offered whether it is refused, but likely enough to be shown */
        public Row withVerdict(Optional<Double> confidence, Optional<Choice> refusal, boolean offered) {
            String decision = refusal.isEmpty() ? "accept" : offered ? "offer" : "refuse";
            return with("confidence", confidence.orElse(null))
                    .with("decision", confidence.isPresent() ? Choice.of(decision) : null)
                    .with("reason", refusal.orElse(null));
        }

        public Row withPoints(String name, List<Point> points) {
            fields.put(name, points.stream().map(p -> List.of(p.x(), p.y())).toList());
            return this;
        }
    }

    /** Prints them: one JSON array, or a table. */
    public void print(PrintWriter out, boolean json) {
        if (json) {
            printJson(out);
        } else {
            printTable(out);
        }
        out.flush();
    }

    private void printJson(PrintWriter out) {
        try {
            out.println(JSON.writeValueAsString(rows));
        } catch (JsonProcessingException impossible) { // strings, numbers and lists
            throw new IllegalStateException(impossible);
        }
    }

    private void printTable(PrintWriter out) {
        if (rows.isEmpty()) {
            return;
        }
        List<List<String>> cells = new ArrayList<>();
        List<String> columns =
                rows.stream().flatMap(row -> row.keySet().stream()).distinct().toList();
        cells.add(columns.stream().map(Rows::heading).toList());
        rows.forEach(row ->
                cells.add(columns.stream().map(column -> text(row.get(column))).toList()));
        int[] widths = new int[cells.getFirst().size()];
        for (List<String> row : cells) {
            for (int column = 0; column < widths.length; column++) {
                widths[column] = Math.max(widths[column], row.get(column).length());
            }
        }
        cells.forEach(row -> out.println(line(row, widths)));
    }

    /** A field's name in the user's language. */
    private static String heading(String field) {
        return Words.of("row." + CAPITAL.matcher(field).replaceAll("-$0").toLowerCase(Locale.ROOT));
    }

    private static String line(List<String> row, int[] widths) {
        StringBuilder line = new StringBuilder();
        for (int column = 0; column < widths.length; column++) {
            String pad = String.join(
                    "", Collections.nCopies(widths[column] - row.get(column).length() + 2, " "));
            line.append(row.get(column)).append(pad);
        }
        return line.toString().stripTrailing();
    }

    private static String text(@Nullable Object value) {
        return switch (value) {
            case null -> "";
            case Choice choice -> choice.inWords();
            case Said said -> said.words();
            case Boolean is -> Words.of(is ? "row.is.true" : "row.is.false");
            case Double d -> Words.number("%.4g", d);
            case List<?> list -> Integer.toString(list.size());
            default -> ShownName.of(value.toString());
        };
    }
}
