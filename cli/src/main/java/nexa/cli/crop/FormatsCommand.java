package nexa.cli.crop;

import java.io.IOException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import nexa.cli.base.Choice;
import nexa.cli.base.Rows;
import nexa.cli.base.Said;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.exchange.BriefFile;
import nexa.words.FormatWords;
import nexa.words.SizeWords;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(name = "formats", description = "Show or change a shoot's brief.")
public final class FormatsCommand extends ShootCommand {
    @Option(
            names = "--add",
            paramLabel = "NAME=SHAPE",
            description =
                    "Add a format, such as Print=4:5, Web=1.91:1, Any=free or Whole=\"as photo\"; also with its size: Post=\"1080x1350 px\", Page=A4.")
    private List<String> added = new ArrayList<>();

    @Option(names = "--remove", paramLabel = "NAME", description = "Remove a format; its crops are kept.")
    private List<String> removed = new ArrayList<>();

    @Option(
            names = "--size",
            paramLabel = "NAME=SIZE",
            description = "How large a format is delivered: none, 1080x1350 px, long edge 2048, 20x30 cm at 300 ppi.")
    private List<String> sized = new ArrayList<>();

    @Option(names = "--note", paramLabel = "NAME=TEXT", description = "What a format is used for.")
    private List<String> noted = new ArrayList<>();

    @Option(
            names = "--orientation",
            paramLabel = "NAME=RULE",
            description = "How a shape lies: follow photo, horizontal or vertical.")
    private List<String> laid = new ArrayList<>();

    @Option(
            names = "--files",
            paramLabel = "NAME=TYPE",
            description = "How a format becomes files: jpeg 92, png, tiff, webp 80, and more behind semicolons: "
                    + "jpeg 92 srgb; at most 500 kB; sharpened for matt; 300 ppi; keep credit; no place.")
    private List<String> filed = new ArrayList<>();

    @Option(names = "--import", paramLabel = "FILE", description = "Add the formats of a brief in a JSON file.")
    private @Nullable Path imported;

    @Option(names = "--export", paramLabel = "FILE", description = "Write the brief to a JSON file.")
    private @Nullable Path exported;

    @Option(names = "--replace", description = "Put what is written in place of a file that has its name.")
    private boolean replace;

    @Override
    protected boolean edits() {
        return imported != null
                || !Stream.of(added, removed, sized, noted, laid, filed).allMatch(List::isEmpty);
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        Brief before = shoot.brief();
        Brief after = before;
        for (String name : removed) {
            after = after.without(format(shoot, name));
        }
        if (imported != null) {
            after = after.withAll(read(imported).formats());
        }
        for (String addition : added) {
            after = with(after, addition);
        }
        after = changed(after, sized, (format, size) -> format.sized(SizeWords.parse(size)));
        after = changed(after, noted, Format::noted);
        after = changed(after, filed, (format, files) -> format.filed(FileSettings.parse(files)));
        after = changed(after, laid, (format, rule) -> format.lying(BriefFile.rule(rule)));
        if (!after.equals(before)) {
            requireEditing(shoot);
            shoot.apply(Edit.brief("edit.brief", before, after));
        }
        if (exported != null) {
            write(new BriefFile(shoot.name(), after.formats()), exported.toAbsolutePath(), shoot);
        }
        for (Format format : after.formats()) {
            rows.add()
                    .with("name", format.name())
                    .with("shape", Said.of(format.shape()))
                    .with("orientation", Choice.of(BriefFile.words(format.rule())))
                    .with("size", Said.of(format.target()))
                    .with("note", format.note())
                    .with("files", format.files().textToRead());
        }
        return true;
    }

    private void write(BriefFile brief, Path file, Shoot shoot) throws IOException {
        exported(() -> {
            brief.write(file, shoot.guard(), ifTaken(replace));
            return brief;
        });
    }

    private BriefFile read(Path file) {
        try {
            return BriefFile.read(file);
        } catch (NoSuchFileException missing) {
            throw wrong(Words.of("cli.no-file", file), missing);
        } catch (IOException refused) {
            throw wrong(Words.of("told.at", file, Told.of(refused)), refused);
        }
    }

    /** @param settings each NAME=VALUE */
    private Brief changed(Brief brief, List<String> settings, BiFunction<Format, String, Format> change) {
        Brief after = brief;
        for (String setting : settings) {
            int equals = setting.indexOf('=');
            String name = equals < 0 ? setting : setting.substring(0, equals);
            Format format = format(after, name);
            try {
                after = after.changed(change.apply(format, setting.substring(equals + 1)));
            } catch (IllegalArgumentException refused) {
                throw wrong(Words.of(refused));
            }
        }
        return after;
    }

    private Brief with(Brief brief, String addition) {
        int equals = addition.lastIndexOf('=');
        if (equals < 0) {
            throw wrong(Words.of("cli.write-format-add-name-shape", addition));
        }
        try {
            Format typed = FormatWords.typed(addition.substring(equals + 1));
            return brief.with(typed.named(addition.substring(0, equals)));
        } catch (IllegalArgumentException refused) {
            throw wrong(Words.of(refused));
        }
    }
}
