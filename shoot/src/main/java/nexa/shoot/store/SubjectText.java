package nexa.shoot.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.brief.Subject;
import nexa.core.geometry.Point;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import org.jspecify.annotations.Nullable;

/** Marks and compositions as the database has them: points as {@code x,y;x,y}, a size before them after a colon. */
final class SubjectText {
    private SubjectText() {}

    static Subject subject(ResultSet row) throws SQLException {
        String marks = row.getString("marks");
        String rule = row.getString("rule");
        return marks == null && rule == null
                ? Subject.UNKNOWN
                : new Subject(
                        new Marks(points(marks)), Optional.ofNullable(rule).map(SubjectText::composition));
    }

    static @Nullable String marks(Marks marks) {
        return marks.isEmpty() ? null : text(marks.points());
    }

    static String rule(Composition rule) {
        return rule.size() + ":" + text(rule.places());
    }

    private static Composition composition(String text) {
        int colon = text.indexOf(':');
        return new Composition(points(text.substring(colon + 1)), Double.parseDouble(text.substring(0, colon)));
    }

    private static String text(List<Point> points) {
        return points.stream().map(p -> p.x() + "," + p.y()).collect(Collectors.joining(";"));
    }

    private static List<Point> points(@Nullable String text) {
        List<Point> points = new ArrayList<>();
        if (text != null) {
            for (String pair : text.split(";")) {
                String[] numbers = pair.split(",");
                points.add(new Point(Double.parseDouble(numbers[0]), Double.parseDouble(numbers[1])));
            }
        }
        return points;
    }
}
