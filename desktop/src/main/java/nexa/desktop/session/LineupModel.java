package nexa.desktop.session;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import nexa.core.brief.Format;
import nexa.core.lineup.Deviation;
import nexa.core.lineup.Lineup;
import nexa.core.lineup.Placing;
import nexa.core.lineup.Spread;
import nexa.core.lineup.Trait;
import nexa.core.mark.Composition;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;

/** Results of a set of photos in the active format, measured against the exemplar. */
public final class LineupModel {
    /**
     * The set and its figures.
     *
     * @param photos the exemplar first
     * @param deviations of the photos with marks; empty if the exemplar has none
     * @param outliers in what photos stand out
     * @param reached those that stand out and come no nearer, as their photos end; as it was before a gesture
     * @param spread empty if the exemplar has no marks
     */
    public record Shown(
            List<Photo> photos,
            Map<Photo, Deviation> deviations,
            Map<Photo, Set<Trait>> outliers,
            Set<Photo> reached,
            Optional<Spread> spread) {
        static final Shown NOTHING = new Shown(List.of(), Map.of(), Map.of(), Set.of(), Optional.empty());

        public Optional<Photo> exemplar() {
            return photos.stream().findFirst();
        }

        /** Those that stand out. */
        public Set<Photo> standingOut() {
            return outliers.entrySet().stream()
                    .filter(entry -> !entry.getValue().isEmpty())
                    .map(Map.Entry::getKey)
                    .collect(Collectors.toSet());
        }

        private Set<Photo> comingNearer() {
            Set<Photo> some = standingOut();
            some.removeAll(reached);
            return some;
        }

        private Shown withReached(Set<Photo> now) {
            return new Shown(photos, deviations, outliers, now, spread);
        }
    }

    private static final String GUIDES = "line-up guides";

    private final Session session;
    private final ObjectProperty<List<Double>> guides = new SimpleObjectProperty<>(List.of());
    private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>(Shown.NOTHING);
    private final ByFraming<Optional<Placing>> placings;
    private List<Photo> set = List.of();
    private Optional<Photo> exemplar = Optional.empty();

    /** The set, the exemplar first. */
    private List<Photo> ordered = List.of();

    LineupModel(Session session) {
        this.session = session;
        this.placings =
                new ByFraming<>(session::brief, session::framing, (photo, framing, format, brief) -> photo.facts()
                        .flatMap(facts -> Placing.of(facts.asShot(), framing, format, brief)));
    }

    /** Called once the session stands: gathers when the view is opened, and measures again while it is open. */
    void follow() {
        guides.set(session.shoot().setting(GUIDES).map(LineupModel::numbers).orElse(List.of()));
        guides.subscribe((before, now) -> session.shoot().remember(GUIDES, text(now)));
        session.viewProperty().subscribe((before, now) -> {
            if (now == MainView.LINEUP && before != MainView.LINEUP) {
                gather();
            }
        });
        Follow.each(this::refreshIfOpen, session.editsProperty(), session.previewsProperty(), session.formatProperty());
    }

    private void refreshIfOpen() {
        if (session.viewProperty().get() == MainView.LINEUP) {
            refresh();
        }
    }

    private static List<Double> numbers(String text) {
        try {
            return Stream.of(text.split(" "))
                    .filter(word -> !word.isEmpty())
                    .map(Double::valueOf)
                    .filter(Double::isFinite)
                    .toList();
        } catch (NumberFormatException ofAnotherVersion) { // then the usual one is
            return List.of();
        }
    }

    private static String text(List<Double> numbers) {
        return numbers.stream().map(String::valueOf).collect(Collectors.joining(" "));
    }

    public ReadOnlyObjectProperty<Shown> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Lines across all results, in fractions of the frame's height from its top. */
    public ObjectProperty<List<Double>> guidesProperty() {
        return guides;
    }

    /** Lines up the chosen photos, or all that are looked at; the current photo becomes the exemplar. */
    public void gather() {
        List<Photo> chosen = session.selection().chosen();
        List<Photo> some = chosen.size() > 1 ? chosen : session.list().photos();
        set = some.stream()
                .filter(Photo::isReadable)
                .filter(photo -> chosen.size() > 1 || !session.framing(photo).setAside())
                .toList();
        exemplar = session.photo().filter(set::contains).or(() -> set.stream().findFirst());
        session.selection().property().set(Set.of());
        order();
        refresh();
        if (guides.get().isEmpty()) {
            guides.set(exemplarLines());
        }
    }

    /** The heights of the exemplar's marks in its frame, such as rim and foot; none if it has no marks. */
    private List<Double> exemplarLines() {
        return exemplar.flatMap(first -> session.format()
                        .flatMap(format -> session.frame(first, format))
                        .map(frame ->
                                session
                                        .framing(first)
                                        .marks()
                                        .in(session.shoot().space(first).orElseThrow())
                                        .stream()
                                        .map(mark -> Composition.fraction(frame, mark)
                                                .y())
                                        .filter(y -> y >= 0 && y <= 1)
                                        .toList()))
                .orElse(List.of());
    }

    /** One more line, where none is near: in the middle, else at a third. */
    public void addGuide() {
        List<Double> more = new ArrayList<>(guides.get());
        Stream.of(0.5, 1 / 3.0, 2 / 3.0, 0.2, 0.8)
                .filter(y -> more.stream().allMatch(line -> Math.abs(line - y) > 0.04))
                .findFirst()
                .ifPresent(more::add);
        guides.set(List.copyOf(more));
    }

    /** Puts a line elsewhere. */
    public void moveGuide(int which, double fraction) {
        if (which < guides.get().size()) {
            List<Double> moved = new ArrayList<>(guides.get());
            moved.set(which, fraction);
            guides.set(List.copyOf(moved));
        }
    }

    public void removeGuide(int which) {
        List<Double> fewer = new ArrayList<>(guides.get());
        fewer.remove(which);
        guides.set(List.copyOf(fewer));
    }

    /** Measures against the current photo from now on. */
    public void makeExemplar() {
        exemplar = session.photo().filter(set::contains).or(() -> exemplar);
        order();
        refresh();
    }

    private void order() {
        List<Photo> photos = new ArrayList<>(set);
        exemplar.ifPresent(first -> {
            photos.remove(first);
            photos.addFirst(first);
        });
        ordered = List.copyOf(photos);
    }

    /** Measures anew what is asked of the photos now, a gesture included. */
    public void refresh() {
        Shown measured =
                session.format().map(format -> measured(ordered, format)).orElse(Shown.NOTHING);
        shown.set(measured.withReached(
                session.previewsProperty().get().isEmpty()
                        ? reached(measured)
                        : shown.get().reached()));
    }

    private Set<Photo> reached(Shown measured) {
        Set<Photo> out = measured.standingOut();
        return out.isEmpty()
                ? Set.of()
                : pulling(measured)
                        .map(pulling -> out.stream()
                                .filter(photo -> !pulling.bringsNearer(photo))
                                .collect(Collectors.toSet()))
                        .orElse(Set.of());
    }

    /** Empty if there is nothing to pull to. */
    private Optional<Pulling> pulling(Shown measured) {
        return measured.exemplar().filter(measured.deviations()::containsKey).flatMap(first -> session.format()
                .map(format -> new Pulling(session, first, format)));
    }

    private Shown measured(List<Photo> photos, Format format) {
        List<Optional<Placing>> all = placings.of(photos, format);
        if (all.isEmpty() || all.getFirst().isEmpty()) {
            return new Shown(photos, Map.of(), Map.of(), Set.of(), Optional.empty());
        }
        List<Photo> measured = IntStream.range(0, photos.size())
                .filter(i -> all.get(i).isPresent())
                .mapToObj(photos::get)
                .toList();
        Lineup lineup = new Lineup(all.stream().flatMap(Optional::stream).toList());
        Map<Photo, Deviation> deviations = new LinkedHashMap<>();
        Map<Photo, Set<Trait>> outliers = new LinkedHashMap<>();
        List<Deviation> figures = lineup.deviations();
        List<Set<Trait>> traits = lineup.outliers();
        for (int i = 0; i < measured.size(); i++) {
            deviations.put(measured.get(i), figures.get(i));
            outliers.put(measured.get(i), traits.get(i));
        }
        return new Shown(photos, deviations, outliers, Set.of(), Optional.of(lineup.spread()));
    }

    /** The photos that a pull would change: the selected ones with marks, or those that stand out and come nearer by it. */
    public List<Photo> pulled() {
        Shown now = shown.get();
        Set<Photo> selected = session.selection().property().get();
        Set<Photo> meant = selected.isEmpty() ? now.comingNearer() : selected;
        return now.photos().stream()
                .skip(1)
                .filter(photo -> meant.contains(photo) && now.deviations().containsKey(photo))
                .toList();
    }

    /** Solves the selected photos to the exemplar by their marks, those that stand out if none is selected. */
    public void pullIn() {
        List<Photo> photos = pulled();
        if (session.shoot().mayEdit() && !photos.isEmpty()) {
            pulling(shown.get()).ifPresent(pulling -> session.shoot()
                    .apply(new Edit(
                            "edit.pull", photos.stream().map(pulling::of).toList(), null)));
        }
    }
}
