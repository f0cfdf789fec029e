package nexa.desktop.wall;

import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.carry.Carried;
import nexa.core.review.Warning;
import nexa.desktop.model.RepeatsModel;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Looks;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** What a tile says of its photo. */
record TileWords(ShootModels models) {
    private Session session() {
        return models.session();
    }

    /** What is stored: while a gesture goes on warnings stay as they were. */
    Set<Warning> warnings(Photo photo) {
        return session()
                .format()
                .map(format -> session().shoot().warnings(photo, format))
                .orElse(Set.of());
    }

    /** What a tooltip says; empty if there is nothing to say. */
    String explanation(Photo photo) {
        return Stream.of(
                        Looks.words(warnings(photo)),
                        models.repeats().of(photo).map(TileWords::why).orElse(""),
                        photo.facts()
                                .map(facts ->
                                        Looks.words(facts, session().shoot().companion(photo)))
                                .orElse(""))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining("\n"));
    }

    /** How the photo stands in the active format. */
    String state(Photo photo, Framing framing) {
        Carried carried = session().carry().planProperty().get().get(photo);
        if (carried != null) {
            return carried.losses().stream()
                    .sorted()
                    .map(loss -> Words.of("loss", loss))
                    .collect(Collectors.joining(", "));
        }
        String fresh = session().arrivals().freshProperty().get().contains(photo) ? Words.of("wall.fresh") + "  " : "";
        String repeat = fresh + models.repeats().of(photo).map(TileWords::words).orElse("");
        if (framing.setAside()) {
            return repeat + Words.of("wall.aside");
        }
        return repeat
                + session().format().map(framing::state).map(TileWords::sign).orElse("");
    }

    private static String words(RepeatsModel.Place place) {
        return Words.of(
                        place.best().isEmpty() ? "wall.repeat" : "wall.repeat.best",
                        place.place(),
                        place.group().photos().size())
                + "  ";
    }

    private static String why(RepeatsModel.Place place) {
        String reasons = place.best().stream()
                .sorted()
                .map(reason -> Words.of("wall.repeat", reason))
                .collect(Collectors.joining(", "));
        return reasons.isEmpty()
                ? ""
                : Words.of("wall.repeat.why", place.group().photos().size(), reasons);
    }

    /** Derived is the usual state and keeps quiet. */
    private static String sign(FrameState state) {
        return switch (state) {
            case DERIVED -> "";
            case PLACED -> Words.of(state);
            case CHECKED -> "✓ " + Words.of(state);
        };
    }
}
