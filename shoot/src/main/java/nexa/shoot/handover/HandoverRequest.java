package nexa.shoot.handover;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;

/**
 * What is to be delivered.
 *
 * @param longEdge at most so many pixels on the long edge, for formats without a size target; 0 = the frame's own
 *     pixels. Never enlarges
 * @param settings for all formats; empty = as each format says
 * @param colour for all formats; empty = as each format says
 */
public record HandoverRequest(
        Path folder,
        List<Format> formats,
        int longEdge,
        Optional<FileSettings> settings,
        Optional<DeliveredColour> colour,
        NameTemplate names,
        Collision collision) {
    public HandoverRequest {
        formats = List.copyOf(formats);
        if (longEdge < 0) {
            throw new IllegalArgumentException("A long edge has at least 1 pixel, not " + longEdge);
        }
    }

    /** With each format's colours, the usual names, and numbers where names are taken. */
    public HandoverRequest(Path folder, List<Format> formats, int longEdge, Optional<FileSettings> settings) {
        this(folder, formats, longEdge, settings, Optional.empty(), NameTemplate.DEFAULT, Collision.NUMBER);
    }

    public HandoverRequest coloured(Optional<DeliveredColour> other) {
        return new HandoverRequest(folder, formats, longEdge, settings, other, names, collision);
    }

    public HandoverRequest named(NameTemplate other, Collision ifTaken) {
        return new HandoverRequest(folder, formats, longEdge, settings, colour, other, ifTaken);
    }

    /** How a format becomes files. */
    public FileSettings settings(Format format) {
        FileSettings files =
                settings.map(all -> all.coloured(format.files().colour())).orElse(format.files());
        return colour.map(files::coloured).orElse(files);
    }
}
