package nexa.desktop.handover;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.LongFunction;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.desktop.delivering.HandoverModel.State;
import nexa.desktop.widget.Buttons;
import nexa.shoot.handover.Outcome;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.DeliveredFiles;
import nexa.words.Words;

/** What came of a run: first what failed, then each file with a small picture. A double click leads to its photo. */
final class ResultList extends VBox {
    private static final String TABLE = DeliveredFiles.LISTS.getFirst().replace(".json", ".csv");
    private static final double ROW = 40;
    private static final double PICTURE_WIDTH = 48;
    private static final double PICTURE_HEIGHT = 34;
    private static final double HIGH = 4 * ROW;

    /** @param file empty if there is none */
    private record Row(String words, Optional<Path> file, Optional<Photo> photo) {}

    private final Consumer<Photo> chosen;
    private final ListView<Row> list = new ListView<>();
    private final Button folder = Buttons.text("handover.show", () -> {});
    private Path shownFolder = Path.of("");
    private final Button manifest = Buttons.text("handover.show.list", () -> {});

    /**
     * @param chosen told of a photo that is to be looked at
     * @param open opens a folder or file with what the system has for it
     */
    ResultList(Consumer<Photo> chosen, Consumer<Path> open, boolean canOpen) {
        super(8);
        this.chosen = chosen;
        list.setId("handover-results");
        list.setPrefHeight(HIGH);
        list.setFixedCellSize(ROW);
        list.setAccessibleText(Words.of("handover.log"));
        list.setCellFactory(view -> new Cell());
        folder.setId("handover-show");
        folder.setOnAction(event -> open.accept(shownFolder));
        manifest.setId("handover-show-list");
        manifest.setOnAction(event -> open.accept(shownFolder.resolve(TABLE)));
        Buttons.explain(manifest, Words.of("handover.show.list.tip"));
        HBox buttons = new HBox(8, folder, manifest);
        buttons.setVisible(canOpen);
        buttons.setManaged(canOpen);
        getChildren().addAll(list, buttons);
        managedProperty().bind(visibleProperty());
    }

    void clear() {
        list.getItems().clear();
        setVisible(false);
    }

    /** @param size a file's bytes in words */
    void show(State.Done done, LongFunction<String> size) {
        List<Row> rows = new ArrayList<>();
        done.listTrouble()
                .ifPresent(why ->
                        rows.add(new Row(Words.of("handover.list.failed", why), Optional.empty(), Optional.empty())));
        for (Outcome.Failed each : done.failed()) {
            String words = Words.of(
                    "handover.file.failed",
                    each.delivery().photo().name(),
                    each.delivery().format().name(),
                    each.reason());
            rows.add(
                    new Row(words, Optional.empty(), Optional.of(each.delivery().photo())));
        }
        for (Outcome.Written each : done.written()) {
            String words = Words.of(
                    each.remarks().isEmpty() ? "handover.file.good" : "handover.file.damaged",
                    done.folder().relativize(each.delivery().output()),
                    each.delivery().size().width(),
                    each.delivery().size().height(),
                    size.apply(each.bytes()),
                    Words.of(each.remarks()));
            rows.add(new Row(
                    words,
                    Optional.of(each.delivery().output()),
                    Optional.of(each.delivery().photo())));
        }
        list.getItems().setAll(rows);
        shownFolder = done.folder();
        setVisible(!rows.isEmpty());
    }

    private final class Cell extends ListCell<Row> {
        private final ImageView picture = new ImageView();
        private final StackPane holder = new StackPane(picture);

        Cell() {
            picture.setPreserveRatio(true);
            picture.setFitWidth(PICTURE_WIDTH);
            picture.setFitHeight(PICTURE_HEIGHT);
            holder.setMinSize(PICTURE_WIDTH, PICTURE_HEIGHT);
            holder.setMaxSize(PICTURE_WIDTH, PICTURE_HEIGHT);
            holder.setAlignment(Pos.CENTER);
            setGraphicTextGap(10);
            setOnMouseClicked(event -> {
                if (event.getClickCount() == 2 && !isEmpty()) {
                    getItem().photo().ifPresent(chosen);
                }
            });
        }

        /** Pictures are read off this thread, and only those in sight; what the toolkit can't read has none. */
        @Override
        protected void updateItem(Row row, boolean empty) {
            super.updateItem(row, empty);
            setText(empty ? null : row.words());
            setGraphic(empty ? null : holder);
            picture.setImage(
                    empty
                            ? null
                            : row.file()
                                    .map(file -> new Image(
                                            file.toUri().toString(),
                                            2 * PICTURE_WIDTH,
                                            2 * PICTURE_HEIGHT,
                                            true,
                                            true,
                                            true))
                                    .orElse(null));
        }
    }
}
