package nexa.shoot.handover;

/** Holds a run or ends it, from any thread. A file being written is finished first. */
public final class RunControl {
    private boolean cancelled;
    private boolean paused;

    public synchronized void cancel() {
        cancelled = true;
        notifyAll();
    }

    public synchronized void pause(boolean on) {
        paused = on;
        notifyAll();
    }

    /** Waits while paused; whether the next file is to be begun. */
    public synchronized boolean mayGoOn() {
        while (paused && !cancelled) {
            try {
                wait();
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return false;
            }
        }
        return !cancelled;
    }
}
