package nexa.shoot.handover;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.brief.DeliveredColour;
import nexa.core.brief.FileSettings;
import nexa.core.brief.Format;

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
        Optional<DeliveredColour> colour) {
    public HandoverRequest {
        formats = List.copyOf(formats);
        if (longEdge < 0) {
            throw new IllegalArgumentException("A long edge has at least 1 pixel, not " + longEdge);
        }
    }

    /** With the colours that each format asks for. */
    public HandoverRequest(Path folder, List<Format> formats, int longEdge, Optional<FileSettings> settings) {
        this(folder, formats, longEdge, settings, Optional.empty());
    }

    /** How a format becomes files. */
    public FileSettings settings(Format format) {
        FileSettings files =
                settings.map(all -> all.coloured(format.files().colour())).orElse(format.files());
        return colour.map(files::coloured).orElse(files);
    }
}
