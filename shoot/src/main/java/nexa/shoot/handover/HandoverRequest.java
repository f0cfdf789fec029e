package nexa.shoot.handover;

import java.nio.file.Path;
import java.util.List;
import nexa.core.brief.Format;
import nexa.imaging.deliver.FileSettings;

/**
 * What is to be delivered.
 *
 * @param longEdge at most so many pixels on the long edge, for formats without a size target; 0 = the frame's own
 *     pixels. Never enlarges
 */
public record HandoverRequest(Path folder, List<Format> formats, int longEdge, FileSettings settings) {
    public HandoverRequest {
        formats = List.copyOf(formats);
        if (longEdge < 0) {
            throw new IllegalArgumentException("A long edge has at least 1 pixel, not " + longEdge);
        }
    }
}
