package nexa.desktop.session;

/** The main views of an open shoot. */
public enum MainView {
    WALL,
    BENCH,
    LINEUP,
    HANDOVER
}
