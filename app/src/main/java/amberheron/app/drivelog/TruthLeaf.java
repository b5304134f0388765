package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Scales;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.drivelog.Crossings;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.drivelog.LinkReading;
import amberheron.core.drivelog.LogCheck;
import amberheron.core.drivelog.LogField;
import amberheron.core.drivelog.Witness;
import amberheron.core.drivelog.Witness.Act;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.plan.Intake;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import org.jspecify.annotations.Nullable;

/** Whether the controller itself is right: what else says what the mixture is. */
final class TruthLeaf implements Leaf {
    private static final List<LogCheck> HERE = List.of(LogCheck.CROSSINGS, LogCheck.ANALYSER, LogCheck.CHANGE,
            LogCheck.LINK);

    private final Session session;
    private final List<EntryField> fields = new ArrayList<>();
    private final Choice<Act> act;
    private final Choice<MixtureScale> linkScale;
    private final Node link;
    private final FindingsTable findings;
    private final Label gas = Parts.line("", "big-figure");
    private final Label gasNote = Parts.text("", "soft");
    private final Label steps = Parts.text("", "plain");
    private final Node node;

    TruthLeaf(Session session) {
        this.session = session;
        findings = new FindingsTable(session);
        act = Choice.list(say("What is changed on purpose"), LogField.ACT.path(), List.of(Act.values()), Act::words,
                () -> session.job().roadTest().witness().act(),
                a -> session.edit(a.words(), j -> with(j, w -> w.withAct(a))));
        linkScale = Choice.list(say("The reader's numbers are"), LogField.LINK_SCALE.path(), Scales.all(session),
                Scales::words, () -> session.job().roadTest().link().scale(),
                s -> session.edit(Scales.words(s), j -> linked(j, l -> l.withScale(s))));
        link = Parts.card(say("By the link, at two mixtures"), linkScale,
                Parts.evenly(
                        told(say("Controller's display"), LogField.LINK_TOLD_FIRST,
                                l -> l.first().controller(), (l, v) -> l.withFirst(l.first().withController(v))),
                        told(say("Reader shows"), LogField.LINK_SHOWN_FIRST, l -> l.first().reader(),
                                (l, v) -> l.withFirst(l.first().withReader(v)))),
                Parts.evenly(
                        told(say("Controller's display, second"), LogField.LINK_TOLD_SECOND,
                                l -> l.second().controller(), (l, v) -> l.withSecond(l.second().withController(v))),
                        told(say("Reader shows, second"), LogField.LINK_SHOWN_SECOND, l -> l.second().reader(),
                                (l, v) -> l.withSecond(l.second().withReader(v)))),
                Parts.text(say("As each of them shows it. One at idle, one on the throttle or with the choke pulled."),
                        "soft"));
        node = new Columns(300, link,
                Parts.card(say("Gas analyser, warm idle"),
                        Parts.evenly(
                                gas("CO2", Unit.PERCENT, 25, 1, LogField.CARBON_DIOXIDE,
                                        GasAnalysis::carbonDioxide, GasAnalysis::withCarbonDioxide),
                                gas("CO", Unit.PERCENT, 15, 2, LogField.CARBON_MONOXIDE,
                                        GasAnalysis::carbonMonoxide, GasAnalysis::withCarbonMonoxide),
                                gas("O2", Unit.PERCENT, 21, 2, LogField.OXYGEN, GasAnalysis::oxygen,
                                        GasAnalysis::withOxygen)),
                        Parts.evenly(
                                gas(say("HC, as hexane"), Unit.PART_PER_MILLION, 30_000, 0, LogField.HYDROCARBONS,
                                        GasAnalysis::hydrocarbons, GasAnalysis::withHydrocarbons),
                                gas(say("NO, if read"), Unit.PART_PER_MILLION, 5000, 0, LogField.NITRIC_OXIDE,
                                        GasAnalysis::nitricOxide, GasAnalysis::withNitricOxide),
                                mixture(say("Controller shows"), LogField.SHOWN, Witness::shown, Witness::withShown)),
                        gas, gasNote),
                Parts.card(say("A change made on purpose"), act,
                        Parts.evenly(
                                mixture(say("Shown before"), LogField.BEFORE, Witness::before, Witness::withBefore),
                                mixture(say("Shown after"), LogField.AFTER, Witness::after, Witness::withAfter)),
                        Parts.text(
                                say("Outdoors or with extraction: exhaust kills. Out of gear, brake on, clear of the "
                                        + "fan. The number has to move the right way."),
                                "soft")),
                Parts.card(say("What they say"), findings), Parts.card(say("The stock narrowband's steps"), steps));
    }

    private static Job with(Job job, Function<Witness, Witness> change) {
        return job.withRoadTest(job.roadTest().withWitness(change.apply(job.roadTest().witness())));
    }

    private static Job linked(Job job, UnaryOperator<LinkReading> change) {
        return job.withRoadTest(job.roadTest().withLink(change.apply(job.roadTest().link())));
    }

    private EntryField told(String name, LogField property, Function<LinkReading, @Nullable Double> read,
            BiFunction<LinkReading, @Nullable Double, LinkReading> write) {
        EntryField field = new EntryField(session, QuantityField.of(name, Unit.ONE, 0.3, 60), 3, property::address,
                j -> read.apply(j.roadTest().link()), (j, v) -> linked(j, l -> write.apply(l, v)));
        fields.add(field);
        return field;
    }

    private EntryField gas(String name, Unit unit, double most, int decimals, LogField property,
            Function<GasAnalysis, @Nullable Double> read,
            BiFunction<GasAnalysis, @Nullable Double, GasAnalysis> write) {
        return field(QuantityField.of(name, unit, 0, most), decimals, property, w -> read.apply(w.gas()),
                (w, v) -> w.withGas(write.apply(w.gas(), v)));
    }

    private EntryField mixture(String name, LogField property, Function<Witness, @Nullable Double> read,
            BiFunction<Witness, @Nullable Double, Witness> write) {
        return field(QuantityField.of(name, Unit.LAMBDA, 0.5, 2), 3, property, read, write);
    }

    private EntryField field(QuantityField quantity, int decimals, LogField property,
            Function<Witness, @Nullable Double> read, BiFunction<Witness, @Nullable Double, Witness> write) {
        EntryField field = new EntryField(session, quantity, decimals, property::address,
                j -> read.apply(j.roadTest().witness()), (j, v) -> with(j, w -> write.apply(w, v)));
        fields.add(field);
        return field;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        fields.forEach(EntryField::refresh);
        act.refresh();
        linkScale.refresh();
        Parts.show(link, session.job().intake().asks(Intake.Question.LINK));
        findings.refresh(session.review().findings(Station.PROVE).stream()
                .filter(f -> HERE.stream().anyMatch(f.check()::is)).toList(),
                say("Nobody else was asked yet. Until then the controller's own number is taken for "
                        + "the truth."));
        Double burnt = session.review().witnessed();
        gas.setText(burnt == null ? "λ —" : Figures.text(session, new Measure(burnt, Dimension.MIXTURE, 3)));
        gasNote.setText(burnt == null
                ? say("By Brettschneider's balance, once CO2, CO, O2 and HC are read before any "
                        + "catalyst or air pump.")
                : say("By Brettschneider's balance, from memory; ± %s. It stands on the rule as G.",
                        Figures.text(session, new Measure(GasAnalysis.DOUBT, Dimension.MIXTURE, 3))));
        Output.Proving proving = session.job().proving();
        DriveFound found = proving == null ? null : proving.found();
        Crossings crossings = found == null ? null : found.crossings();
        steps.setText(crossings == null
                ? say("A log with the narrowband's volts, warm and in closed loop, gives a point that "
                        + "is λ 1 whatever the fuel.")
                : session.job().engineTraits().contains(EngineTrait.NARROWBAND_SIMULATED)
                        ? say("It stepped %s, but this controller simulates it and steps it where it believes λ 1 to be: no witness.",
                                count("once", "%d times", crossings.steps()))
                        : say("It stepped %s; the controller then showed %s ± %s. It stands on the rule as N.",
                                count("once", "%d times", crossings.steps()),
                                Figures.text(session, new Measure(crossings.lambda(), Dimension.MIXTURE, 3)),
                                Figures.text(session, new Measure(crossings.doubt(), Dimension.MIXTURE, 3))));
    }
}
