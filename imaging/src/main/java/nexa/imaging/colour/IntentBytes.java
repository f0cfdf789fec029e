package nexa.imaging.colour;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import nexa.core.files.Conversion.Intent;

/**
 * Profiles as the JDK's engine has to be given them for a rendering intent. It goes neither by a profile's header nor by a
 * wish: from a printer's profile it converts by the relative tables, from all others by the perceptual ones.
 */
final class IntentBytes {
    private static final int CLASS_AT = 12;
    private static final int TAGS_AT = 128;
    private static final int TAG_LENGTH = 12;
    private static final String PRINTER = "prtr";
    private static final String NO_PRINTER = "spac";
    private static final String SATURATION = "2";

    private IntentBytes() {}

    /** For relative a profile says to be a printer's; for saturation all tables are those of saturation. */
    static byte[] of(byte[] profile, Intent intent) {
        byte[] changed = profile.clone();
        if (intent == Intent.SATURATION) {
            called(changed, NO_PRINTER);
            pointToSaturation(ByteBuffer.wrap(changed), "A2B");
            pointToSaturation(ByteBuffer.wrap(changed), "B2A");
        } else if (intent != Intent.PERCEPTUAL) {
            called(changed, PRINTER);
        }
        return changed;
    }

    private static void called(byte[] profile, String device) {
        ByteBuffer.wrap(profile).position(CLASS_AT).put(device.getBytes(StandardCharsets.US_ASCII));
    }

    /** Tags may share their data (ICC.1:2022, 7.3.1). */
    private static void pointToSaturation(ByteBuffer profile, String way) {
        Map<String, Integer> places = new HashMap<>();
        int count = Math.min(profile.getInt(TAGS_AT), (profile.capacity() - TAGS_AT - Integer.BYTES) / TAG_LENGTH);
        for (int i = 0; i < count; i++) {
            int at = TAGS_AT + Integer.BYTES + i * TAG_LENGTH;
            byte[] name = new byte[Integer.BYTES];
            profile.get(at, name);
            places.put(new String(name, StandardCharsets.US_ASCII), at + Integer.BYTES);
        }
        Integer saturation = places.get(way + SATURATION);
        for (String other : new String[] {way + "0", way + "1"}) {
            if (saturation != null && places.containsKey(other)) {
                profile.putLong(places.get(other), profile.getLong(saturation));
            }
        }
    }
}
