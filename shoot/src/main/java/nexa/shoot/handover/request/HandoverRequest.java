package nexa.shoot.handover.request;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;
import nexa.core.told.InvalidException;

/**
 * What is to be delivered.
 *
 * @param folder absolute
 * @param formats each says how large and as what files it is delivered
 * @param scope which photos
 * @param part of the whole that is done; empty = all of it
 * @param alternates whether kept alternates are delivered too, the pieces of a scan among them, with their names behind the photo's
 */
public record HandoverRequest(
        Path folder,
        List<Format> formats,
        Scope scope,
        Optional<Part> part,
        NameTemplate names,
        Collision collision,
        boolean alternates) {
    public HandoverRequest {
        folder = folder.toAbsolutePath().normalize();
        formats = List.copyOf(formats);
    }

    /** With the usual names, and numbers where names are taken. */
    public HandoverRequest(Path folder, List<Format> formats) {
        this(folder, formats, Scope.ALL, Optional.empty(), NameTemplate.DEFAULT, Collision.NUMBER, false);
    }

    public HandoverRequest named(NameTemplate other, Collision ifTaken) {
        return new HandoverRequest(folder, formats, scope, part, other, ifTaken, alternates);
    }

    public HandoverRequest withAlternates(boolean too) {
        return new HandoverRequest(folder, formats, scope, part, names, collision, too);
    }

    public HandoverRequest of(Scope other) {
        return new HandoverRequest(folder, formats, other, part, names, collision, alternates);
    }

    /** @throws IllegalArgumentException with words for the user if names would depend on what other parts do meanwhile */
    public HandoverRequest of(Part share) {
        if (collision == Collision.NUMBER) {
            throw new InvalidException("told.handover.parts-take-no-numbers");
        }
        return new HandoverRequest(folder, formats, scope, Optional.of(share), names, collision, alternates);
    }
}
