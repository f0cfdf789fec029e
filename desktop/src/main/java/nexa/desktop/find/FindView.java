package nexa.desktop.find;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.words.Words;

/** A field over the window, and below it what fits what is typed. Enter does the first, or the one gone to by arrows. */
public final class FindView extends StackPane {
    private static final int MOST = 9;
    private static final double ROW = 32;
    private static final double EDGES = 8;

    private final Findables findables;
    private final Runnable close;
    private final TextField field = new TextField();
    private final ListView<Findable> list = new ListView<>();
    private final Label none = new Label(Words.of("find.none"));

    /** @param close called when something was chosen, or by a click beside it */
    public FindView(Findables findables, Runnable close) {
        this.findables = findables;
        this.close = close;
        getStyleClass().add("veil");
        setId("finder");
        field.setId("find");
        field.setPromptText(Words.of("find.prompt"));
        field.setAccessibleText(Words.of("command.find"));
        field.textProperty().subscribe(typed -> refresh());
        field.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        field.setOnAction(event -> choose());
        list.setId("found");
        list.setFixedCellSize(ROW);
        list.setFocusTraversable(false);
        list.setAccessibleText(Words.of("find.found"));
        list.setCellFactory(view -> new Row());
        list.managedProperty().bind(list.visibleProperty());
        none.getStyleClass().add("note");
        none.visibleProperty().bind(list.visibleProperty().not());
        none.managedProperty().bind(none.visibleProperty());
        VBox box = new VBox(8, field, list, none);
        box.getStyleClass().addAll("small-pane", "finder");
        box.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        box.setOnMousePressed(event -> event.consume());
        getChildren().add(box);
        setAlignment(box, Pos.TOP_CENTER);
        setOnMousePressed(event -> close.run());
    }

    /** Takes the keyboard. */
    public void focus() {
        field.requestFocus();
    }

    private void refresh() {
        list.getItems().setAll(findables.found(field.getText(), MOST));
        list.setVisible(!list.getItems().isEmpty());
        list.setPrefHeight(ROW * list.getItems().size() + EDGES);
        list.getSelectionModel().selectFirst();
    }

    private void pressed(KeyEvent event) {
        switch (event.getCode()) {
            case DOWN -> list.getSelectionModel().selectNext();
            case UP -> list.getSelectionModel().selectPrevious();
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void choose() {
        Findable chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            close.run();
            chosen.action().run();
        }
    }

    /** What it is called, what it is, and its key. */
    private final class Row extends ListCell<Findable> {
        private final Label words = new Label();
        private final Label kind = new Label();
        private final Label key = new Label();
        private final HBox row;

        Row() {
            Region space = new Region();
            HBox.setHgrow(space, Priority.ALWAYS);
            kind.getStyleClass().add("note");
            kind.setMinWidth(USE_PREF_SIZE);
            key.getStyleClass().add("key");
            key.setMinWidth(USE_PREF_SIZE);
            key.managedProperty().bind(key.visibleProperty());
            key.visibleProperty().bind(key.textProperty().isNotEmpty());
            row = new HBox(10, words, space, kind, key);
            row.setAlignment(Pos.CENTER_LEFT);
            setPrefWidth(0); // as wide as the list
            setOnMouseClicked(event -> {
                if (!isEmpty()) {
                    choose();
                }
            });
        }

        @Override
        protected void updateItem(Findable item, boolean empty) {
            super.updateItem(item, empty);
            setGraphic(empty ? null : row);
            if (!empty) {
                words.setText(item.words());
                kind.setText(Words.of("find.kind", item.kind()));
                key.setText(item.key());
                setAccessibleText(item.words() + ", " + kind.getText());
            }
        }
    }
}
