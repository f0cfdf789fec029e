package nexa.imaging.apart.raw;

import static java.lang.foreign.ValueLayout.ADDRESS;
import static java.lang.foreign.ValueLayout.JAVA_FLOAT;
import static java.lang.foreign.ValueLayout.JAVA_INT;
import static java.lang.foreign.ValueLayout.JAVA_LONG;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.core.neutral.Receptors;
import nexa.imaging.apart.decoder.Refusal;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.file.Trouble;
import nexa.imaging.system.Called;
import nexa.imaging.system.SystemLibrary;

/** The functions of LibRaw (its C API, 0.20 to 0.22). For one thread. */
final class RawLibrary {
    private static final int NO_FLAGS = 0;
    private static final int BITS = 16;
    private static final int COLOURS = 3;
    private static final int ROMM = 4;
    private static final int GROUPED = 2;
    private static final int ADAPTIVE = 3;
    private static final int CLIPPED_TO_WHITE = 0;

    /** The library's whole state is shorter; its settings are looked for in it. */
    private static final long STATE = 400_000;

    private static final int NEVER_A_COLOUR = 0x5EED1234;

    /** From the setting of the colours, as in all versions (libraw_output_params_t). */
    private static final int HALF_SIZE = -24;

    private static final int CAMERA_WHITE = -8;
    private static final long LONGEST_MESSAGE = 4096;

    private final MethodHandle init;
    private final MethodHandle close;
    private final MethodHandle onDamage;
    private final MethodHandle open;
    private final MethodHandle sizes;
    private final MethodHandle width;
    private final MethodHandle height;
    private final MethodHandle unpack;
    private final MethodHandle develop;
    private final MethodHandle image;
    private final MethodHandle clear;
    private final MethodHandle colour;
    private final MethodHandle depth;
    private final MethodHandle interpolation;
    private final MethodHandle highlights;
    private final MethodHandle gamma;
    private final MethodHandle asItIs;
    private final MethodHandle cameraToRgb;
    private final MethodHandle words;
    private final MemorySegment damage;

    /** Set by the library while it unpacks: it gives no error for damaged data, and black pixels. */
    private boolean isDamaged;

    /** @throws Refusal if it is not installed */
    RawLibrary() throws Refusal {
        SystemLibrary library =
                SystemLibrary.raw().orElseThrow(() -> new Refusal(Trouble.Kind.RAW_LIBRARY, "no libraw"));
        init = library.function("libraw_init", ADDRESS, JAVA_INT);
        close = library.function("libraw_close", null, ADDRESS);
        onDamage = library.function("libraw_set_dataerror_handler", null, ADDRESS, ADDRESS, ADDRESS);
        open = library.function("libraw_open_buffer", JAVA_INT, ADDRESS, ADDRESS, JAVA_LONG);
        sizes = library.function("libraw_adjust_sizes_info_only", JAVA_INT, ADDRESS);
        width = library.function("libraw_get_iwidth", JAVA_INT, ADDRESS);
        height = library.function("libraw_get_iheight", JAVA_INT, ADDRESS);
        unpack = library.function("libraw_unpack", JAVA_INT, ADDRESS);
        develop = library.function("libraw_dcraw_process", JAVA_INT, ADDRESS);
        image = library.function("libraw_dcraw_make_mem_image", ADDRESS, ADDRESS, ADDRESS);
        clear = library.function("libraw_dcraw_clear_mem", null, ADDRESS);
        colour = library.function("libraw_set_output_color", null, ADDRESS, JAVA_INT);
        depth = library.function("libraw_set_output_bps", null, ADDRESS, JAVA_INT);
        interpolation = library.function("libraw_set_demosaic", null, ADDRESS, JAVA_INT);
        highlights = library.function("libraw_set_highlight", null, ADDRESS, JAVA_INT);
        gamma = library.function("libraw_set_gamma", null, ADDRESS, JAVA_INT, JAVA_FLOAT);
        asItIs = library.function("libraw_set_no_auto_bright", null, ADDRESS, JAVA_INT);
        cameraToRgb = library.function("libraw_get_rgb_cam", JAVA_FLOAT, ADDRESS, JAVA_INT, JAVA_INT);
        words = library.function("libraw_strerror", ADDRESS, JAVA_INT);
        damage = damageStub();
    }

    private MemorySegment damageStub() {
        try {
            MethodHandle told = MethodHandles.lookup()
                    .bind(
                            this,
                            "damaged",
                            MethodType.methodType(void.class, MemorySegment.class, MemorySegment.class, int.class));
            return Linker.nativeLinker()
                    .upcallStub(told, FunctionDescriptor.ofVoid(ADDRESS, ADDRESS, JAVA_INT), Arena.global());
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    @SuppressWarnings({"unused", "UnusedMethod"}) // called by the library
    private void damaged(MemorySegment data, MemorySegment file, int offset) {
        isDamaged = true;
    }

    /** A file that is open; its bytes are kept until it is closed. */
    final class Opened implements AutoCloseable {
        private final MemorySegment state;

        Opened(MemorySegment bytes) throws Refusal {
            state = Called.address(init, NO_FLAGS);
            if (state.address() == 0) {
                throw Refusal.damaged("no memory for libraw");
            }
            isDamaged = false;
            Called.nothing(onDamage, state, damage, MemorySegment.NULL);
            try {
                needed(Called.number(open, state, bytes, bytes.byteSize()));
            } catch (Refusal refusal) {
                Called.nothing(close, state);
                throw refusal;
            }
        }

        /** Of the developed picture, turned as it is to be seen. */
        PixelSize size() throws Refusal {
            needed(Called.number(sizes, state));
            int across = Called.number(width, state);
            int down = Called.number(height, state);
            if (across <= 0 || down <= 0) {
                throw Refusal.damaged(across + " x " + down);
            }
            return new PixelSize(across, down);
        }

        /** Of the sensor; the eye's if the library knows none, or not three. */
        Receptors receptors() {
            double[][] toRgb = new double[COLOURS][COLOURS];
            for (int row = 0; row < COLOURS; row++) {
                for (int column = 0; column < COLOURS; column++) {
                    toRgb[row][column] = Called.real(cameraToRgb, state, row, column);
                }
            }
            return Called.real(cameraToRgb, state, 0, COLOURS) == 0
                    ? LinearRgb.of(Optional.empty()).receptors(toRgb)
                    : Receptors.EYE;
        }

        /**
         * Develops it with the camera's white into linear light of the wide primaries of ISO 22028-2 (ROMM RGB).
         *
         * @return the library's image: a header of 16 bytes, then rows of 16-bit numbers
         */
        MemorySegment developed(Demosaic demosaic, Arena arena) throws Refusal {
            set(demosaic);
            needed(Called.number(unpack, state));
            if (isDamaged) {
                throw Refusal.damaged("libraw met damaged data");
            }
            needed(Called.number(develop, state));
            MemorySegment status = arena.allocate(JAVA_INT);
            MemorySegment made = Called.address(image, state, status);
            needed(status.get(JAVA_INT, 0));
            if (isDamaged || made.address() == 0) {
                throw Refusal.damaged("libraw gave nothing");
            }
            return made;
        }

        void clear(MemorySegment made) {
            Called.nothing(clear, made);
        }

        private void set(Demosaic demosaic) {
            MemorySegment whole = state.reinterpret(STATE);
            long at = colourSetting(whole);
            Called.nothing(colour, state, ROMM);
            whole.set(JAVA_INT, at + HALF_SIZE, demosaic == Demosaic.CELLS ? 1 : 0);
            whole.set(JAVA_INT, at + CAMERA_WHITE, 1);
            Called.nothing(depth, state, BITS);
            Called.nothing(interpolation, state, demosaic == Demosaic.ADAPTIVE ? ADAPTIVE : GROUPED);
            Called.nothing(highlights, state, CLIPPED_TO_WHITE);
            Called.nothing(asItIs, state, 1);
            Called.nothing(gamma, state, 0, 1f);
            Called.nothing(gamma, state, 1, 1f);
        }

        /** There is no function for two of the settings; they are found by one that has one. */
        private long colourSetting(MemorySegment whole) {
            Called.nothing(colour, state, NEVER_A_COLOUR);
            long at = 0;
            while (whole.get(JAVA_INT, at) != NEVER_A_COLOUR) {
                at += Integer.BYTES;
            }
            return at;
        }

        private void needed(int status) throws Refusal {
            if (status != 0) {
                MemorySegment text = Called.address(words, status);
                throw Refusal.damaged(
                        "libraw says " + text.reinterpret(LONGEST_MESSAGE).getString(0));
            }
        }

        @Override
        public void close() {
            Called.nothing(close, state);
        }
    }
}
