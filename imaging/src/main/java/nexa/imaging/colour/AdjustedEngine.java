package nexa.imaging.colour;

import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;

/**
 * The JDK's engine in two steps, between which colours are adjusted as it can't do itself: scaled in XYZ so that one
 * black becomes the other (ISO 18619, 6), or one paper's white is measured as the other's (ICC.1:2022, 6.3.2).
 */
final class AdjustedEngine implements Engine {
    private final Engine first;
    private final Engine second;
    private final Adjustment adjustment;

    AdjustedEngine(Profile from, Profile to, Intent intent, Adjustment adjustment) {
        this.first = new DirectEngine(from.engine(intent), Profile.XYZ.engine(intent));
        this.second = new DirectEngine(Profile.XYZ.engine(intent), to.engine(intent));
        this.adjustment = adjustment;
    }

    /** The simplest that does it. */
    static Engine between(Profile from, Profile to, Conversion how) {
        Intent intent = how.intent() == Intent.ABSOLUTE ? Intent.RELATIVE : how.intent();
        Adjustment adjustment = Adjustment.between(from, to, how);
        return adjustment.isNone()
                ? new DirectEngine(from.engine(intent), to.engine(intent))
                : new AdjustedEngine(from, to, intent, adjustment);
    }

    @Override
    public byte[] convert(byte[] pixels, int width, int height, boolean blueFirst) {
        short[] deep = new short[pixels.length];
        for (int i = 0; i < deep.length; i++) {
            deep[i] = Depth.deep(pixels[i] & 0xFF);
        }
        short[] converted = convert(deep, width, height, blueFirst);
        byte[] bytes = new byte[converted.length];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (byte) Depth.eight(converted[i]);
        }
        return bytes;
    }

    /** Where blue comes first, so does Z. */
    @Override
    public short[] convert(short[] pixels, int width, int height, boolean blueFirst) {
        short[] xyz = first.convert(pixels, width, height, blueFirst);
        adjustment.apply(xyz, blueFirst);
        return second.convert(xyz, width, height, blueFirst);
    }
}
