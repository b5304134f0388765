package amberheron.app.handover;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.io.pack.ShopCard;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** The hand-over pack, and how the shop shows itself on it. */
final class PackLeaf implements Leaf {
    private static final double NAME = 98;

    private final Session session;
    private final HandOverModel model;
    private final Cells holds = new Cells(14, 3);
    private final Label before = Parts.text("", "wrong");
    private final Button write;
    private final Label where = Parts.text("", "soft");
    private final TextField name = new TextField();
    private final Choice<ShopCard.Paper> paper;
    private final Label mark = Parts.text("", "soft");
    private final Node node;

    PackLeaf(Session session, HandOverModel model) {
        this.session = session;
        this.model = model;
        name.setId("handover.shop");
        name.setPromptText(say("none"));
        name.setAccessibleText(say("The shop's name on paper"));
        name.setOnAction(e -> named());
        name.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                named();
            }
        });
        Label label = Parts.line(say("The shop's name"), "field-name");
        label.setLabelFor(name);
        paper = new Choice<>(say("Paper"), "handover.paper", List.of(ShopCard.Paper.values()),
                ShopCard.Paper::words, () -> session.preferences().card().paper(),
                p -> session.preferences().card(session.preferences().card().name(), p));
        write = Parts.button(say("Write the pack"), "handover.write", () -> model.writeNow(session), "primary");
        VBox again = Parts.card(say("Coming back"), Parts.text(
                say("A later hand-over gets a folder of its own: what was given before is never "
                        + "written over, and Proof says what changed between."),
                "soft"),
                Parts.button(say("Begin a return visit"), "handover.again", () -> model.again(session), "quiet"));
        node = Columns.wideLeft(300,
                Parts.stacked(Parts.card(say("Write it"), before, write, where),
                        Parts.card(say("What it holds"), holds)),
                Parts.stacked(Parts.card(say("On every sheet"), label, name, paper, mark), again));
    }

    private void named() {
        String typed = name.getText().strip();
        String kept = typed.substring(0, Math.min(HandOverModel.MOST_NAME, typed.length()));
        if (!kept.equals(session.preferences().card().name())) {
            session.preferences().card(kept, session.preferences().card().paper());
        }
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        holds.write(() -> {
            int row = 0;
            for (String[] line : new String[][]{
                    {say("Owner"), say("one page: what was fitted, what the number means, when to come back")},
                    {say("Tuner"), say("law, setting, check points, what the log shows, how far to trust it")},
                    {say("Next mechanic"), say("where and why, every wire, power and ground, procedure")},
                    {say("Figures"), say("law, setting, points and chart as CSV; the job as JSON")},
                    {say("Harness"), say("chart, strip and tags to cut out")},
                    {say("Marking out"), say("the templates at full size, where a place was taken")},
                    {say("Calendar"), say("when free air is due again")},
                    {say("Manifest"), say("SHA-256 of every file, and the code on every page")}}) {
                holds.line(0, row, line[0], "strong").setMinWidth(NAME);
                holds.words(1, row++, line[1], "plain");
            }
        });
        List<String> first = model.before(session);
        Parts.show(before, first.isEmpty()
                ? ""
                : say("First on every sheet will stand:\n%s", String.join("\n", first)));
        write.setText(first.isEmpty() ? say("Write the pack") : say("Write it all the same"));
        where.setText(say("Goes to packs/%s/ beside the book, a folder for each day.", model.stem(session)));
        if (!name.isFocused()) {
            name.setText(session.preferences().card().name());
        }
        paper.refresh();
        mark.setText(session.preferences().card().image().isEmpty()
                ? say("A PNG called %s beside the book is printed as the shop's mark.", ShopCard.MARK)
                : say("%s beside the book is printed as the shop's mark.", ShopCard.MARK));
    }
}
