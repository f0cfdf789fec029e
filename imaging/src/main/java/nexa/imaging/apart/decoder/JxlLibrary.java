package nexa.imaging.apart.decoder;

import static java.lang.foreign.ValueLayout.ADDRESS;
import static java.lang.foreign.ValueLayout.JAVA_BYTE;
import static java.lang.foreign.ValueLayout.JAVA_INT;
import static java.lang.foreign.ValueLayout.JAVA_LONG;

import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.lang.invoke.MethodHandle;
import java.util.Optional;
import nexa.imaging.file.Trouble;
import nexa.imaging.system.Called;
import nexa.imaging.system.SystemLibrary;

/** The functions of JPEG XL's decoder (its C API, 0.7 to 0.11). */
final class JxlLibrary {
    /** From here on the calls for profiles have no parameter for the format of the pixels. */
    private static final int WITHOUT_FORMAT = 9000;

    private static final int DATA_PROFILE = 1;

    private final MethodHandle create;
    private final MethodHandle destroy;
    private final MethodHandle subscribe;
    private final MethodHandle keepOrientation;
    private final MethodHandle setRunner;
    private final MethodHandle setInput;
    private final MethodHandle closeInput;
    private final MethodHandle process;
    private final MethodHandle basicInfo;
    private final MethodHandle setOutput;
    private final MethodHandle profileSize;
    private final MethodHandle profile;
    private final boolean withFormat;
    private final Optional<Threads> threads;

    /** @param runner the function that runs tasks */
    private record Threads(MethodHandle create, MethodHandle destroy, MemorySegment runner) {}

    /** @throws Refusal if it is not installed */
    JxlLibrary() throws Refusal {
        SystemLibrary library = SystemLibrary.jxl().orElseThrow(() -> new Refusal(Trouble.Kind.JPEG_XL, "no libjxl"));
        create = library.function("JxlDecoderCreate", ADDRESS, ADDRESS);
        destroy = library.function("JxlDecoderDestroy", null, ADDRESS);
        subscribe = library.function("JxlDecoderSubscribeEvents", JAVA_INT, ADDRESS, JAVA_INT);
        keepOrientation = library.function("JxlDecoderSetKeepOrientation", JAVA_INT, ADDRESS, JAVA_INT);
        setRunner = library.function("JxlDecoderSetParallelRunner", JAVA_INT, ADDRESS, ADDRESS, ADDRESS);
        setInput = library.function("JxlDecoderSetInput", JAVA_INT, ADDRESS, ADDRESS, JAVA_LONG);
        closeInput = library.function("JxlDecoderCloseInput", null, ADDRESS);
        process = library.function("JxlDecoderProcessInput", JAVA_INT, ADDRESS);
        basicInfo = library.function("JxlDecoderGetBasicInfo", JAVA_INT, ADDRESS, ADDRESS);
        setOutput = library.function("JxlDecoderSetImageOutBuffer", JAVA_INT, ADDRESS, ADDRESS, ADDRESS, JAVA_LONG);
        withFormat = version(library) < WITHOUT_FORMAT;
        profileSize = withFormat
                ? library.function("JxlDecoderGetICCProfileSize", JAVA_INT, ADDRESS, ADDRESS, JAVA_INT, ADDRESS)
                : library.function("JxlDecoderGetICCProfileSize", JAVA_INT, ADDRESS, JAVA_INT, ADDRESS);
        profile = withFormat
                ? library.function(
                        "JxlDecoderGetColorAsICCProfile", JAVA_INT, ADDRESS, ADDRESS, JAVA_INT, ADDRESS, JAVA_LONG)
                : library.function("JxlDecoderGetColorAsICCProfile", JAVA_INT, ADDRESS, JAVA_INT, ADDRESS, JAVA_LONG);
        threads = SystemLibrary.jxlThreads()
                .map(several -> new Threads(
                        several.function("JxlThreadParallelRunnerCreate", ADDRESS, ADDRESS, JAVA_LONG),
                        several.function("JxlThreadParallelRunnerDestroy", null, ADDRESS),
                        several.address("JxlThreadParallelRunner")));
    }

    private static int version(SystemLibrary library) {
        return Called.number(library.function("JxlDecoderVersion", JAVA_INT));
    }

    /** A decoder, and threads for it, that are given back together. */
    final class Decoder implements AutoCloseable {
        private final MemorySegment decoder = Called.address(create, MemorySegment.NULL);
        private final MemorySegment runner;

        Decoder(int events, int threadCount) throws Refusal {
            runner = threads.isEmpty()
                    ? MemorySegment.NULL
                    : Called.address(threads.get().create(), MemorySegment.NULL, (long) threadCount);
            needed(Called.number(subscribe, decoder, events));
            needed(Called.number(keepOrientation, decoder, 1));
            if (threads.isPresent()) {
                needed(Called.number(setRunner, decoder, threads.get().runner(), runner));
            }
        }

        /** @param all of a file; kept until the decoder is closed */
        void read(MemorySegment all) throws Refusal {
            needed(Called.number(setInput, decoder, all, all.byteSize()));
            Called.nothing(closeInput, decoder);
        }

        /** What happened next, by the library's numbers. */
        int next() {
            return Called.number(process, decoder);
        }

        void basicInfo(MemorySegment target) throws Refusal {
            needed(Called.number(basicInfo, decoder, target));
        }

        void output(MemorySegment format, MemorySegment target) throws Refusal {
            needed(Called.number(setOutput, decoder, format, target, target.byteSize()));
        }

        /** The profile of the pixels that are given out; empty if there is none. */
        byte[] profile(MemorySegment format, Arena arena) {
            MemorySegment size = arena.allocate(JAVA_LONG);
            int known = withFormat
                    ? Called.number(profileSize, decoder, format, DATA_PROFILE, size)
                    : Called.number(profileSize, decoder, DATA_PROFILE, size);
            if (known != 0) {
                return new byte[0];
            }
            MemorySegment bytes = arena.allocate(size.get(JAVA_LONG, 0));
            int given = withFormat
                    ? Called.number(profile, decoder, format, DATA_PROFILE, bytes, bytes.byteSize())
                    : Called.number(profile, decoder, DATA_PROFILE, bytes, bytes.byteSize());
            return given == 0 ? bytes.toArray(JAVA_BYTE) : new byte[0];
        }

        private static void needed(int status) throws Refusal {
            if (status != 0) {
                throw Refusal.damaged("libjxl says " + status);
            }
        }

        @Override
        public void close() {
            Called.nothing(destroy, decoder);
            threads.ifPresent(several -> Called.nothing(several.destroy(), runner));
        }
    }
}
