package nexa.desktop.wall;

import java.time.LocalDateTime;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import nexa.desktop.session.Session;
import nexa.shoot.review.PhotoGroup;
import nexa.words.Words;

/** What groups of photos on the Wall have in common, above each; a press on it selects the group. Only those in sight have nodes. */
final class GroupHeadings extends Pane {
    private final Session session;
    private final Map<PhotoGroup, Button> shown = new HashMap<>();
    private final Deque<Button> spare = new ArrayDeque<>();

    GroupHeadings(Session session) {
        this.session = session;
        setPickOnBounds(false);
    }

    /**
     * @param tops of the groups' headings on the Wall; no more than there are groups
     * @param from where on the Wall what is in sight begins
     * @param height of what is in sight
     */
    void show(List<PhotoGroup> groups, List<Double> tops, double from, double height) {
        Map<PhotoGroup, Button> kept = new HashMap<>();
        for (int i = 0; i < tops.size(); i++) {
            double top = tops.get(i) - from;
            if (top + WallLayout.HEADING > 0 && top < height) {
                PhotoGroup group = groups.get(i);
                Button known = shown.remove(group);
                Button heading = known == null ? added(group) : known;
                heading.resizeRelocate(
                        WallLayout.MARGIN, Math.round(top), Math.ceil(heading.prefWidth(-1)), WallLayout.HEADING - 8);
                kept.put(group, heading);
            }
        }
        shown.values().forEach(this::removed);
        shown.clear();
        shown.putAll(kept);
    }

    private Button added(PhotoGroup group) {
        if (spare.isEmpty()) {
            Button made = new Button();
            made.getStyleClass().add("wall-group");
            made.setTooltip(new Tooltip(Words.of("wall.group.select")));
            made.setFocusTraversable(false); // the Wall's photos are gone through by arrows
            getChildren().add(made);
            spare.push(made);
        }
        Button heading = spare.pop();
        heading.setText(words(group));
        heading.setOnAction(event -> session.selection().property().set(Set.copyOf(group.photos())));
        heading.setVisible(true);
        return heading;
    }

    private void removed(Button heading) {
        heading.setVisible(false);
        spare.push(heading);
    }

    static String words(PhotoGroup group) {
        return Words.of("wall.group", what(group), group.photos().size());
    }

    private static String what(PhotoGroup group) {
        if (group.kind() != PhotoGroup.Kind.MOMENT) {
            return Words.of("wall.group", group.kind());
        }
        LocalDateTime first = group.photos().getFirst().taken().orElseThrow();
        LocalDateTime last = group.photos().getLast().taken().orElseThrow();
        boolean oneDay = first.toLocalDate().equals(last.toLocalDate());
        return Words.of(oneDay ? "wall.group.moment" : "wall.group.moment.days", first, last);
    }
}
