package nexa.desktop;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import nexa.core.brief.Format;
import nexa.desktop.brief.FormatPane;
import nexa.desktop.brief.ShapePane;
import nexa.desktop.brief.ShelfPane;
import nexa.desktop.delivering.ExchangeModel;
import nexa.desktop.delivering.FinishExample;
import nexa.desktop.delivering.HandoverModel;
import nexa.desktop.delivering.Opening;
import nexa.desktop.delivering.PaperModel;
import nexa.desktop.desk.AlternatesPane;
import nexa.desktop.desk.CarryPane;
import nexa.desktop.desk.DeskView;
import nexa.desktop.desk.FillPane;
import nexa.desktop.desk.LensPane;
import nexa.desktop.desk.LookPane;
import nexa.desktop.desk.MarksPane;
import nexa.desktop.desk.NumbersPane;
import nexa.desktop.desk.OverlayPane;
import nexa.desktop.desk.PlumbPane;
import nexa.desktop.handover.ExchangePane;
import nexa.desktop.handover.FilesPane;
import nexa.desktop.handover.FinishForm;
import nexa.desktop.handover.HandoverView;
import nexa.desktop.handover.KeptHandoversPane;
import nexa.desktop.handover.PaperPane;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.pane.FilterPane;
import nexa.desktop.pane.PaneLayer;
import nexa.desktop.pane.RawSettings;
import nexa.desktop.pane.SettingsPane;
import nexa.desktop.pane.StepsPane;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;

/** Makes the small panes. */
public final class Panes implements HandoverView.Actions {
    private final ShootModels models;
    private final Session session;
    private final Keys keys;
    private final PhotoLoader loader;
    private final PaneLayer layer;
    private final Executor work;
    private final Executor fx;
    private final PaperModel paper;
    private final LensPane.Ways lensWays;

    /**
     * @param layer where they lie
     * @param lensWays where the lens's pane leads to
     */
    public Panes(
            ShootModels models,
            Keys keys,
            PhotoLoader loader,
            PaneLayer layer,
            Executor work,
            Executor fx,
            LensPane.Ways lensWays) {
        this.layer = layer;
        this.lensWays = lensWays;
        this.models = models;
        this.keys = keys;
        this.session = models.session();
        this.loader = loader;
        this.work = work;
        this.fx = fx;
        this.paper = new PaperModel(session.shoot(), work, fx);
    }

    public PaneLayer.Content of(DeskView.DeskPane pane) {
        return switch (pane) {
            case SHAPE -> new ShapePane(session);
            case NUMBERS -> new NumbersPane(session);
            case OVERLAY -> new OverlayPane(session);
            case LOOK -> new LookPane(session);
            case CARRY -> new CarryPane(session);
            case MARKS -> new MarksPane(models, keys);
            case PLUMB -> new PlumbPane(models);
            case LENS -> new LensPane(models, lensWays);
            case FILL -> new FillPane(models);
            case ALTERNATES -> new AlternatesPane(session, loader, fx);
        };
    }

    /** @param searching whether one came to type a name */
    public PaneLayer.Content filter(boolean searching) {
        return new FilterPane(models, keys, searching);
    }

    /** @param format to be edited */
    public PaneLayer.Content format(Format format, Runnable done) {
        return new FormatPane(session, models.shelf(), format, done);
    }

    @Override
    public void files(Format format, Node beside) {
        FinishExample example = new FinishExample(session.shoot(), work, fx, FinishForm.SIDE);
        layer.toggle(new FilesPane(session, example, format, layer::close), beside);
    }

    @Override
    public void paper(HandoverModel model, Node beside) {
        layer.toggle(new PaperPane(paper, model.choice()::chosenFormats), beside);
    }

    @Override
    public void exchange(Node beside) {
        ExchangeModel exchanging = new ExchangeModel(session.shoot(), work, fx);
        layer.toggle(new ExchangePane(session.shoot(), exchanging, models.inStep()), beside);
    }

    @Override
    public void kept(HandoverModel model, Node beside) {
        layer.toggle(new KeptHandoversPane(session, model.choice(), models.shelf(), layer::close), beside);
    }

    @Override
    public void open(Path file) {
        Opening.open(file, work);
    }

    @Override
    public boolean canOpen() {
        return Opening.isPossible();
    }

    /** @param done closes the pane */
    public PaneLayer.Content shelf(Runnable done) {
        return new ShelfPane(session, models.shelf(), done);
    }

    /** @param reopen opens the shoot again */
    public PaneLayer.Content settings(Runnable reopen) {
        Optional<Region> raw =
                models.raw().hasAny() ? Optional.of(new RawSettings(models.raw(), keys, reopen)) : Optional.empty();
        return new SettingsPane(session.settings(), loader, raw);
    }

    public PaneLayer.Content steps() {
        return new StepsPane(session, loader, fx);
    }
}
