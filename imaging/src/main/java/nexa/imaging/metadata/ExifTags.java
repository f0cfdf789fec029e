package nexa.imaging.metadata;

import java.util.Set;

/** Numbers of the tags that describe the source's own pixels or layout, which a delivered file has of its own. */
public final class ExifTags {
    static final int ORIENTATION = 0x0112;
    static final int PIXEL_WIDTH = 0xA002;
    static final int PIXEL_HEIGHT = 0xA003;
    static final int MAKER_NOTE = 0x927C;
    public static final int XMP = 700;
    public static final int ICC = 34675;
    public static final int IPTC = 33723;
    public static final int IMAGE_RESOURCES = 34377;

    /** TIFF 6.0 baseline and extension tags of pixel layout, pointers to other directories, XMP and ICC. */
    private static final Set<Integer> OF_THE_FILE = Set.of(
            254,
            255,
            256,
            257,
            258,
            259,
            262,
            263,
            266,
            ORIENTATION,
            273,
            277,
            278,
            279,
            280,
            281,
            284,
            288,
            289,
            290,
            291,
            292,
            293,
            297,
            301,
            317,
            318,
            319,
            320,
            321,
            322,
            323,
            324,
            325,
            330,
            332,
            333,
            334,
            336,
            338,
            339,
            340,
            341,
            342,
            347,
            512,
            513,
            514,
            515,
            517,
            518,
            519,
            520,
            521,
            529,
            530,
            531,
            532,
            XMP,
            IPTC,
            IMAGE_RESOURCES,
            ICC,
            34665,
            34853,
            40965,
            PIXEL_WIDTH,
            PIXEL_HEIGHT);

    /** The colours of sensor elements (TIFF/EP, ISO 12234-2), and what DNG 1.7 says of sensor data. */
    private static final Set<Integer> SENSOR_PATTERN = Set.of(33421, 33422, 37398, 37399);

    private static final int FIRST_OF_DNG = 50706;
    private static final int LAST_OF_DNG = 52600;

    private ExifTags() {}

    static boolean describesFile(int tag) {
        return OF_THE_FILE.contains(tag) || SENSOR_PATTERN.contains(tag) || tag >= FIRST_OF_DNG && tag <= LAST_OF_DNG;
    }
}
