package nexa.cli.crop;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.Choice;
import nexa.cli.base.PhotoWork;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.space.PhotoSpace;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.mark.MarkSuggester;
import nexa.shoot.mark.Suggestion;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "mark",
        description = "Show, set, suggest or take away photos' subject marks.",
        footer = "Marks are in upright pixels, x to the right and y down. Without an option they are only shown.")
public final class MarkCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    /** What to do; only one of them. */
    static final class Doing {
        @Option(
                names = "--at",
                paramLabel = "X,Y[;X,Y]",
                description = "One mark, or two such as a pot's top and foot, on one photo.")
        private @Nullable String at;

        @Option(names = "--suggest", description = "Propose marks; nothing is stored without --apply.")
        private boolean suggest;

        @Option(names = "--clear", description = "Take the marks away.")
        private boolean clear;
    }

    @ArgGroup
    private @Nullable Doing doing;

    @Option(names = "--apply", description = "Store the proposed marks on photos that have none.")
    private boolean apply;

    @Override
    protected boolean edits() {
        return doing != null && (!doing.suggest || apply);
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        List<Photo> chosen = chosen(shoot, globs);
        boolean suggests = doing != null && doing.suggest;
        if (doing != null && (!suggests || apply)) {
            requireEditing(shoot);
        }
        if (doing != null && doing.at != null && chosen.size() > 1) {
            throw wrong(Words.of("cli.marks-one-photo-photo-matches", names(chosen)));
        }
        List<FramingChange> changes = new ArrayList<>();
        boolean allWell = sayUnreadable(chosen);
        List<Photo> photos = chosen.stream().filter(Photo::isReadable).toList();
        try (PhotoWork<Optional<Suggestion>> looked =
                PhotoWork.begin(suggests ? photos : List.of(), photo -> MarkSuggester.suggest(shoot, photo))) {
            for (Photo photo : photos) {
                allWell &= suggests
                        ? suggest(shoot, rows, photo, suggested(photo, looked), changes)
                        : mark(shoot, rows, photo, changes);
            }
        }
        shoot.apply(new Edit("edit.mark", changes, null));
        return allWell;
    }

    /** What somebody marked is left alone. False if nothing was found. */
    private boolean suggest(
            Shoot shoot, Rows rows, Photo photo, Optional<Suggestion> found, List<FramingChange> changes) {
        Framing before = shoot.framing(photo);
        found.ifPresent(suggestion -> {
            boolean takes = apply && before.marks().isEmpty();
            changes.add(new FramingChange(photo.id(), before, takes ? suggestion.on(before) : before));
            add(rows, shoot, photo, before.withMarks(suggestion.marks()))
                    .with("confidence", suggestion.confidence())
                    .with("decision", Choice.of(suggestion.accepted() ? "accept" : "offer"));
        });
        return found.isPresent();
    }

    private boolean mark(Shoot shoot, Rows rows, Photo photo, List<FramingChange> changes) {
        Framing before = shoot.framing(photo);
        boolean clears = doing != null && doing.clear;
        Framing after = clears ? before.unmarked() : before.withMarks(marks(shoot, photo, before));
        changes.add(new FramingChange(photo.id(), before, after));
        add(rows, shoot, photo, after);
        return true;
    }

    private Marks marks(Shoot shoot, Photo photo, Framing framing) {
        return doing == null || doing.at == null
                ? framing.marks()
                : marksAt(shoot.space(photo).orElseThrow(), doing.at);
    }

    /** Empty if nothing stands out or the photo can't be decoded, which is said. */
    private Optional<Suggestion> suggested(Photo photo, PhotoWork<Optional<Suggestion>> looked) throws IOException {
        Optional<Optional<Suggestion>> outcome = read(photo, () -> looked.of(photo));
        if (outcome.filter(Optional::isEmpty).isPresent()) {
            say(Words.of("cli.no-subject-stands-out", photo.file()));
        }
        return outcome.flatMap(found -> found);
    }

    private Marks marksAt(PhotoSpace space, String text) {
        try {
            List<Point> points = new ArrayList<>();
            for (String pair : text.split(";")) {
                String[] numbers = pair.split(",");
                if (numbers.length != 2) {
                    throw new NumberFormatException();
                }
                points.add(new Point(Double.parseDouble(numbers[0]), Double.parseDouble(numbers[1])));
            }
            return MarkSuggester.at(space, points);
        } catch (NumberFormatException notNumbers) {
            throw wrong(Words.of("cli.write-marks-x-y-or", text), notNumbers);
        } catch (IllegalArgumentException refused) {
            throw wrong(Words.of(refused));
        }
    }

    private static Rows.Row add(Rows rows, Shoot shoot, Photo photo, Framing framing) {
        PhotoSpace space = new PhotoSpace(shoot.space(photo).orElseThrow().asShot(), framing.pose());
        return rows.add()
                .with("photo", photo.file())
                .withPoints(
                        "marks",
                        framing.marks().in(space).stream().map(space::toUpright).toList());
    }
}
