package nexa.desktop.photo;

/** How soon a picture is wanted; the first goes first. */
public enum Urgency {
    /** The photo being worked on. */
    CURRENT,
    /** A camera's own small picture of a photo in sight: it takes hardly any time. */
    FIRST_LOOK,
    /** A photo in sight. */
    VISIBLE,
    /** One that will be in sight after the next step: the photo before and behind, the next screen. */
    NEXT,
    /** All others, so that they are there when somebody scrolls to them. */
    REST
}
