package amberheron.app.freeair;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.LAMBDA;
import static amberheron.core.units.Unit.PERCENT;
import static amberheron.core.units.Unit.SECOND;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.finding.Origin;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.ShouldShow;
import amberheron.core.freeair.Steadiness;
import amberheron.core.job.Station;
import amberheron.core.parts.Address;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.time.LocalDate;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;

/** The controller's reading in air, by hand or by the coach, and its worth. */
final class VerdictLeaf implements Leaf {
    private final Session session;
    private final AirFields fields;
    private final FindingsTable findings;
    private final Cells compared = new Cells(18, 4);
    private final Label stale = new Label();
    private final Label date = new Label();
    private final Label origin = Parts.text("", "soft");
    private final EntryField end;
    private final Node node;

    VerdictLeaf(Session session) {
        this.session = session;
        fields = new AirFields(session);
        findings = new FindingsTable(session);
        EntryField shown = fields.quantity(say("It shows"), PERCENT, 0, 30, 2, AirField.SHOWN,
                FreeAirCheck::shownOxygen,
                (c, v) -> fields.read(c.withShownOxygen(v, fields.day(c, v))));
        EntryField mixture = fields.quantity(say("or as a mixture"), LAMBDA, 0.3, 20, 3, AirField.MIXTURE,
                FreeAirCheck::shownLambda, (c, v) -> fields.read(c.withShownLambda(v, fields.day(c, v))));
        end = fields.quantity(say("Its display ends at"), LAMBDA, 0.3, 20, 3, AirField.DISPLAY_END,
                FreeAirCheck::displayEnd, FreeAirCheck::withDisplayEnd);
        EntryField settled = fields.quantity(say("Steady for"), SECOND, 0, 3600, 0, AirField.SETTLED,
                FreeAirCheck::settled, FreeAirCheck::withSettled);
        node = new Columns(300,
                Parts.stacked(Parts.noted(say("Against the rules"), stale, findings),
                        Parts.card(say("Shown, and what it should be"), compared)),
                Parts.noted(say("What the controller shows"), date, Parts.evenly(shown, mixture),
                        Parts.evenly(end, settled),
                        origin));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        FreeAirCheck check = session.job().air();
        findings.refresh(AirModel.findings(session, LeafId.AIR_VERDICT), "");
        LocalDate day = check.date();
        date.setText(day == null ? say("no reading yet") : say("read %s", Figures.day(day)));
        stale.setText(Figures.stale(session, Station.AIR));
        origin.setText(origin(check.reading()));
        compared.write(() -> compare(check));
        // Where the reading is at the top, or its paper says where that is, nothing has to be asked.
        Parts.show(end, check.displayEnd() != null || AirModel.findings(session, LeafId.AIR_VERDICT).stream()
                .anyMatch(f -> f.asks().contains(AirField.DISPLAY_END.address())));
        fields.refresh();
    }

    private void compare(FreeAirCheck check) {
        Double shown = check.shownOxygen();
        Optional<ShouldShow> should = ShouldShow.of(check);
        Steadiness steady = check.steadiness();
        int row = 0;
        if (shown != null && should.isPresent()) {
            compared.row(row++, say("shown"), part(shown, 2), "");
            compared.row(row++, say("should be"), part(should.get().oxygen(), 2), should.get().learned()
                    ? say("its own idea of air")
                    : say("this air, known to ± %s of it", part(should.get().doubt(), 1)));
            compared.row(row++, say("free-air error"), part(should.get().off(shown), 2), "");
        }
        if (steady != null) {
            compared.row(row++, say("readings"), String.valueOf(steady.count()),
                    say("over %s", Figures.text(session, new Measure(steady.seconds(), Dimension.DURATION, 0))));
            compared.row(row++, say("drift"), part(steady.drift(), 2),
                    say("± %s in a minute", part(steady.driftDoubt(), 2)));
            compared.row(row++, say("scatter"), part(steady.scatter(), 2), say("%s wild", steady.wild()));
        }
        if (row == 0) {
            compared.line(0, 0, say("Nothing was read in air yet."), "soft");
        }
    }

    private String part(double value, int decimals) {
        return Figures.text(session, new Measure(value, Dimension.FRACTION, decimals));
    }

    private String origin(Optional<Address> reading) {
        if (reading.isEmpty()) {
            return say("The coach enters these; or read them off the display yourself.");
        }
        Origin from = session.job().entries().origin(reading.get());
        String words = say("From: %s.", from.words());
        return from.real() || session.preferences().shop().demo()
                ? words
                : say("%s Made up by a stand-in, so it counts for nothing.", words);
    }
}
