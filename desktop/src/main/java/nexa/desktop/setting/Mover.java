package nexa.desktop.setting;

/** What a drag inside the frame moves. */
public enum Mover {
    FRAME,
    PHOTO;

    public Mover other() {
        return this == FRAME ? PHOTO : FRAME;
    }
}
