package nexa.imaging.system;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemoryLayout;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.invoke.MethodHandle;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A library that the operating system may have, and its functions. */
public final class SystemLibrary {
    /** JPEG XL's reference library and its threads, versions 0.7 to 0.11: both must be of one version. */
    private static final List<String> JXL_VERSIONS = List.of("0.11", "0.10", "0.9", "0.8", "0.7");

    /** LibRaw, versions 0.20 to 0.22. */
    private static final List<String> RAW_NAMES = List.of(
            "libraw_r.so.24",
            "libraw_r.so.23",
            "libraw_r.so.20",
            "libraw.so.24",
            "libraw.so.23",
            "libraw.so.20",
            "libraw_r.dylib",
            "libraw.dylib",
            "libraw.dll");

    private static final Linker LINKER = Linker.nativeLinker();

    private final SymbolLookup symbols;

    private SystemLibrary(SymbolLookup symbols) {
        this.symbols = symbols;
    }

    /** What every program of the system has anyway. */
    static SystemLibrary standard() {
        return new SystemLibrary(LINKER.defaultLookup());
    }

    /** The decoder of JPEG XL; empty if it is not installed. */
    public static Optional<SystemLibrary> jxl() {
        return Jxl.DECODER;
    }

    /** What lets JPEG XL be decoded by several threads; empty if it is not installed. */
    public static Optional<SystemLibrary> jxlThreads() {
        return Jxl.THREADS;
    }

    /** The decoder of cameras' raw data; empty if it is not installed. */
    public static Optional<SystemLibrary> raw() {
        return Raw.DECODER;
    }

    /** Looked for once, when first asked for. */
    private static final class Jxl {
        static final Optional<SystemLibrary> DECODER = first(JXL_VERSIONS.stream()
                .flatMap(version ->
                        Stream.of("libjxl.so." + version, "libjxl." + version + ".dylib", "jxl-" + version + ".dll")));

        static final Optional<SystemLibrary> THREADS = first(JXL_VERSIONS.stream()
                .flatMap(version -> Stream.of("libjxl_threads.so." + version, "libjxl_threads." + version + ".dylib")));
    }

    /** The same. */
    private static final class Raw {
        static final Optional<SystemLibrary> DECODER = first(RAW_NAMES.stream());
    }

    private static Optional<SystemLibrary> first(Stream<String> names) {
        return names.flatMap(name -> lookup(name).stream()).findFirst().map(SystemLibrary::new);
    }

    private static Optional<SymbolLookup> lookup(String name) {
        try {
            return Optional.of(SymbolLookup.libraryLookup(name, Arena.global()));
        } catch (IllegalArgumentException notThere) { // under this name
            return Optional.empty();
        }
    }

    /** A function by its name. */
    public MethodHandle function(String name, @Nullable MemoryLayout result, MemoryLayout... arguments) {
        FunctionDescriptor described =
                result == null ? FunctionDescriptor.ofVoid(arguments) : FunctionDescriptor.of(result, arguments);
        return LINKER.downcallHandle(symbols.findOrThrow(name), described);
    }

    /** Where a function is, to be handed to another one. */
    public MemorySegment address(String name) {
        return symbols.findOrThrow(name);
    }
}
