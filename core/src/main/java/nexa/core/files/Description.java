package nexa.core.files;

import nexa.core.told.InvalidException;

/**
 * What a delivered file says of its photo.
 *
 * @param dropsPlace whether no place goes along, whatever else does
 * @param creator added, in place of the photo's own; empty = as the photo has it. The same holds for the others
 */
public record Description(Keep keep, boolean dropsPlace, String creator, String copyright, String caption) {
    private static final int LONGEST = 2000;

    public static final Description DEFAULT = new Description(Keep.ALL, false, "", "", "");

    /** What goes along of what the photo's file says. */
    public enum Keep {
        ALL,
        /** Who made it, whose it is and how to reach them. */
        CREDIT,
        NONE
    }

    public Description {
        creator = checked(creator);
        copyright = checked(copyright);
        caption = checked(caption);
    }

    private static String checked(String text) {
        String stripped = text.strip();
        if (stripped.length() > LONGEST || stripped.chars().anyMatch(Character::isISOControl)) {
            throw new InvalidException("told.files.field-most-visible-characters-one", LONGEST);
        }
        return stripped;
    }

    public Description keeping(Keep other, boolean noPlace) {
        return new Description(other, noPlace, creator, copyright, caption);
    }

    public Description saying(String byWhom, String whose, String what) {
        return new Description(keep, dropsPlace, byWhom, whose, what);
    }

    /** Whether it has words of its own. */
    public boolean isAdded() {
        return !(creator.isEmpty() && copyright.isEmpty() && caption.isEmpty());
    }
}
