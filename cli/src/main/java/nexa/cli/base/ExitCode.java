package nexa.cli.base;

/** What commands return to the shell. */
public final class ExitCode {
    public static final int OK = 0;
    public static final int SOME_FAILED = 1;
    public static final int WRONG_USAGE = 2;

    private ExitCode() {}

    public static int of(boolean allWell) {
        return allWell ? OK : SOME_FAILED;
    }
}
