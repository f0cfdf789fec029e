package nexa.shoot.handover;

import java.nio.file.Path;
import java.util.List;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;

/**
 * What is to be delivered.
 *
 * @param folder absolute
 * @param formats each says how large and as what files it is delivered
 */
public record HandoverRequest(Path folder, List<Format> formats, NameTemplate names, Collision collision) {
    public HandoverRequest {
        folder = folder.toAbsolutePath().normalize();
        formats = List.copyOf(formats);
    }

    /** With the usual names, and numbers where names are taken. */
    public HandoverRequest(Path folder, List<Format> formats) {
        this(folder, formats, NameTemplate.DEFAULT, Collision.NUMBER);
    }

    public HandoverRequest named(NameTemplate other, Collision ifTaken) {
        return new HandoverRequest(folder, formats, other, ifTaken);
    }
}
