package nexa.imaging.apart.decoder;

import java.lang.foreign.MemorySegment;
import java.lang.invoke.MethodHandle;

/** Calls of native functions by what they give back. They throw nothing of their own. */
final class Called {
    private Called() {}

    static int number(MethodHandle function, Object... arguments) {
        return (int) anything(function, arguments);
    }

    static double real(MethodHandle function, Object... arguments) {
        return (float) anything(function, arguments);
    }

    static MemorySegment address(MethodHandle function, Object... arguments) {
        return (MemorySegment) anything(function, arguments);
    }

    static void nothing(MethodHandle function, Object... arguments) {
        anything(function, arguments);
    }

    private static Object anything(MethodHandle function, Object... arguments) {
        try {
            return function.invokeWithArguments(arguments);
        } catch (RuntimeException | Error known) {
            throw known;
        } catch (Throwable impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
