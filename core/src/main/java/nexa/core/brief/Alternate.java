package nexa.core.brief;

/** A second crop of the same photo and format, kept under a name. Names are unique per photo and format. */
public record Alternate(String name, Crop crop) {
    public static final int LONGEST_NAME = 60;

    /** @throws IllegalArgumentException if it is not a name */
    public Alternate {
        name = name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new IllegalArgumentException("An alternate's name has 1 to " + LONGEST_NAME + " visible characters");
        }
    }
}
