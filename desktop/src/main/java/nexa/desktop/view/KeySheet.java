package nexa.desktop.view;

import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.desktop.words.Words;

/** All keys, over the window; a click or any key closes it. */
public final class KeySheet extends StackPane {
    public KeySheet(Runnable close) {
        getStyleClass().add("veil");
        setId("key-sheet");
        Label title = new Label(Words.of("keys.title"));
        title.getStyleClass().add("sheet-title");
        GridPane grid = new GridPane(24, 9);
        ColumnConstraints keys = new ColumnConstraints();
        keys.setHalignment(HPos.RIGHT);
        grid.getColumnConstraints().add(keys);
        int row = 0;
        for (String line : Words.of("keys.list").split("\n")) {
            String[] parts = line.split("\\|", 2);
            Label key = new Label(parts[0]);
            key.getStyleClass().add("sheet-key");
            grid.addRow(row++, key, new Label(parts[1]));
        }
        VBox sheet = new VBox(16, title, grid);
        sheet.getStyleClass().add("sheet");
        sheet.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        getChildren().add(sheet);
        setAlignment(Pos.CENTER);
        setOnMousePressed(event -> close.run());
    }
}
