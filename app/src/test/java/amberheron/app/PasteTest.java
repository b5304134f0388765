package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Wire;
import amberheron.core.scaling.CheckPoint;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Cells pasted from a table of the shop's. */
class PasteTest extends WindowTest {
    @BeforeEach
    void route() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.clickOn(byId("wire.leaf.route"));
    }

    private List<Waypoint> places() {
        return session.job().wiring().harness().route().points();
    }

    private void paste(String field, String text) {
        hands.interact(() -> {
            session.focus(field);
            Clipboard.getSystemClipboard().setContent(Map.of(DataFormat.PLAIN_TEXT, text));
        });
        hands.push(KeyCode.CONTROL, KeyCode.V);
    }

    private String length(int place) {
        return "wire.route." + places().get(place).id() + ".length";
    }

    @Test
    void cellsGoToTheRightAndBelowAndAreTakenBackAsOneStep() {
        List<Waypoint> before = places();
        assertThat(before).hasSize(4);
        paste(length(3), "300\t45 mm\t\t120\n0.25 m\t50\t200\t90\tsleeved\n");
        assertThat(places()).hasSize(5).startsWith(before.get(0), before.get(1), before.get(2));
        Waypoint fourth = places().get(3);
        assertThat(fourth.length()).isEqualTo(0.3);
        assertThat(fourth.bend()).isEqualTo(0.045);
        assertThat(fourth.hot()).as("an empty cell leaves what was there").isEqualTo(before.get(3).hot());
        assertThat(places().get(4)).extracting(Waypoint::length, Waypoint::hot, Waypoint::sleeved)
                .containsExactly(0.25, 0.2, true);
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(places()).isEqualTo(before);
    }

    @Test
    void aCellThatDoesNotFitTakesNothing() {
        List<Waypoint> before = places();
        paste(length(0), "300\t45\n300\tfar away\n");
        assertThat(places()).isEqualTo(before);
        assertThat(session.notice()).contains("Nothing was pasted", "Row 2", "Bend");
    }

    private static String copied(Hands hands) {
        String[] text = {""};
        hands.interact(() -> text[0] = Clipboard.getSystemClipboard().getString());
        return text[0];
    }

    /** What is copied of a table is what a paste takes. */
    @Test
    void aRowAndAWholeTableAreCopied() {
        hands.interact(() -> session.focus(length(1)));
        hands.push(KeyCode.CONTROL, KeyCode.C);
        assertThat(copied(hands)).as("a marked number is the field's own").doesNotContain("\t");
        hands.push(KeyCode.END);
        hands.push(KeyCode.CONTROL, KeyCode.C);
        String row = copied(hands);
        assertThat(row.split("\t", -1)).hasSizeGreaterThan(4).contains(text(length(1)));
        hands.push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
        assertThat(copied(hands).lines()).hasSize(5).contains(row);
        Waypoint was = places().get(1);
        hands.push(KeyCode.CONTROL, KeyCode.ENTER);
        assertThat(places().get(2).length()).isNull();
        // From its length on.
        paste(length(2), row.substring(row.indexOf('\t') + 1));
        assertThat(places().get(2).length()).isCloseTo(was.length(), Offset.offset(1e-9));
    }

    @Test
    void aChartGoesOutAsATableAndComesBack() {
        hands.interact(() -> session.focus("wire.leaf.chart"));
        var chart = session.job().wiring().harness().chart();
        hands.clickOn(byId("wire.chart.row." + chart.wires().getFirst().tag()));
        hands.push(KeyCode.CONTROL, KeyCode.C);
        String table = copied(hands);
        assertThat(table.lines()).hasSize(1 + chart.wires().size());
        hands.push(KeyCode.CONTROL, KeyCode.DELETE);
        hands.push(KeyCode.CONTROL, KeyCode.V);
        assertThat(session.job().wiring().harness().chart().wires()).extracting(Wire::tag, Wire::colour, Wire::to)
                .containsExactlyElementsOf(chart.wires().stream()
                        .map(w -> org.assertj.core.groups.Tuple.tuple(w.tag(), w.colour(), w.to())).toList());
        hands.interact(() -> Clipboard.getSystemClipboard()
                .setContent(Map.of(DataFormat.PLAIN_TEXT, "tag\tcolour\n1\tsky with stripes\n")));
        hands.push(KeyCode.CONTROL, KeyCode.V);
        assertThat(session.notice()).contains("Nothing was pasted", "sky with stripes");
    }

    @Test
    void aFigureThatIsCheckedIsCopiedWithItsUnit() {
        find("job SB-016");
        hands.push(KeyCode.ALT, KeyCode.DIGIT3);
        hands.interact(() -> session.focus("wire.leaf.heater"));
        Node row = hands.find(n -> n.getId() != null && n.getId().startsWith("why.") && n.isVisible()).orElseThrow();
        hands.interact(row::requestFocus);
        hands.push(KeyCode.CONTROL, KeyCode.C);
        assertThat(copied(hands)).containsPattern("[\\d.]+ (s|A|V)");
    }

    @Test
    void checkPointsArePastedAndChangedWhereTheyStand() {
        hands.push(KeyCode.ALT, KeyCode.DIGIT5);
        int had = session.job().points().size();
        paste("scale.volts", "1.00 V\t11.9\n2.00\t13.9");
        assertThat(session.job().points()).hasSize(had + 2);
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.job().points()).hasSize(had);
        paste("scale.volts", "1.00\t11.9\n2.00\tlean");
        assertThat(session.job().points()).hasSize(had);
        assertThat(session.notice()).contains("Row 2");
        hands.clickOn(byId("scale.volts"));
        hands.write("1.5");
        hands.push(KeyCode.ENTER);
        hands.write("12.5");
        hands.push(KeyCode.ENTER);
        CheckPoint own = session.job().points().getLast();
        hands.clickOn(byId("scale.change." + had));
        hands.push(KeyCode.ENTER);
        hands.push(KeyCode.CONTROL, KeyCode.A);
        hands.write("12.7");
        hands.push(KeyCode.ENTER);
        assertThat(session.job().points()).hasSize(had + 1);
        assertThat(session.job().points().getLast()).extracting(CheckPoint::id, CheckPoint::volts, CheckPoint::shown)
                .containsExactly(own.id(), 1.5, 12.7);
        // One that an instrument's stand-in gave does not become a person's by being typed over.
        CheckPoint simulated = session.job().points().getFirst();
        assertThat(simulated.origin().real()).isFalse();
        hands.clickOn(byId("scale.change.0"));
        hands.push(KeyCode.ENTER);
        hands.push(KeyCode.CONTROL, KeyCode.A);
        hands.write("1");
        hands.push(KeyCode.ENTER);
        assertThat(session.job().points().getFirst()).isEqualTo(simulated);
    }

    @Test
    void twoCellsAreNotOneNumber() {
        Double was = session.job().wiring().harness().route().lengths().extension();
        paste("wire.route.extension", "30\t45");
        hands.push(KeyCode.ENTER);
        assertThat(session.job().wiring().harness().route().lengths().extension()).isEqualTo(was);
        assertThat(session.notice()).contains("30 | 45");
    }
}
