package nexa.desktop.view;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignP;

/** The brief: a card per format. */
public final class RailView extends ScrollPane {
    private static final int DIGIT_KEYS = 9;

    private final Session session;
    private final PhotoLoader loader;
    private final Executor fx;
    private final VBox content = new VBox(16);
    private final Button add = Buttons.text("rail.add", this::openAdding);
    private final Label invitation = new Label(Words.of("rail.empty"));
    private final List<FormatCard> cards = new ArrayList<>();
    private final Subscription subscription;

    public RailView(Session session, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.loader = loader;
        this.fx = fx;
        getStyleClass().add("rail");
        content.getStyleClass().add("rail-content");
        invitation.getStyleClass().add("rail-invitation");
        invitation.setWrapText(true);
        add.setId("add-format");
        add.setGraphic(new FontIcon(MaterialDesignP.PLUS));
        add.getStyleClass().add("quiet");
        add.setDisable(!session.shoot().mayEdit());
        Buttons.explain(add, Words.of("rail.add.tip"));
        setContent(content);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        subscription = session.briefProperty().subscribe(this::showBrief);
        if (session.briefProperty().get().formats().isEmpty() && session.shoot().mayEdit()) {
            openAdding();
        }
    }

    public void dispose() {
        subscription.unsubscribe();
        disposeCards();
    }

    private void disposeCards() {
        cards.forEach(FormatCard::dispose);
        cards.clear();
    }

    private void showBrief(Brief brief) {
        disposeCards();
        for (Format format : brief.formats()) {
            int place = cards.size() + 1;
            cards.add(new FormatCard(session, format, place <= DIGIT_KEYS ? place : 0, loader, fx));
        }
        closeAdding();
    }

    /** Shows the fields for a new format. */
    public void openAdding() {
        AddFormatPane pane = new AddFormatPane(session, this::closeAdding);
        showContent(pane);
        pane.focusShape();
        setVvalue(1);
    }

    private void closeAdding() {
        showContent(add);
    }

    private void showContent(javafx.scene.Node last) {
        content.getChildren().setAll(cards);
        if (cards.isEmpty()) {
            content.getChildren().add(invitation);
        }
        content.getChildren().add(last);
    }
}
