package nexa.cli;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
final class MarkCommand extends ShootCommand {
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
    boolean edits() {
        return doing != null && (!doing.suggest || apply);
    }

    @Override
    boolean run(Shoot shoot, Rows rows) throws IOException {
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
        for (Photo photo : chosen.stream().filter(Photo::isReadable).toList()) {
            Framing before = shoot.framing(photo);
            Optional<Suggestion> suggestion = suggests ? suggested(shoot, photo) : Optional.empty();
            Optional<Marks> after =
                    suggests ? suggestion.map(Suggestion::marks) : Optional.of(marks(shoot, photo, before));
            allWell &= after.isPresent();
            after.ifPresent(marks -> {
                changes.add(new FramingChange(photo.id(), before, before.withMarks(stored(before, marks, suggests))));
                Rows.Row row = add(rows, shoot, photo, before.withMarks(marks));
                suggestion.ifPresent(found -> row.with("confidence", found.confidence())
                        .with("decision", found.accepted() ? "accept" : "offer"));
            });
        }
        shoot.apply(new Edit("edit.mark", changes, null));
        return allWell;
    }

    /** Proposals leave what somebody marked alone. */
    private Marks stored(Framing before, Marks marks, boolean suggested) {
        boolean kept = suggested && !(apply && before.marks().isEmpty());
        return kept ? before.marks() : marks;
    }

    private Marks marks(Shoot shoot, Photo photo, Framing framing) {
        if (doing == null) {
            return framing.marks();
        }
        return doing.at != null ? marksAt(shoot.space(photo).orElseThrow(), doing.at) : Marks.NONE;
    }

    /** Empty if nothing stands out or the photo can't be decoded, which is said. */
    private Optional<Suggestion> suggested(Shoot shoot, Photo photo) throws IOException {
        Optional<Optional<Suggestion>> looked = read(photo, () -> MarkSuggester.suggest(shoot, photo));
        if (looked.filter(Optional::isEmpty).isPresent()) {
            say(Words.of("cli.no-subject-stands-out", photo.file()));
        }
        return looked.flatMap(found -> found);
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
