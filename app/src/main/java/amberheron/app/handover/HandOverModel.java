package amberheron.app.handover;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Navigation;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.job.JobCheck;
import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.UnitChoice;
import amberheron.io.TextFiles;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Manifest;
import amberheron.io.kind.FileKind;
import amberheron.io.pack.HandOverPack;
import amberheron.io.pack.PackCheck;
import amberheron.io.pack.Sheets;
import amberheron.io.pack.Sheets.For;
import amberheron.io.pack.ShopCard;
import amberheron.io.pack.Visits;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** Model of the Hand over station. */
public final class HandOverModel implements StationModel {
    private For whom = For.OWNER;

    @Override
    public String subtitle() {
        return say("What the next person needs, and the proof");
    }

    @Override
    public String figure(Session session) {
        var date = session.job().handOver().date();
        return date == null ? "" : say("handed over %s", Figures.day(date));
    }

    /** Longest name of a shop that fits the head of a sheet, characters. */
    static final int MOST_NAME = 60;

    /** Where this job's packs go, a folder for each hand-over. */
    public Path folder(Session session) {
        return session.home().resolve("packs").resolve(stem(session));
    }

    String stem(Session session) {
        return HandOverPack.stem(session.job());
    }

    /** Opens the job again after a hand-over; what was given stays as it is. */
    void again(Session session) {
        if (session.job().handOver().date() == null) {
            session.tell(say("It was not handed over yet."));
            return;
        }
        session.edit(say("return visit"), j -> j.withHandOver(j.handOver().withDate(null)));
        session.tell(say("A return visit: what was given stays, and Proof shows what changes from now on."));
    }

    /** The sheet that is looked at. */
    For whom() {
        return whom;
    }

    /** Looks at a sheet. */
    void look(For sheet) {
        whom = sheet;
    }

    /** What the pack would say first: links that are not proven, what is stale, what is not ticked. */
    List<String> before(Session session) {
        JobReview review = session.review();
        List<String> lines = new ArrayList<>(unproven(session)
                .map(s -> say("%s is %s.", s.title(), review.state(s).words())).toList());
        review.stale().forEach(s -> lines.add(say("Stale: %s", Figures.text(session, s.text()))));
        Sheets.notTicked(review).ifPresent(lines::add);
        return lines;
    }

    /** Writes the pack; what it would say first is shown first. */
    public void write(Session session) {
        boolean seen = session.at().view() == Navigation.View.STATION
                && session.at().station() == Station.HAND_OVER
                && session.at().leaf().filter(l -> l == LeafId.HAND_OVER_PACK).isPresent();
        if (seen || before(session).isEmpty()) {
            writeNow(session);
        } else {
            session.at().go(Station.HAND_OVER);
            session.focus(LeafId.HAND_OVER_PACK);
        }
    }

    /** Dates the hand-over and writes the pack, off the screen's thread. */
    void writeNow(Session session) {
        session.edit(say("handed over"), j -> j.withHandOver(j.handOver().withDate(session.today())));
        JobDocument document = session.document();
        Shop shop = session.preferences().shop();
        UnitChoice units = session.preferences().units();
        ShopCard card = session.preferences().card();
        Path all = folder(session);
        LocalDate today = session.today();
        session.background().run(say("Writing the pack"), () -> {
            String code = Manifest.code(document.bytes());
            Path folder = Visits.next(all, today, code);
            int files = HandOverPack.write(document, new JobReview(document.job(), shop), units, card, folder).size();
            return say("Written to %s: %d files, code %s.", folder, files, code);
        });
    }

    @Override
    public List<StationAction> actions() {
        return List.of(new StationAction(say("Print the sheet in view"), say("paper, PDF, report"), "Shortcut+P", s -> {
            s.at().go(Station.HAND_OVER);
            s.focus(LeafId.HAND_OVER_SHEET);
            SheetPrint.print(s, whom);
        }), new StationAction(say("Copy the sheet in view as text"), say("clipboard, message, e-mail"), "",
                s -> SheetPrint.copy(s, whom)),
                new StationAction(say("Write the hand-over pack"), say("export, PDF, finish, deliver"), "",
                        this::write));
    }

    @Override
    public LeafId take(Session session, FileKind kind, String file) {
        JobDocument now = session.document();
        List<OutputLaw> laws = session.preferences().shop().laws();
        session.background().run(say("Looking at the pack"), () -> {
            PackCheck check = PackCheck.of(TextFiles.path(file), null, laws);
            String of = check.manifest().job().equals(now.job().id())
                    ? ""
                    : say(" It is of the job %s.", check.manifest().job());
            return String.join(" ", whole(check), String.join("; ", check.faults())).strip() + of;
        });
        return LeafId.HAND_OVER_PROOF;
    }

    /** Whether a pack is as it was written. */
    static String whole(PackCheck check) {
        return check.faults().isEmpty()
                ? say("✓ Whole: %d files as they were written.", check.manifest().files().size())
                : say("▲ Not as it was written.");
    }

    private static Stream<Station> unproven(Session session) {
        return Arrays.stream(Station.values())
                .filter(s -> s != Station.HAND_OVER && !session.review().state(s).done())
                .filter(s -> s != Station.PLAN || !session.review().planned());
    }

    @Override
    public Advice advice(Session session) {
        List<Station> open = unproven(session).toList();
        List<Source> checked = List.of(Source.derived("the state of every link, from this job's own figures"));
        Message caution = plain(
                "A wrong number is worse than none: an engine is fuelled from it. Removing or replacing emission parts can be illegal on the road: local law and inspection rules decide.");
        Action write = new Action(say("Write the pack"), () -> write(session));
        if (!open.isEmpty()) {
            Station first = open.getFirst();
            return new Advice(
                    Message.of("{0} is {1}: go there first.", plain(first.title()),
                            plain(session.review().state(first).words())),
                    Action.go(session, first),
                    plain("The sheet can be written all the same; it says plainly what is not proven."), Message.NONE,
                    checked, caution);
        }
        boolean reserved = !session.review().reservations().isEmpty();
        List<String> steps = Sheets.left(session.review());
        if (!steps.isEmpty()) {
            return new Advice(plain("Tick what is done, or leave it on the sheet as not done."),
                    Action.go(session, Station.PLAN),
                    Message.of(reserved
                            ? "Every link is proven, with reservations, but not ticked: {0}."
                            : "Every link is proven, but not ticked: {0}.",
                            Message.joined("; ", steps.stream().map(Message::plain).toList())),
                    Message.NONE, checked, caution);
        }
        return new Advice(
                plain(session.job().handOver().date() == null ? JobCheck.HANDED_OVER.words() : "Handed over."),
                write,
                plain(reserved
                        ? "Every link is proven, with reservations that stand first on every sheet; what is left undone belongs there too."
                        : "Every link is proven; what is left undone belongs on the sheet too."),
                Message.NONE, checked,
                caution);
    }
}
