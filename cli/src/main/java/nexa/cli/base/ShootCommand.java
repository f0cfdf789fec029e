package nexa.cli.base;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.PathMatcher;
import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.regex.PatternSyntaxException;
import java.util.stream.Collectors;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.naming.ShownName;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Locations;
import nexa.shoot.Opening;
import nexa.shoot.Preferences;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.Exchanged;
import nexa.shoot.exchange.Sidecars;
import nexa.shoot.guard.NameTakenException;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What all commands on a shoot share: the folder, {@code --json}, opening and closing. */
public abstract class ShootCommand implements Callable<Integer> {
    /** As long as another program's short edit takes. */
    private static final Duration PATIENCE = Duration.ofSeconds(2);

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Parameters(paramLabel = "FOLDER", description = "The shoot: a folder of photos.")
    @SuppressWarnings("NullAway.Init")
    private Path folder;

    @Option(names = "--json", description = "Print one JSON array of objects.")
    private boolean json;

    @Option(
            names = {"-h", "--help"},
            usageHelp = true,
            description = "Show this help.")
    private boolean help;

    @Override
    public final Integer call() throws IOException {
        if (!Files.isDirectory(folder)) {
            throw wrong(Words.of(Files.exists(folder) ? "cli.not-folder" : "told.shoot.no-folder", folder));
        }
        Duration patience = edits() ? PATIENCE : Duration.ZERO;
        try (Shoot shoot = Shoot.open(folder, Locations.ofThisUser(), Opening.WHOLE.waiting(patience))) {
            shoot.told().forEach(told -> say(Words.of(told)));
            Rows rows = new Rows();
            boolean allWell = run(shoot, rows);
            if (shoot.mayEdit() && Sidecars.areInStep(shoot)) {
                Sidecars.write(shoot, photo -> true).troubles().forEach(told -> say(Words.of(told)));
            }
            rows.print(spec.commandLine().getOut(), json);
            return ExitCode.of(allWell);
        }
    }

    /** Whether the command, as it was called, changes what is known of the shoot; then it waits a while for others. */
    protected boolean edits() {
        return false;
    }

    /** Does the command's work; false if some photos failed. */
    protected abstract boolean run(Shoot shoot, Rows rows) throws IOException;

    /** Tells what came of writing or reading crops; false if something was left out. */
    protected final boolean add(Rows rows, Exchanged exchanged) {
        rows.add().with("photos", exchanged.photos()).with("same", exchanged.same());
        exchanged.troubles().forEach(told -> say(Words.of(told)));
        return exchanged.troubles().isEmpty();
    }

    /** What an export does with a file that has its name. */
    public static IfTaken ifTaken(boolean replace) {
        return replace ? IfTaken.REPLACE : IfTaken.REFUSE;
    }

    /** Does an export. A name that is taken is told with the way to take it. */
    protected final <T> T exported(Export<T> export) throws IOException {
        try {
            return export.write();
        } catch (NameTakenException taken) {
            throw new ToldException(Told.of("told.cli.taken", taken.told()), taken);
        }
    }

    /** Does something with the measured lenses of this user. */
    protected static <T> T withLenses(WithLenses<T> doing) throws IOException {
        Locations locations = Locations.ofThisUser();
        try (Preferences preferences = Preferences.open(locations)) {
            return doing.with(new Lenses(locations, preferences));
        }
    }

    /** Needs measured lenses. */
    @FunctionalInterface
    protected interface WithLenses<T> {
        T with(Lenses lenses) throws IOException;
    }

    /** What may find a photo unreadable. */
    @FunctionalInterface
    protected interface Reading<T> {
        T read() throws IOException;
    }

    /** What was read of a photo; empty, and said, if the photo turns out to be unreadable. */
    protected final <T> Optional<T> read(Photo photo, Reading<T> reading) throws IOException {
        try {
            return Optional.of(reading.read());
        } catch (UnreadablePhotoException unreadable) {
            say(Words.of("told.at", photo.file(), unreadable.told()));
            return Optional.empty();
        }
    }

    /** Writes a file. */
    @FunctionalInterface
    protected interface Export<T> {
        T write() throws IOException;
    }

    protected final ParameterException wrong(String message) {
        return new ParameterException(spec.commandLine(), message);
    }

    protected final ParameterException wrong(String message, Exception cause) {
        return new ParameterException(spec.commandLine(), message, cause);
    }

    protected final void say(String message) {
        spec.commandLine().getErr().println(ShownName.of(message));
    }

    protected final Format format(Shoot shoot, String name) {
        return format(shoot.brief(), name);
    }

    protected final Format format(Brief brief, String name) {
        return brief.find(name)
                .orElseThrow(() -> wrong(
                        brief.formats().isEmpty()
                                ? Words.of("cli.no-format-brief-empty", name)
                                : Words.of("cli.no-format-brief", name, brief.names())));
    }

    /** The named formats, all if none is named. */
    protected final List<Format> formats(Shoot shoot, List<String> names) {
        return names.isEmpty()
                ? shoot.brief().formats()
                : names.stream().map(name -> format(shoot, name)).distinct().toList();
    }

    /** The photos that match any of the globs, all without globs. */
    protected final List<Photo> chosen(Shoot shoot, List<String> globs) {
        if (globs.isEmpty()) {
            return shoot.photos();
        }
        Set<Photo> chosen = new LinkedHashSet<>();
        for (String glob : globs) {
            List<Photo> matching = matching(shoot, glob);
            if (matching.isEmpty()) {
                throw wrong(Words.of("cli.no-photo-matches", glob, names(shoot.photos())));
            }
            chosen.addAll(matching);
        }
        return List.copyOf(chosen);
    }

    /** The one readable photo that an option names. */
    protected final Photo one(Shoot shoot, String option, String name) {
        List<Photo> matching = chosen(shoot, List.of(name));
        if (matching.size() > 1) {
            throw wrong(Words.of("cli.one-photo", option, name, names(matching)));
        }
        Photo photo = matching.getFirst();
        photo.trouble().ifPresent(trouble -> {
            throw wrong(Words.of("told.at", photo.file(), trouble.told()));
        });
        return photo;
    }

    private List<Photo> matching(Shoot shoot, String glob) {
        try {
            PathMatcher matcher = FileSystems.getDefault().getPathMatcher("glob:" + glob);
            return shoot.photos().stream()
                    .filter(photo -> photo.file().equals(glob)
                            || matcher.matches(Path.of(photo.file()))
                            || matcher.matches(Path.of(photo.name())))
                    .toList();
        } catch (PatternSyntaxException malformed) {
            throw wrong(Words.of("cli.not-pattern", glob), malformed);
        }
    }

    protected final void requireEditing(Shoot shoot) throws IOException {
        if (!shoot.mayEdit()) {
            throw new ToldException(shoot.told().isEmpty() ? "told.cli.open-elsewhere" : "told.cli.no-change");
        }
    }

    /** Says which photos can't be read; true if there are none. */
    protected final boolean sayUnreadable(List<Photo> photos) {
        List<Photo> unreadable =
                photos.stream().filter(photo -> !photo.isReadable()).toList();
        unreadable.forEach(photo -> say(
                Words.of("told.at", photo.file(), photo.trouble().orElseThrow().told())));
        return unreadable.isEmpty();
    }

    protected static String names(List<Photo> photos) {
        int shown = 12;
        String list = photos.stream().limit(shown).map(Photo::file).collect(Collectors.joining(", "));
        return photos.size() > shown ? list + " " + Words.of("paper.more", photos.size() - shown) : list;
    }
}
