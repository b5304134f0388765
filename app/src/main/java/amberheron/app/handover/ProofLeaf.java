package amberheron.app.handover;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Latest;
import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.scaling.OutputLaw;
import amberheron.io.json.Difference;
import amberheron.io.json.FieldWords;
import amberheron.io.json.JobDocument;
import amberheron.io.pack.PackCheck;
import amberheron.io.pack.Visits;
import amberheron.io.pack.Visits.Visit;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import org.jspecify.annotations.Nullable;

/** Whether what was given is whole, and what changed since. */
final class ProofLeaf implements Leaf {
    private static final int MOST = 8;

    /** Packs that were handed over and how they stand now, the last first. */
    private record Looked(List<Visit> visits, List<PackCheck> checks) {
    }

    private final Session session;
    private final HandOverModel model;
    private final FlowPane visits = new FlowPane(6, 6);
    private final Label whole = Parts.text("", "strong");
    private final Label made = Parts.text("", "soft");
    private final Cells faults = new Cells(10, 3);
    private final Label since = Parts.text("", "strong");
    private final Cells changes = new Cells(14, 3);
    private final Node node;
    private @Nullable Looked looked;
    private final Latest<Job> latest;
    private int at;

    ProofLeaf(Session session, HandOverModel model) {
        this.session = session;
        this.model = model;
        latest = new Latest<>(session, say("Looking at the packs"));
        node = new Columns(320, Parts.card(say("Given"), visits, whole, made, faults,
                Parts.button(say("Look again"), "handover.look", () -> {
                    looked = null;
                    latest.forget();
                    refresh();
                }, "quiet")), Parts.card(say("Since then"), since, changes));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        look();
        show();
    }

    /** Reads every file of every pack beside the screen. */
    private void look() {
        Path folder = model.folder(session);
        JobDocument now = session.document();
        List<OutputLaw> laws = session.preferences().shop().laws();
        latest.of(session.job(), () -> {
            List<Visit> found = Visits.in(folder).reversed();
            List<PackCheck> checks = new ArrayList<>();
            for (int i = 0; i < found.size(); i++) {
                // The last is compared with the job as it is, each before it with the one that followed.
                JobDocument next = i == 0 ? now : given(found.get(i - 1));
                checks.add(PackCheck.of(found.get(i).folder(), next, laws));
            }
            return new Looked(found, checks);
        }, result -> {
            looked = result;
            at = Math.clamp(at, 0, Math.max(0, result.visits().size() - 1));
            refresh();
        });
    }

    private static @Nullable JobDocument given(Visit visit) {
        var document = visit.manifest().document();
        return document == null ? null : JobDocument.read(visit.folder().resolve(document.name()));
    }

    private void show() {
        Looked now = looked;
        List<Visit> all = now == null ? List.of() : now.visits();
        Parts.fill(visits, List.of(all, at), () -> {
            List<Node> buttons = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                int index = i;
                buttons.add(Parts.looked(all.get(i).title(), "handover.visit." + i, i == at, () -> {
                    at = index;
                    show();
                }));
            }
            return buttons;
        });
        PackCheck check = now == null || now.checks().isEmpty() ? null : now.checks().get(at);
        if (check == null) {
            whole.setText(now == null ? say("Looking…") : say("Nothing was handed over yet."));
            made.setText("");
            since.setText("");
            faults.write(() -> {
            });
            changes.write(() -> {
            });
            return;
        }
        whole.setText(HandOverModel.whole(check));
        Parts.styles(whole, "strong", check.faults().isEmpty() ? "agreed" : "wrong");
        LocalDate day = check.manifest().made();
        made.setText(say("Code %s, made %s. The same code stands on every page.", check.manifest().code(),
                day == null ? say("on no known day") : Figures.day(day)));
        faults.write(() -> {
            int row = 0;
            for (String fault : check.faults().stream().limit(MOST).toList()) {
                faults.words(0, row++, fault, "plain");
            }
        });
        since.setText(check.since().isEmpty()
                ? at == 0
                        ? say("Nothing changed: pack and job agree.")
                        : say("Nothing changed until the next hand-over.")
                : say("%s changed%s:",
                        count("One value", "%d values", check.since().size()),
                        at == 0 ? "" : say(" until the next hand-over")));
        changes.write(() -> changes(check.since()));
    }

    private void changes(List<Difference> all) {
        int row = 0;
        for (Difference d : all.stream().limit(MOST).toList()) {
            FieldWords field = FieldWords.of(d.field());
            changes.words(0, row++, field.words(), "soft");
            changes.words(0, row++, Figures.text(session, field, d.ours()) + " → "
                    + Figures.text(session, field, d.theirs()), "plain");
        }
        if (all.size() > MOST) {
            changes.words(0, row, say("and %d more", all.size() - MOST), "soft");
        }
    }
}
