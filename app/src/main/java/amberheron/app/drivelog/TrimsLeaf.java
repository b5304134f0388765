package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.TextEntry;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.Shop;
import amberheron.core.trim.TrimPlan;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Advice on the fuelling, as far as the drive makes it sure: evidence before numbers. */
final class TrimsLeaf implements Leaf {
    private static final double HEIGHT = 216;
    private static final double BIN = 200;

    private final Session session;
    private final TrimDrawing drawing;
    private final Cells looked = new Cells(12, 3);
    private final FindingsTable findings;
    private final Label leftOut = Parts.text("", "soft");
    private final Label scope = new Label();
    private final TextEntry speeds;
    private final TextEntry loads;
    private final Choice<Integer> most;
    private final CheckBox leaner = new CheckBox(say("Less fuel at full load too, by 3 %%"));
    private final Node pinned;
    private final Node node;
    private int at = -1;
    private Optional<TrimPlan> plan = Optional.empty();

    TrimsLeaf(Session session) {
        this.session = session;
        drawing = new TrimDrawing(HEIGHT, this::look);
        findings = new FindingsTable(session);
        speeds = new TextEntry(session, say("Speed bins, 1/min"), "trims.speeds", say("usual"), 1,
                j -> TrimModel.text(j.roadTest().trims().speeds(), 1),
                (j, typed) -> TrimModel.speeds(session, j, typed)).apartByBlanks();
        loads = new TextEntry(session, say("Load bins"), "trims.loads", say("usual"), 1,
                j -> TrimModel.text(j.roadTest().trims().loads(), TrimModel.axis(j).si()),
                (j, typed) -> TrimModel.loads(session, j, typed)).apartByBlanks();
        HBox ways = new HBox(8,
                Parts.button(say("Write the advice"), "trims.write", () -> TrimModel.write(session), "quiet"),
                Parts.button(say("Read a sheet…"), "trims.read",
                        () -> Parts.browse(drawing, say("Bins, or a plan that was applied"),
                                t -> TrimModel.read(session, t)),
                        "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        most = Choice.list(say("Most at once"), "trims.most",
                List.of(5, 10, 15, 20), m -> say("%d %%", m),
                () -> (int) Math.round(100 * session.preferences().shop().mostTrim()), m -> {
                    Shop shop = session.preferences().shop();
                    session.preferences().shop(shop.withMostTrim(m / 100.0));
                });
        leaner.setId("trims.leaner");
        leaner.setTooltip(new Tooltip(say("Lean under load destroys engines: on a dynamometer, 3 %% at a time, with "
                + "exhaust temperature and knock watched.")));
        leaner.setOnAction(e -> session.edit(say("less fuel at full load"), j -> j.withRoadTest(
                j.roadTest().withTrims(j.roadTest().trims().withLeaner(leaner.isSelected())))));
        HBox.setHgrow(drawing, Priority.ALWAYS);
        VBox beside = Parts.stacked(looked, leftOut);
        beside.setMinWidth(BIN);
        beside.setMaxWidth(BIN);
        pinned = Parts.noted(say("How sure, and then how much"), scope, new HBox(16, drawing, beside));
        node = new Columns(300, Parts.card(say("Before it is applied"), findings),
                Parts.card(say("The shop's own bins"), Parts.evenly(speeds, loads, most), ways, leaner));
    }

    private void look(int cell) {
        at = cell;
        looked.write(this::bin);
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public List<Node> pinned() {
        return List.of(pinned);
    }

    @Override
    public void refresh() {
        plan = session.review().trims();
        int cells = plan.map(p -> p.cells().size()).orElse(0);
        if (at < 0 || at >= cells) {
            at = plan.map(TrimModel::first).orElse(-1);
        }
        drawing.show(plan, at);
        scope.setText(plan.isPresent() ? say("disc: time there · ring: how sure · number: %% of fuel") : "");
        looked.write(this::bin);
        findings.refresh(plan.map(TrimPlan::findings).orElse(List.of()),
                TrimModel.nothing(session));
        Parts.show(leftOut, TrimModel.leftOut(session.job()).entrySet().stream()
                .map(e -> e.getKey().words() + " "
                        + Figures.text(session, new Measure(e.getValue(), Dimension.DURATION, 0)))
                .collect(Collectors.collectingAndThen(Collectors.joining(", "),
                        t -> t.isEmpty() ? "" : say("Left out: %s.", t))));
        most.refresh();
        leaner.setSelected(session.job().roadTest().trims().leaner());
        speeds.refresh();
        loads.refresh();
    }

    private void bin() {
        TrimPlan p = plan.orElse(null);
        if (p == null || at < 0) {
            looked.words(0, 0, say("Nothing was driven that tells of the fuelling."), "soft");
            return;
        }
        Cell cell = p.cells().get(at);
        looked.row(0, say("At"), say("%.0f /min, %.0f %s", cell.speed(), p.axis().shown(cell.load()), p.axis().unit()),
                "");
        looked.row(1, say("Evidence"),
                say("%.0f s in %s", cell.seconds(), count("1 visit", "%d visits", cell.visits())), "");
        Double shown = cell.lambda();
        Double need = cell.need();
        Double doubt = cell.doubt();
        Double advice = cell.advice();
        looked.row(2, say("Showed"), shown == null ? "—" : Figures.mixture(session, shown), "");
        looked.row(3, say("Wanted"), Figures.mixture(session, cell.target()), "");
        looked.row(4, say("Asks for"), need == null || doubt == null
                ? "—"
                : say("%+.1f %% ± %.1f %%", 100 * need, 200 * doubt), "");
        looked.row(5, say("Advice"), advice == null ? cell.state().words() : say("%+.1f %% of fuel", 100 * advice), "");
    }
}
