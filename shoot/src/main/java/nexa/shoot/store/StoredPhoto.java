package nexa.shoot.store;

import nexa.core.brief.Framing;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.FoundFile;

/** A photo with what was asked of it, and the file as it was when it was last probed. */
public record StoredPhoto(Photo photo, FoundFile found, Framing framing) {}
