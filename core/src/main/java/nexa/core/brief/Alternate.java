package nexa.core.brief;

import nexa.core.told.InvalidException;

/** A second crop of the same photo and format, kept under a name. Names are unique per photo and format. */
public record Alternate(String name, Crop crop) {
    public static final int LONGEST_NAME = 60;

    /** @throws IllegalArgumentException if it is not a name */
    public Alternate {
        name = name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new InvalidException("told.brief.alternate-name-visible-characters", LONGEST_NAME);
        }
    }
}
