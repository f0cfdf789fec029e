package nexa.desktop.pane;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.stream.Collectors;
import javafx.collections.ListChangeListener;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.review.Preparing;
import nexa.desktop.review.Preparing.Choice;
import nexa.desktop.review.Preparing.Item;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Nodes;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.HelpRecord;
import nexa.words.Words;

/**
 * All that help proposes for photos: the doubtful ones first, each with its evidence, to be taken, left or adjusted; the sure
 * ones in one look. Done in one step at the end.
 */
public final class PrepareView extends ReviewFrame {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");

    private final Session session;
    private final Keys keys;
    private final Preparing preparing;
    private final PreparePictures pictures;
    private final Runnable done;
    private final Label summary = new Label();
    private final Label record = new Label();
    private final ProgressBar progress = new ProgressBar(0);
    private final Button finish = new Button();
    private final Label doubtfulTitle = new Label();
    private final Label sureTitle = new Label();
    private final VBox doubtful = new VBox(10);
    private final FlowPane sure = new FlowPane(12, 12);
    private Optional<Photo> current = Optional.empty();

    /** @param done called when the user is through */
    public PrepareView(
            Session session, Keys keys, Preparing preparing, PhotoLoader loader, Executor fx, Runnable done) {
        super("prepare.title", "prepare.cancel", "review-done", done);
        this.session = session;
        this.keys = keys;
        this.preparing = preparing;
        this.pictures = new PreparePictures(session, new ReviewPictures(session.shoot(), loader, fx));
        this.done = done;
        setId("prepare-view");
        summary.getStyleClass().add("note");
        record.getStyleClass().add("note");
        doubtfulTitle.getStyleClass().add("format-name");
        sureTitle.getStyleClass().add("format-name");
        finish.setId("prepare-finish");
        finish.getStyleClass().add("primary");
        finish.setOnAction(event -> finish());
        addFacts(summary, progress, record);
        addActions(finish);
        rows().getChildren().addAll(doubtfulTitle, doubtful, sureTitle, sure);
        for (int i = 0; i < preparing.items().size(); i++) {
            place(i);
        }
        preparing.items().addListener((ListChangeListener<Item>) this::changed);
        showRecord(HelpRecord.read(session.shoot()).counts(session.shoot()));
        refresh();
    }

    private void showRecord(HelpRecord.Counts counts) {
        record.setText(Words.of("prepare.record", counts.all(), counts.asProposed(), counts.adjusted(), counts.left()));
        Nodes.show(record, counts.all() > 0);
    }

    private void changed(ListChangeListener.Change<? extends Item> change) {
        while (change.next()) {
            for (int i = change.getFrom(); i < change.getTo(); i++) {
                place(i);
            }
        }
        refresh();
    }

    /** Where the item belongs, in the photos' order. */
    private void place(int index) {
        Item item = preparing.items().get(index);
        if (item.isDoubtful()) {
            put(doubtful, index, row(item));
        } else if (item.isSure()) {
            put(sure, index, tile(item));
        }
    }

    private static void put(Pane pane, int index, Node node) {
        node.setUserData(index);
        List<Node> there = pane.getChildren();
        int at = 0;
        while (at < there.size() && (int) there.get(at).getUserData() < index) {
            at++;
        }
        if (at < there.size() && (int) there.get(at).getUserData() == index) {
            there.set(at, node);
        } else {
            there.add(at, node);
        }
    }

    private void refresh() {
        int all = preparing.items().size();
        long looked = preparing.looked();
        List<Item> open = preparing.doubtful();
        Nodes.show(progress, looked < all);
        progress.setProgress(all == 0 ? 1 : (double) looked / all);
        summary.setText(Words.of("prepare.summary", looked, all));
        doubtfulTitle.setText(Words.of(
                "prepare.doubtful",
                open.size(),
                keys.label(Command.ACCEPT),
                keys.label(Command.CLEAR),
                keys.label(Command.BENCH)));
        Nodes.show(doubtfulTitle, !open.isEmpty());
        sureTitle.setText(Words.of("prepare.sure", preparing.sure().size()));
        Nodes.show(sureTitle, !preparing.sure().isEmpty());
        finish.setText(Words.of("prepare.finish", preparing.changes()));
        finish.setDisable(preparing.changes() == 0 || !session.shoot().mayEdit());
        if (current.isEmpty()) {
            current = open.stream().findFirst().map(Item::photo);
        }
        showCurrent();
    }

    private void showCurrent() {
        doubtful.getChildren()
                .forEach(row -> row.pseudoClassStateChanged(CURRENT, current.equals(Optional.of(photo(row)))));
    }

    private Photo photo(Node node) {
        return preparing.items().get((int) node.getUserData()).photo();
    }

    // ---- rows ----

    private HBox row(Item item) {
        pictures.forget(item.photo());
        Label name = new Label(Words.name(item.photo().name()));
        name.getStyleClass().add("format-name");
        Label words = new Label(PrepareWords.of(item));
        words.setWrapText(true);
        Button take = button(item, "prepare.take", "take-", Choice.TAKEN, Command.ACCEPT);
        Button leave = button(item, "prepare.leave", "leave-", Choice.LEFT, Command.CLEAR);
        Button adjust = button(item, "prepare.adjust", "adjust-", Choice.ADJUSTED, Command.BENCH);
        HBox row =
                row(actions(leave, adjust, take), pictures.before(item), pictures.after(item), texts(330, name, words));
        row.setOpacity(item.choice() == Choice.LEFT ? 0.55 : 1);
        return row;
    }

    private Button button(Item item, String words, String id, Choice choice, Command key) {
        Button button = Buttons.text(words, () -> choose(item.photo(), choice));
        button.setId(id + item.photo().stem());
        button.setFocusTraversable(false);
        Buttons.explain(button, Words.of(words + ".tip", keys.label(key)));
        button.getStyleClass().removeAll("primary");
        if (item.choice() == choice) {
            button.getStyleClass().add("primary");
        }
        return button;
    }

    /** Both pictures; a click leaves it, or takes it back in. */
    private Node tile(Item item) {
        pictures.forget(item.photo());
        Label name = new Label(Words.name(item.photo().name()));
        name.getStyleClass().add("note");
        Label words = new Label(PrepareWords.brief(item));
        words.getStyleClass().add("note");
        Button tile = new Button();
        tile.setGraphic(new VBox(4, new HBox(6, pictures.smallBefore(item), pictures.smallAfter(item)), name, words));
        tile.setId("sure-" + item.photo().stem());
        tile.getStyleClass().add("review-tile");
        boolean left = item.choice() == Choice.LEFT;
        tile.setOpacity(left ? 0.4 : 1);
        tile.setAccessibleText(item.photo().name() + ", " + PrepareWords.brief(item));
        tile.setOnAction(event -> preparing.choose(item.photo(), left ? Choice.OPEN : Choice.LEFT));
        Buttons.explain(tile, Words.of(left ? "prepare.tile.left" : "prepare.tile"));
        return tile;
    }

    // ---- deciding ----

    private void choose(Photo photo, Choice choice) {
        current = Optional.of(photo);
        preparing.choose(photo, choice);
        step(1);
    }

    /** To the next or the previous doubtful one. */
    private void step(int by) {
        List<Photo> photos = preparing.doubtful().stream().map(Item::photo).toList();
        int at = current.map(photos::indexOf).orElse(-1) + by;
        if (at >= 0 && at < photos.size()) {
            current = Optional.of(photos.get(at));
        }
        showCurrent();
        doubtful.getChildren().stream()
                .filter(row -> current.equals(Optional.of(photo(row))))
                .findFirst()
                .ifPresent(this::reveal);
    }

    @Override
    public boolean pressed(KeyEvent event) {
        Optional<Command> command = keys.command(event);
        Map<Command, Choice> choices =
                Map.of(Command.ACCEPT, Choice.TAKEN, Command.CLEAR, Choice.LEFT, Command.BENCH, Choice.ADJUSTED);
        if (command.filter(choices::containsKey).isPresent() && current.isPresent()) {
            choose(current.get(), choices.getOrDefault(command.get(), Choice.OPEN));
            return true;
        }
        if (command.equals(Optional.of(Command.DOWN_STEP)) || command.equals(Optional.of(Command.UP_STEP))) {
            step(command.get() == Command.DOWN_STEP ? 1 : -1);
            return true;
        }
        if (command.equals(Optional.of(Command.CHECK_ALL))) {
            finish.fire();
            return true;
        }
        return false;
    }

    private void finish() {
        preparing.recorded(HelpRecord.read(session.shoot())).keep(session.shoot());
        List<Photo> adjusted = preparing.finish();
        done.run();
        if (!adjusted.isEmpty()) {
            session.selection().property().set(adjusted.stream().collect(Collectors.toSet()));
            session.look(adjusted.getFirst());
        }
    }

    @Override
    public void dispose() {
        preparing.cancel();
        pictures.dispose();
    }
}
