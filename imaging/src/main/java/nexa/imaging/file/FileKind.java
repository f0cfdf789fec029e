package nexa.imaging.file;

/** The kinds of files a photo may be; told by content, not by the name's ending. */
public enum FileKind {
    JPEG,
    PNG,
    TIFF,
    WEBP,
    BMP,
    /** A camera's sensor data, seen through the JPEG that the camera put into it. */
    RAW,
    /** Any other that the pixel library reads; there it is found by asking it. */
    OTHER;

    /** Whether its photos may have more than eight bits a channel. */
    public boolean mayBeDeep() {
        return this != JPEG;
    }

    /** Whether OpenCV's decoder already applies the file's orientation tag, whatever it is asked. */
    public boolean decodesAsShot() {
        return this == TIFF;
    }
}
