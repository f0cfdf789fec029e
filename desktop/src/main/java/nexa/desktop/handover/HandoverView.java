package nexa.desktop.handover;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.animation.PauseTransition;
import javafx.collections.SetChangeListener;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.util.Duration;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.naming.NameTemplate;
import nexa.desktop.delivering.HandoverChoice.Meant;
import nexa.desktop.delivering.HandoverModel;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Follow;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Nodes;
import nexa.desktop.widget.TypedPath;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.request.Collision;
import nexa.words.Words;

/** Deliver formats as files: what, where, how large; then a run with progress. */
public final class HandoverView extends StackPane {
    private static final double WIDTH = 1010;

    /** Somebody who types a folder's name is not done with every letter. */
    private final PauseTransition soon = new PauseTransition(Duration.millis(150));

    private boolean looked;

    private final Session session;
    private final HandoverModel model;
    private final Actions actions;
    private final HandoverTable table;
    private final HandoverRun run;
    private final ProofStrip proofs;
    private final TextField folder = new TextField();
    private final TextField names = new TextField();
    private final Label example = new Label();
    private final CheckBox alternates = new CheckBox();
    private final Choices<Collision> taken;
    private final Choices<Meant> meant;
    private final SetChangeListener<Integer> chosen = change -> refresh();
    private final Subscription subscriptions;

    /** The small panes that belong to a handover, each opened beside a button. */
    public interface Actions {
        /** What a format's files are like. */
        void files(Format format, Node beside);

        void paper(HandoverModel model, Node beside);

        void exchange(Node beside);

        /** Handovers kept under names. */
        void kept(HandoverModel model, Node beside);

        /** Opens a folder or file with what the system has for it. */
        void open(Path file);

        boolean canOpen();
    }

    /**
     * @param loader of the pictures that show what will be delivered
     * @param fx the interface's thread
     */
    public HandoverView(Session session, HandoverModel model, Actions actions, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.model = model;
        this.actions = actions;
        this.table = new HandoverTable(model, actions::files);
        this.run = new HandoverRun(session, model, actions::open, actions.canOpen());
        this.proofs = new ProofStrip(session, loader, fx, this::goTo);
        this.taken = new Choices<>("taken", Collision.values(), model.choice().collisionProperty());
        this.meant = new Choices<>("meant", Meant.values(), model.choice().meantProperty());
        soon.setOnFinished(event -> model.look());
        getStyleClass().add("handover");
        HBox below = new HBox(40, fields(), run);
        HBox.setHgrow(run, Priority.ALWAYS);
        VBox sheet = new VBox(18, title(), table, proofs, below);
        sheet.getStyleClass().add("sheet");
        sheet.setMaxWidth(WIDTH);
        StackPane holder = new StackPane(sheet);
        holder.getStyleClass().add("handover-holder");
        ScrollPane scroll = new ScrollPane(holder);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("sheet-scroll");
        Nodes.drawInParts(scroll);
        getChildren().add(scroll);
        model.choice().leftOut().addListener(chosen);
        subscriptions = Subscription.combine(
                Follow.each(
                        this::refresh,
                        session.briefProperty(),
                        session.editsProperty(),
                        session.viewProperty(),
                        model.choice().meantProperty(),
                        session.selection().property(),
                        session.list().photosProperty(),
                        model.choice().collisionProperty(),
                        model.choice().alternatesProperty()),
                model.choice().folderProperty().subscribe(path -> folderChosen()),
                model.choice().namesProperty().subscribe(template -> namesChosen()),
                model.outlookProperty().subscribe(outlook -> showTable()));
    }

    public void dispose() {
        soon.stop();
        subscriptions.unsubscribe();
        taken.dispose();
        meant.dispose();
        run.dispose();
        proofs.clear();
        model.choice().leftOut().removeListener(chosen);
    }

    private Node title() {
        Label title = new Label(Words.of("handover.title"));
        title.getStyleClass().add("sheet-title");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Button kept = Buttons.text("handover.kept", () -> {});
        kept.setId("handover-kept");
        kept.setOnAction(event -> actions.kept(model, kept));
        Buttons.explain(kept, Words.of("handover.kept.tip"));
        HBox row = new HBox(title, space, kept);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Node fields() {
        GridPane grid = new GridPane(16, 14);
        grid.addRow(0, label("handover.meant"), meant);
        grid.addRow(1, label("handover.folder"), folderRow());
        grid.addRow(2, label("handover.names"), namesRow());
        grid.addRow(3, label("handover.taken"), taken);
        grid.add(alternates(), 1, 4);
        grid.addRow(5, label("handover.also"), also());
        grid.setPrefWidth(520);
        grid.setMinWidth(460);
        return grid;
    }

    /** Shows only where some are kept. */
    private Node alternates() {
        alternates.setId("handover-alternates");
        alternates.selectedProperty().bindBidirectional(model.choice().alternatesProperty());
        Buttons.explain(alternates, Words.of("handover.alternates.tip"));
        return alternates;
    }

    /** What else may leave the shoot. */
    private Node also() {
        Button paper = Buttons.text("handover.paper", () -> {});
        paper.setId("handover-paper");
        paper.setOnAction(event -> actions.paper(model, paper));
        Buttons.explain(paper, Words.of("handover.paper.tip"));
        Button exchange = Buttons.text("handover.exchange", () -> {});
        exchange.setId("handover-exchange");
        exchange.setOnAction(event -> actions.exchange(exchange));
        Buttons.explain(exchange, Words.of("handover.exchange.tip"));
        return new HBox(8, paper, exchange);
    }

    private static Label label(String words) {
        Label label = Labels.field(words);
        GridPane.setValignment(label, VPos.TOP);
        label.getStyleClass().add("field-top");
        return label;
    }

    private Node folderRow() {
        folder.setId("handover-folder");
        folder.setText(model.choice().folderProperty().get().toString());
        folder.setAccessibleText(Words.of("handover.folder.tip"));
        folder.textProperty()
                .subscribe(text -> TypedPath.of(text).ifPresent(model.choice().folderProperty()::set));
        HBox.setHgrow(folder, Priority.ALWAYS);
        Button choose = Buttons.text("handover.folder.choose", this::chooseFolder);
        choose.setMinWidth(USE_PREF_SIZE);
        HBox row = new HBox(8, folder, choose);
        GridPane.setHgrow(row, Priority.ALWAYS);
        return row;
    }

    private void chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Words.of("handover.folder.tip"));
        File picked = chooser.showDialog(getScene().getWindow());
        if (picked != null) {
            folder.setText(picked.toString());
        }
    }

    private Node namesRow() {
        names.setId("handover-names");
        names.setText(model.choice().namesProperty().get().text());
        names.setAccessibleText(Words.of("handover.names"));
        names.setTooltip(new Tooltip(Words.of("handover.names.tip")));
        names.textProperty().subscribe(text -> showExample());
        example.setId("handover-example");
        example.setWrapText(true);
        return new VBox(4, names, example);
    }

    /** A template that can't be used is said at once, and the one before holds. */
    private void showExample() {
        try {
            NameTemplate typed = new NameTemplate(names.getText());
            model.choice().namesProperty().set(typed);
            example.setText(model.choice().example(typed).orElse(""));
            example.getStyleClass().setAll("label", "note");
        } catch (IllegalArgumentException refused) {
            example.setText(Words.of(refused));
            example.getStyleClass().setAll("label", "refusal");
        }
    }

    /** Chosen elsewhere, unless it is what is typed. */
    private void folderChosen() {
        Path chosen = model.choice().folderProperty().get();
        if (!TypedPath.of(folder.getText()).equals(Optional.of(chosen))) {
            folder.setText(chosen.toString());
        }
        refresh();
    }

    private void namesChosen() {
        String chosen = model.choice().namesProperty().get().text();
        if (!names.getText().equals(chosen)) {
            names.setText(chosen);
        }
        refresh();
    }

    /** Looking ahead takes samples, so it is done only for those who look. */
    private void refresh() {
        if (session.viewProperty().get() == MainView.HANDOVER) {
            lookAhead();
            long kept = model.choice().alternates();
            alternates.setText(Words.of("handover.alternates", kept));
            alternates.setVisible(kept > 0);
            alternates.setManaged(kept > 0);
            for (Meant which : Meant.values()) {
                meant.word(
                        which,
                        Words.of(
                                "handover.meant.count",
                                Words.of("meant", which),
                                model.choice().count(which)));
            }
            showExample();
            showTable();
            run.refresh();
        }
    }

    /** At once for those who come to see it; then when they stop typing. */
    private void lookAhead() {
        if (looked) {
            soon.playFromStart();
        } else {
            looked = true;
            model.look();
        }
    }

    private void showTable() {
        table.show(session.brief(), model.outlookProperty().get());
        proofs.show(model.outlookProperty().get().proofs());
    }

    private void goTo(Delivery proof) {
        session.brief().find(proof.format().name()).ifPresent(session::choose);
        session.look(proof.photo());
    }
}
