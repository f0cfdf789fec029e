package nexa.imaging.file;

/** What a photographer should know of how a photo's file is read. */
public enum Remark {
    /** The file holds more pictures; the first one is shown. */
    FIRST_OF_SEVERAL,
    /** The photo is the JPEG that the camera put into its raw file. */
    CAMERA_PREVIEW,
    /** The same, and it has clearly fewer pixels than the sensor's data. */
    SMALL_PREVIEW,
    /** The photo is developed from the sensor's data. */
    SENSOR_DATA,
    /** The file also says how much brighter some screens are to show it; that is left out. */
    GAIN_MAP,
    /** The picture is made for screens brighter than white paper (PQ or HLG), and shown and delivered as other screens can. */
    HDR,
    /** How transparent the picture is, the file says; that is left out. */
    NO_ALPHA,
    /** The file has no colour profile and is taken for sRGB. */
    NO_PROFILE,
    /** The file has a colour profile that is not for such pixels, and is taken for sRGB. */
    UNFIT_PROFILE,
    /** Parts of the picture are damaged; a decoder filled them in somehow. */
    DAMAGED,
    /** The pixels are ink values (CMYK), turned into sRGB. */
    INK
}
