package nexa.imaging.system;

import java.lang.foreign.MemorySegment;
import java.lang.invoke.MethodHandle;

/** Calls of native functions by what they give back. They throw nothing of their own. */
public final class Called {
    private Called() {}

    public static int number(MethodHandle function, Object... arguments) {
        return (int) anything(function, arguments);
    }

    public static double real(MethodHandle function, Object... arguments) {
        return (float) anything(function, arguments);
    }

    public static MemorySegment address(MethodHandle function, Object... arguments) {
        return (MemorySegment) anything(function, arguments);
    }

    public static void nothing(MethodHandle function, Object... arguments) {
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
