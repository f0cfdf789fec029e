package nexa.core.brief;

import nexa.core.geometry.Frame;

/**
 * A frame somebody placed.
 *
 * @param wish the frame asked for, remembered as {@link nexa.core.geometry.PhotoSpace#toAsShot} has it
 * @param checked looked at and accepted
 */
public record Crop(Frame wish, boolean checked) {
    public FrameState state() {
        return checked ? FrameState.CHECKED : FrameState.PLACED;
    }
}
