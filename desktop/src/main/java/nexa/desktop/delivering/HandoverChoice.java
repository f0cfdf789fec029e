package nexa.desktop.delivering;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableSet;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.naming.NameTemplate;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.BriefFile;
import nexa.shoot.exchange.KeptHandover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.request.Collision;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.handover.request.Scope;
import nexa.shoot.photo.Photo;

/** What a handover is asked for: formats, photos, folder, names. Folder and names are remembered by the shoot. */
public final class HandoverChoice {
    /** Which photos are meant. */
    public enum Meant {
        ALL,
        /** Those whose crops were checked, format by format. */
        CHECKED,
        /** Those chosen on the Wall. */
        SELECTED,
        /** Those that the filter lets through. */
        FILTERED
    }

    /** What is chosen and looked at meanwhile. */
    public interface Around {
        Collection<Photo> selected();

        Collection<Photo> filtered();
    }

    private static final String FOLDER = "handover folder";
    private static final String NAMES = "handover names";

    private final Shoot shoot;
    private final Around around;
    private final ObservableSet<Integer> leftOut = FXCollections.observableSet();
    private final ObjectProperty<Path> folder;
    private final ObjectProperty<NameTemplate> names;
    private final ObjectProperty<Collision> collision = new SimpleObjectProperty<>(Collision.NUMBER);
    private final ObjectProperty<Meant> meant = new SimpleObjectProperty<>(Meant.ALL);
    private final BooleanProperty alternates = new SimpleBooleanProperty(false);

    public HandoverChoice(Shoot shoot, Around around) {
        this.shoot = shoot;
        this.around = around;
        this.folder = new SimpleObjectProperty<>(shoot.setting(FOLDER)
                .flatMap(HandoverChoice::here)
                .orElse(shoot.folder().resolve("delivered")));
        this.names = new SimpleObjectProperty<>(
                shoot.setting(NAMES).flatMap(HandoverChoice::template).orElse(NameTemplate.DEFAULT));
    }

    /** A shoot may come from another system, where folders have other names. */
    private static Optional<Path> here(String folder) {
        try {
            return Optional.of(Path.of(folder)).filter(Path::isAbsolute);
        } catch (InvalidPathException elsewhere) { // then the usual one is
            return Optional.empty();
        }
    }

    private static Optional<NameTemplate> template(String text) {
        try {
            return Optional.of(new NameTemplate(text));
        } catch (IllegalArgumentException ofAnotherVersion) { // then the usual ones are
            return Optional.empty();
        }
    }

    /** Ids of the formats that are not delivered. */
    public ObservableSet<Integer> leftOut() {
        return leftOut;
    }

    public ObjectProperty<Path> folderProperty() {
        return folder;
    }

    public ObjectProperty<NameTemplate> namesProperty() {
        return names;
    }

    /** What to do where a name is taken. */
    public ObjectProperty<Collision> collisionProperty() {
        return collision;
    }

    /** Whether kept alternates are delivered too. */
    public BooleanProperty alternatesProperty() {
        return alternates;
    }

    /** How many alternates are kept in the chosen formats. */
    public long alternates() {
        List<Format> chosen = chosenFormats();
        return shoot.photos().stream()
                .map(shoot::framing)
                .filter(framing -> !framing.setAside())
                .mapToLong(framing -> chosen.stream()
                        .mapToLong(format -> framing.alternates(format).size())
                        .sum())
                .sum();
    }

    public List<Format> chosenFormats() {
        return shoot.brief().formats().stream()
                .filter(format -> !leftOut.contains(format.id()))
                .toList();
    }

    /** Which photos are delivered. */
    public ObjectProperty<Meant> meantProperty() {
        return meant;
    }

    /** How many photos that would be; of checked ones those with a checked crop in a chosen format. */
    public long count(Meant which) {
        return switch (which) {
            case ALL -> deliverable(shoot.photos());
            case SELECTED -> deliverable(around.selected());
            case FILTERED -> deliverable(around.filtered());
            case CHECKED ->
                deliverable(shoot.photos().stream()
                        .filter(photo -> chosenFormats().stream()
                                .anyMatch(format -> shoot.framing(photo).state(format) == FrameState.CHECKED))
                        .toList());
        };
    }

    /** How many photos are meant. */
    long count() {
        return count(meant.get());
    }

    /** Folder and names are the same next time. */
    void remember() {
        shoot.remember(FOLDER, folder.get().toString());
        shoot.remember(NAMES, names.get().text());
    }

    /** All of it but which photos are meant, to be kept under a name. */
    public KeptHandover kept(String name) {
        return new KeptHandover(
                KeptHandover.kept(folder.get(), shoot.folder()),
                names.get(),
                collision.get(),
                alternates.get(),
                new BriefFile(name.strip(), chosenFormats()));
    }

    /** Asks for what was kept; of the brief's formats for those that it has. */
    public void take(KeptHandover kept) {
        folder.set(kept.folderOf(shoot.folder()));
        names.set(kept.names());
        collision.set(kept.taken());
        alternates.set(kept.alternates());
        Set<Integer> wanted = kept.brief().formats().stream()
                .flatMap(format -> here(format).stream())
                .map(Format::id)
                .collect(Collectors.toSet());
        for (Format format : shoot.brief().formats()) {
            if (wanted.contains(format.id())) {
                leftOut.remove(format.id());
            } else {
                leftOut.add(format.id());
            }
        }
    }

    /** The brief's own format that is the same, or is but for its name, which was taken. */
    private Optional<Format> here(Format other) {
        List<Format> formats = shoot.brief().formats();
        return formats.stream()
                .filter(format -> format.isLike(other))
                .findFirst()
                .or(() -> formats.stream()
                        .filter(format -> format.isLike(other.named(format.name())))
                        .findFirst());
    }

    private Scope scope() {
        return switch (meant.get()) {
            case ALL -> Scope.ALL;
            case CHECKED -> Scope.CHECKED;
            case SELECTED -> Scope.of(around.selected());
            case FILTERED -> Scope.of(around.filtered());
        };
    }

    /** What a run is asked for. */
    HandoverRequest request() {
        return new HandoverRequest(folder.get(), chosenFormats())
                .of(scope())
                .named(names.get(), collision.get())
                .withAlternates(alternates.get());
    }

    private long deliverable(Collection<Photo> photos) {
        return photos.stream()
                .filter(photo -> photo.isReadable() && !shoot.framing(photo).setAside())
                .count();
    }

    public long unreadable() {
        return shoot.photos().stream().filter(photo -> !photo.isReadable()).count();
    }

    public long setAside() {
        return shoot.photos().stream()
                .filter(Photo::isReadable)
                .filter(photo -> shoot.framing(photo).setAside())
                .count();
    }

    /** The first file's name with a template; empty if there would be none. */
    public Optional<String> example(NameTemplate template) {
        return shoot.photos().stream().filter(Photo::isReadable).findFirst().flatMap(photo -> chosenFormats().stream()
                .findFirst()
                .map(format -> HandoverPlan.example(shoot, request().named(template, collision.get()), photo, format)));
    }
}
