package nexa.imaging.file;

/** What looking at a file's headers gave. */
public sealed interface Probe {
    record Readable(PhotoFacts facts) implements Probe {}

    record Unreadable(Trouble trouble) implements Probe {}

    static Probe unreadable(Trouble.Kind kind) {
        return new Unreadable(Trouble.of(kind));
    }
}
