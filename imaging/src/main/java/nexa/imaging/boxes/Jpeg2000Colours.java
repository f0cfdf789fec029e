package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Of what colours a JPEG 2000 file says that its samples are (ISO/IEC 15444-1, I.5.3.3 and 15444-2, M.11.7.3): of several ways
 * to say it the first that is read here.
 *
 * @param areRead whether they are grey, or red, green and blue, or nothing is said of them; not if they are of a palette
 * @param icc their profile; null if none is given
 */
record Jpeg2000Colours(boolean areRead, byte @Nullable [] icc) {
    static final Jpeg2000Colours UNSAID = new Jpeg2000Colours(true, null);

    private static final String PALETTE = "pclr";
    private static final int BY_NUMBER = 1;
    private static final int RESTRICTED_PROFILE = 2;
    private static final int ANY_PROFILE = 3;
    private static final int BEFORE = 3;

    /** Black and white in two ways, sRGB, grey, sYCC. Among others are inks, CIELAB and wider colours. */
    private static final Set<Integer> READ = Set.of(0, 15, 16, 17, 18);

    private static final int SPACE = 16;
    private static final Set<String> SPACES = Set.of("RGB ", "GRAY");

    static Jpeg2000Colours of(FileBoxes top) throws IOException, ImageProcessingException {
        Optional<ByteBuffer> header = top.content("jp2h");
        List<Jpeg2000Colours> said = new ArrayList<>();
        for (Box box : header.map(Box::in).orElse(List.of())) {
            if (box.is(PALETTE)) {
                return new Jpeg2000Colours(false, null);
            }
            if (box.is("colr") && box.content().remaining() > BEFORE) {
                said(box.content()).ifPresent(said::add);
            }
        }
        return said.stream()
                .filter(Jpeg2000Colours::areRead)
                .findFirst()
                .orElse(said.isEmpty() ? UNSAID : new Jpeg2000Colours(false, null));
    }

    /** Empty if it is said in a way that only one maker knows. */
    private static Optional<Jpeg2000Colours> said(ByteBuffer content) {
        int method = content.get(0);
        ByteBuffer in = content.slice().position(BEFORE);
        if (method == BY_NUMBER && in.remaining() >= Integer.BYTES) {
            return Optional.of(new Jpeg2000Colours(READ.contains(in.getInt()), null));
        }
        return method == RESTRICTED_PROFILE || method == ANY_PROFILE
                ? Optional.of(ofProfile(Box.rest(in)))
                : Optional.empty();
    }

    /** A profile that is none does no harm. */
    private static Jpeg2000Colours ofProfile(byte[] icc) {
        if (icc.length < SPACE + 4) {
            return UNSAID;
        }
        String space = new String(icc, SPACE, 4, StandardCharsets.ISO_8859_1);
        return SPACES.contains(space) ? new Jpeg2000Colours(true, icc) : new Jpeg2000Colours(false, null);
    }
}
