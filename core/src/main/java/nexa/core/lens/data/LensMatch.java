package nexa.core.lens.data;

import java.util.List;

/** Which measured lens a photo was taken with. */
public sealed interface LensMatch {

    /**
     * @param why how sure it is
     * @param crop of the camera
     */
    record One(LensProfile lens, double crop, Why why) implements LensMatch {}

    /** Several that are equally likely, best first. */
    record Several(List<LensProfile> lenses, double crop) implements LensMatch {
        public Several {
            lenses = List.copyOf(lenses);
        }
    }

    record Nothing(Why why) implements LensMatch {}

    /** What a match rests on, or why there is none. */
    enum Why {
        /** The file names the lens, in the same words. */
        NAMED,
        /** The file names the lens in nearly these words. */
        ALIKE,
        /** The camera's own lens, which can't be taken off. */
        BUILT_IN,
        /** The photographer said so. */
        CHOSEN,
        /** The camera corrected the picture itself. */
        CORRECTED_IN_CAMERA,
        /** The file names no camera. */
        NO_CAMERA,
        /** The file names no lens. */
        NO_LENS,
        /** The lens's focal length is not in the file. */
        NO_FOCAL,
        /** How large the sensor is, is not known. */
        NO_SENSOR,
        /** No measures of such a lens. */
        NOT_MEASURED
    }
}
