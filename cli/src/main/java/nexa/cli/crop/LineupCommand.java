package nexa.cli.crop;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.StringJoiner;
import nexa.cli.base.Choice;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Format;
import nexa.core.lineup.Deviation;
import nexa.core.lineup.Lineup;
import nexa.core.lineup.Placing;
import nexa.core.lineup.Spread;
import nexa.core.lineup.Trait;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "lineup",
        description = "Measure how the marked photos' results in a format differ from an exemplar's.",
        footer = "Offsets are in fractions of the frame, size is over the exemplar's, lean in degrees clockwise.")
public final class LineupCommand extends ShootCommand {
    @Option(names = "--format", required = true, paramLabel = "NAME", description = "The format to measure.")
    @SuppressWarnings("NullAway.Init")
    private String formatName;

    @Option(names = "--exemplar", required = true, paramLabel = "PHOTO", description = "The photo to measure against.")
    @SuppressWarnings("NullAway.Init")
    private String exemplarName;

    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        Format format = format(shoot, formatName);
        Photo exemplar = one(shoot, "--exemplar", exemplarName);
        List<Photo> measured = new ArrayList<>();
        List<Placing> placings = new ArrayList<>();
        measured.add(exemplar);
        placings.add(placing(shoot, exemplar, format)
                .orElseThrow(() -> wrong(Words.of("cli.no-marks-set-them-with", exemplar.file()))));
        for (Photo photo : chosen(shoot, globs)) {
            if (!photo.equals(exemplar) && !shoot.framing(photo).setAside()) {
                placing(shoot, photo, format).ifPresent(placing -> {
                    measured.add(photo);
                    placings.add(placing);
                });
            }
        }
        Lineup lineup = new Lineup(placings);
        List<Deviation> deviations = lineup.deviations();
        List<Set<Trait>> outliers = lineup.outliers();
        for (int i = 0; i < measured.size(); i++) {
            add(rows, measured.get(i), deviations.get(i), outliers.get(i));
        }
        say(words(lineup.spread(), measured.size()));
        return true;
    }

    private static Optional<Placing> placing(Shoot shoot, Photo photo, Format format) {
        return photo.facts().flatMap(facts -> Placing.of(facts.asShot(), shoot.framing(photo), format, shoot.brief()));
    }

    private static void add(Rows rows, Photo photo, Deviation deviation, Set<Trait> outlier) {
        rows.add()
                .with("photo", photo.file())
                .with("offsetX", deviation.offset().x())
                .with("offsetY", deviation.offset().y())
                .with("size", value(deviation.sizeRatio()))
                .with("lean", value(deviation.lean()))
                .with("outlier", outlier.stream().sorted().map(Choice::of).toList());
    }

    private static @Nullable Double value(OptionalDouble figure) {
        return figure.isPresent() ? figure.getAsDouble() : null;
    }

    private static String words(Spread spread, int count) {
        StringJoiner figures = new StringJoiner(", ");
        figures.add(Words.of("cli.spread", count, 100 * spread.place()));
        spread.size().ifPresent(size -> figures.add(Words.of("cli.spread.size", 100 * size)));
        spread.lean().ifPresent(lean -> figures.add(Words.of("cli.spread.lean", lean)));
        return figures.toString();
    }
}
