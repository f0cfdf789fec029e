package nexa.shoot.photo;

import java.time.LocalDateTime;
import java.util.Optional;
import nexa.core.neutral.Receptors;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import org.jspecify.annotations.Nullable;

/**
 * One image file of a shoot.
 *
 * @param id stays with the photo when its file is renamed or moved
 * @param file path relative to the shoot's folder, with forward slashes
 * @param fingerprint of the content
 */
public record Photo(long id, String file, String fingerprint, Probe probe) {
    private static final String DEVELOPED = "-data";
    private static final String CODED_COLOURS = "-coded";
    private static final String FOR_ANY_SCREEN = "-sdr";

    /** Thousands of photos are looked up at every step of a gesture; ids tell nearly all of them apart. */
    @Override
    public boolean equals(@Nullable Object other) {
        return this == other
                || other instanceof Photo photo
                        && id == photo.id
                        && file.equals(photo.file)
                        && fingerprint.equals(photo.fingerprint)
                        && probe.equals(photo.probe);
    }

    @Override
    public int hashCode() {
        return Long.hashCode(id);
    }

    public Optional<PhotoFacts> facts() {
        return probe instanceof Probe.Readable(PhotoFacts facts) ? Optional.of(facts) : Optional.empty();
    }

    /** The camera's clock, which has no time zone; empty if it didn't say. */
    public Optional<LocalDateTime> taken() {
        return facts().map(PhotoFacts::taken);
    }

    public Optional<Trouble> trouble() {
        return probe instanceof Probe.Unreadable(Trouble trouble) ? Optional.of(trouble) : Optional.empty();
    }

    /** The spaces of a readable photo that is held so. */
    public PhotoSpace space(Pose pose) {
        return new PhotoSpace(facts().orElseThrow().asShot(), pose);
    }

    /** By what another light becomes neutral in it. */
    public Receptors receptors() {
        return facts().map(facts -> facts.camera().receptors()).orElse(Receptors.EYE);
    }

    /** Whether it is that photo, if its file was read anew, with as many pixels: what is done at that one can go on here. */
    public boolean isStill(Photo before) {
        return id == before.id
                && facts().map(PhotoFacts::asShot).equals(before.facts().map(PhotoFacts::asShot));
    }

    public boolean isReadable() {
        return facts().isPresent();
    }

    /** What its pixels are remembered by: its content, which of the pictures in it is shown, and in which colours. */
    public String pixels() {
        return fingerprint + facts().map(Photo::way).orElse("");
    }

    private static String way(PhotoFacts facts) {
        if (facts.kind() == FileKind.RAW_DATA) {
            return DEVELOPED;
        }
        if (facts.remarks().contains(Remark.HDR)) {
            return FOR_ANY_SCREEN;
        }
        return Profile.coded(facts.profile()).isPresent() ? CODED_COLOURS : "";
    }

    /** The file's name without folders and extension. */
    public String stem() {
        return name().replaceFirst("\\.[^.]+$", "");
    }

    /** The file's name without folders. */
    public String name() {
        return file.substring(file.lastIndexOf('/') + 1);
    }
}
