package nexa.cli;

/** What commands return to the shell. */
final class ExitCode {
    static final int OK = 0;
    static final int SOME_FAILED = 1;
    static final int WRONG_USAGE = 2;

    private ExitCode() {}

    static int of(boolean allWell) {
        return allWell ? OK : SOME_FAILED;
    }
}
