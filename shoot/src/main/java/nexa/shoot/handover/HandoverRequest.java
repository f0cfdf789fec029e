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
 * @param scope which photos
 * @param alternates whether kept alternates are delivered too, the pieces of a scan among them, with their names behind the photo's
 */
public record HandoverRequest(
        Path folder, List<Format> formats, Scope scope, NameTemplate names, Collision collision, boolean alternates) {
    public HandoverRequest {
        folder = folder.toAbsolutePath().normalize();
        formats = List.copyOf(formats);
    }

    /** With the usual names, and numbers where names are taken. */
    public HandoverRequest(Path folder, List<Format> formats) {
        this(folder, formats, Scope.ALL, NameTemplate.DEFAULT, Collision.NUMBER, false);
    }

    public HandoverRequest named(NameTemplate other, Collision ifTaken) {
        return new HandoverRequest(folder, formats, scope, other, ifTaken, alternates);
    }

    public HandoverRequest withAlternates(boolean too) {
        return new HandoverRequest(folder, formats, scope, names, collision, too);
    }

    public HandoverRequest of(Scope other) {
        return new HandoverRequest(folder, formats, other, names, collision, alternates);
    }
}
