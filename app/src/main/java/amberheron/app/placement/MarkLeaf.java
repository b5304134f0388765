package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.placement.Bung;
import amberheron.core.placement.FittingProcedure;
import amberheron.core.placement.PlaceField;
import amberheron.core.units.QuantityField;
import amberheron.io.pack.TemplateSheet;
import java.util.List;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Figures and templates to mark and cut by, and the procedure. */
final class MarkLeaf implements Leaf {
    private final Session session;
    private final PlaceModel model;
    private final TemplatePreview preview;
    private final VBox figures = new VBox(2);
    private final VBox procedure = new VBox(6);
    private final Label note = new Label();
    private final Label title = new Label();
    private final List<Runnable> refreshers;
    private final Node node;
    private final Node steps;

    MarkLeaf(Session session, PlaceModel model) {
        this.session = session;
        this.model = model;
        preview = new TemplatePreview(session, model);
        EntryField diameter = bung(say("Bung across"), PlaceField.BUNG_DIAMETER, 18, 60, Bung::diameter,
                Bung::withDiameter);
        EntryField lip = bung(say("Hole it needs"), PlaceField.BUNG_LIP, 10, 60, Bung::lip, Bung::withLip);
        Choice<Boolean> stepped = Choice.list(say("Bung in hand"), "place.bung.stepped", List.of(true, false),
                s -> s ? say("stepped: its lip sits in the hole") : say("plain: sits on the pipe"),
                () -> session.job().placing().bung().stepped(),
                s -> session.edit(say("bung %s", s ? say("stepped") : say("plain")),
                        j -> j.withPlacing(j.placing().withBung(j.placing().bung().withStepped(s)))));
        refreshers = List.of(diameter::refresh, lip::refresh, stepped::refresh);
        node = new Columns(300, Parts.noted(say("Templates"), note, preview,
                Parts.button(say("Write the sheet, 1 : 1, as PDF and SVG"), "place.print", () -> model.print(session),
                        "primary")),
                Parts.card(say("Mark and cut"), figures, stepped, Parts.evenly(diameter, lip)));
        steps = Parts.noted(say("Procedure"), title, procedure);
    }

    private EntryField bung(String name, PlaceField field, double min, double max, Function<Bung, Double> read,
            BiFunction<Bung, Double, Bung> write) {
        return new EntryField(session, QuantityField.of(name, MILLIMETRE, min, max), 1, field::address,
                j -> read.apply(j.placing().bung()),
                (j, v) -> v == null ? j : j.withPlacing(j.placing().withBung(write.apply(j.placing().bung(), v))));
    }

    /** How it is fitted, step by step. */
    Node steps() {
        return steps;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        refreshers.forEach(Runnable::run);
        preview.refresh();
        note.setText(model.marked(session).map(c -> c.letter() + ", " + PlaceModel.where(session, c)).orElse(""));
        String why = model.whyNoMarks(session);
        figures.getChildren().setAll(why.isEmpty()
                ? TemplateSheet
                        .marks(model.marks(session).orElseThrow(), session.preferences().units(),
                                session.job().stoich())
                        .stream().map(MarkLeaf::line).toList()
                : List.of(Parts.text(why, "soft")));
        FittingProcedure p = PlaceModel.procedure(session);
        title.setText(p.title() + " · " + p.source().kind().words());
        procedure.getChildren().setAll(p.steps().stream()
                .map(s -> Parts.text((p.steps().indexOf(s) + 1) + "  " + s)).toList());
        procedure.getChildren().add(Parts.text(p.caution(), "caution-text"));
    }

    private static Node line(TemplateSheet.Mark mark) {
        Label name = Parts.line(mark.name(), "soft");
        name.setMinWidth(Region.USE_PREF_SIZE);
        Label figure = Parts.text(Objects.requireNonNull(mark.figure()), "figure", "strong");
        figure.setAlignment(javafx.geometry.Pos.CENTER_RIGHT);
        return new HBox(8, name, Parts.spring(), figure);
    }
}
