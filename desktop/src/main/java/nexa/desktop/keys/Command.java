package nexa.desktop.keys;

import static javafx.scene.input.KeyCode.A;
import static javafx.scene.input.KeyCode.ADD;
import static javafx.scene.input.KeyCode.B;
import static javafx.scene.input.KeyCode.BACK_SPACE;
import static javafx.scene.input.KeyCode.COMMA;
import static javafx.scene.input.KeyCode.D;
import static javafx.scene.input.KeyCode.DIGIT0;
import static javafx.scene.input.KeyCode.DOWN;
import static javafx.scene.input.KeyCode.E;
import static javafx.scene.input.KeyCode.END;
import static javafx.scene.input.KeyCode.ENTER;
import static javafx.scene.input.KeyCode.EQUALS;
import static javafx.scene.input.KeyCode.ESCAPE;
import static javafx.scene.input.KeyCode.F;
import static javafx.scene.input.KeyCode.F1;
import static javafx.scene.input.KeyCode.F11;
import static javafx.scene.input.KeyCode.F2;
import static javafx.scene.input.KeyCode.F3;
import static javafx.scene.input.KeyCode.F4;
import static javafx.scene.input.KeyCode.F6;
import static javafx.scene.input.KeyCode.G;
import static javafx.scene.input.KeyCode.HOME;
import static javafx.scene.input.KeyCode.I;
import static javafx.scene.input.KeyCode.J;
import static javafx.scene.input.KeyCode.K;
import static javafx.scene.input.KeyCode.L;
import static javafx.scene.input.KeyCode.LEFT;
import static javafx.scene.input.KeyCode.M;
import static javafx.scene.input.KeyCode.MINUS;
import static javafx.scene.input.KeyCode.N;
import static javafx.scene.input.KeyCode.PAGE_DOWN;
import static javafx.scene.input.KeyCode.PAGE_UP;
import static javafx.scene.input.KeyCode.PERIOD;
import static javafx.scene.input.KeyCode.PLUS;
import static javafx.scene.input.KeyCode.Q;
import static javafx.scene.input.KeyCode.RIGHT;
import static javafx.scene.input.KeyCode.S;
import static javafx.scene.input.KeyCode.SPACE;
import static javafx.scene.input.KeyCode.SUBTRACT;
import static javafx.scene.input.KeyCode.T;
import static javafx.scene.input.KeyCode.U;
import static javafx.scene.input.KeyCode.UP;
import static javafx.scene.input.KeyCode.V;
import static javafx.scene.input.KeyCode.W;
import static javafx.scene.input.KeyCode.Y;
import static javafx.scene.input.KeyCode.Z;
import static nexa.desktop.keys.KeyPress.shift;
import static nexa.desktop.keys.KeyPress.shortcut;

import java.util.List;
import javafx.scene.input.KeyCode;

/** What a key can do, with the keys that do it unless the user chose others. Held ones act while they are held. */
public enum Command {
    WALL(Group.GOING, W),
    BENCH(Group.GOING, B),
    HANDOVER(Group.GOING, V),
    NEXT(Group.GOING, N),
    PREVIOUS(Group.GOING, shift(N)),
    FAR_ON(Group.GOING, PAGE_DOWN),
    FAR_BACK(Group.GOING, PAGE_UP),
    FIRST(Group.GOING, HOME),
    LAST(Group.GOING, END),
    ACCEPT(Group.GOING, ENTER),
    CLEAR(Group.GOING, BACK_SPACE),
    SET_ASIDE(Group.GOING, S),
    ALTERNATES(Group.GOING, Y),
    NEXT_ALTERNATE(Group.GOING, shift(Y)),
    UNDO(Group.GOING, shortcut(Z)),
    REDO(Group.GOING, new KeyPress(Z, true, true)),
    STEPS(Group.GOING, shift(U)),
    ADD_FORMAT(Group.GOING, KeyPress.of(PLUS), KeyPress.of(ADD), shift(EQUALS), shift(PLUS)),

    LINEUP(Group.SET, shortcut(L)),
    FILTER(Group.SET, shift(W)),
    SEARCH(Group.SET, shortcut(F)),
    NEXT_UNCHECKED(Group.SET, shortcut(N)),
    CHECK_ALL(Group.SET, shortcut(ENTER)),
    SELECT(Group.SET, shift(SPACE)),
    SELECT_TO(Group.SET, new KeyPress(SPACE, true, true)),
    SELECT_ALL(Group.SET, shortcut(A)),
    SELECT_ALIKE(Group.SET, new KeyPress(A, true, true)),
    PREPARE(Group.SET, shortcut(M)),
    CARRY(Group.SET, shift(B)),
    CARRY_AGAIN(Group.SET, shortcut(B)),
    MARK(Group.SET, shift(K)),
    MARKS(Group.SET, shortcut(K)),
    EXEMPLAR(Group.SET, shortcut(E)),
    PULL_IN(Group.SET, shortcut(I)),
    FLIP_RESULTS(Group.SET, shortcut(J)),

    LEFT_STEP(Group.FRAME, LEFT),
    RIGHT_STEP(Group.FRAME, RIGHT),
    UP_STEP(Group.FRAME, UP),
    DOWN_STEP(Group.FRAME, DOWN),
    LEFT_LEAP(Group.FRAME, shift(LEFT)),
    RIGHT_LEAP(Group.FRAME, shift(RIGHT)),
    UP_LEAP(Group.FRAME, shift(UP)),
    DOWN_LEAP(Group.FRAME, shift(DOWN)),
    GROW(Group.FRAME, shortcut(UP)),
    SHRINK(Group.FRAME, shortcut(DOWN)),
    DRAW(Group.FRAME, D),
    NUMBERS(Group.FRAME, shift(D)),
    SHAPES(Group.FRAME, F),
    MOVER(Group.FRAME, shift(F)),
    LOOKS(Group.FRAME, shortcut(PERIOD)),
    FILL(Group.FRAME, shift(S)),
    SWAP(Group.FRAME, T),
    LOCK(Group.FRAME, shift(T)),

    TILT_LESS(Group.LEVEL, COMMA),
    TILT_MORE(Group.LEVEL, PERIOD),
    TILT_MUCH_LESS(Group.LEVEL, shift(COMMA)),
    TILT_MUCH_MORE(Group.LEVEL, shift(PERIOD)),
    QUARTER(Group.LEVEL, Q),
    QUARTER_BACK(Group.LEVEL, shift(Q)),
    MIRROR(Group.LEVEL, M),
    FLIP(Group.LEVEL, shift(M)),
    LEVEL_LINE(Group.LEVEL, L),
    AUTO_LEVEL(Group.LEVEL, shift(L)),
    PLUMB(Group.LEVEL, shortcut(U)),
    AUTO_PLUMB(Group.LEVEL, new KeyPress(U, true, true)),
    LENS(Group.LEVEL, new KeyPress(L, true, true)),
    TRIM(Group.LEVEL, shortcut(T)),
    AUTO_TRIM(Group.LEVEL, new KeyPress(T, true, true)),
    NEUTRAL(Group.LEVEL, shortcut(D)),
    EYES(Group.LEVEL, new KeyPress(I, true, true)),
    RAW(Group.LEVEL, shift(V)),

    OVERLAY(Group.LOOK, G),
    OVERLAY_TURN(Group.LOOK, shift(G)),
    OVERLAY_SHOW(Group.LOOK, shortcut(G)),
    ZOOM(Group.LOOK, Z),
    ZOOM_FRAME(Group.LOOK, shift(Z)),
    ZOOM_FIT(Group.LOOK, DIGIT0),
    CLOSER(
            Group.LOOK,
            shortcut(PLUS),
            shortcut(ADD),
            shortcut(EQUALS),
            new KeyPress(EQUALS, true, true),
            new KeyPress(PLUS, true, true)),
    FARTHER(Group.LOOK, shortcut(MINUS), shortcut(SUBTRACT)),
    SIDE_BY_SIDE(Group.LOOK, F4),
    BARE(Group.LOOK, K),
    SURROUND(Group.LOOK, U),
    FULL_SCREEN(Group.LOOK, F11),
    RESULT(Group.LOOK, true, E),
    WHOLE(Group.LOOK, true, I),
    BEFORE(Group.LOOK, true, J),
    PROOF(Group.LOOK, true, F2),
    PAN(Group.LOOK, true, SPACE),
    RESULT_WINDOW(Group.LOOK, F6),
    SETTINGS(Group.LOOK, shortcut(COMMA)),
    FIND(Group.LOOK, F3),
    KEYS(Group.LOOK, F1),
    LEAVE(Group.LOOK, ESCAPE);

    /** Where it stands on the key sheet. */
    public enum Group {
        GOING,
        SET,
        FRAME,
        LEVEL,
        LOOK
    }

    private final Group group;
    private final boolean held;
    private final List<KeyPress> usual;

    Command(Group group, KeyCode key) {
        this(group, false, key);
    }

    Command(Group group, boolean held, KeyCode key) {
        this.group = group;
        this.held = held;
        this.usual = List.of(KeyPress.of(key));
    }

    Command(Group group, KeyPress... usual) {
        this.group = group;
        this.held = false;
        this.usual = List.of(usual);
    }

    public Group group() {
        return group;
    }

    public boolean isHeld() {
        return held;
    }

    public List<KeyPress> usual() {
        return usual;
    }
}
