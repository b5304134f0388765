package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Message;
import amberheron.core.job.Job;
import amberheron.core.job.Pair;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingText;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Pairs;
import amberheron.io.csv.LawCsv;
import amberheron.io.json.ScaleFile;
import amberheron.io.pack.HandOverPack;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;

/** Law, reader and pairs of them in files: kept for the next job, written out, read in. */
final class ScaleFiles {
    private final Session session;

    ScaleFiles(Session session) {
        this.session = session;
    }

    private Path folder() {
        return session.home().resolve("pairs");
    }

    /** Looks up what the shop keeps, and gives it on the screen's thread. */
    void list(Consumer<List<Pair>> then) {
        Path folder = folder();
        session.background().run(say("Looking up the pairs"), () -> Pairs.in(folder), kept -> {
            then.accept(kept.pairs());
            return kept.faults().isEmpty() ? "" : say("Left out: %s", String.join("; ", kept.faults()));
        });
    }

    /** Keeps the pair at hand for the next job, with its proof where it has one. */
    void keep(Runnable then) {
        Pair pair = Pair.of(session.review()).orElse(null);
        if (pair == null) {
            session.tell(say("Choose the law and the reader first."));
            return;
        }
        Path folder = folder();
        session.background().run(say("Keeping the pair"), () -> Pairs.keep(folder, pair), file -> {
            then.run();
            return say("%s is kept%s.", pair.title(), pair.proof() == null ? say(", though not proven") : "");
        });
    }

    /** Puts a pair to hand. */
    void use(Pair pair) {
        session.edit(say("pair %s", pair.title()), pair::in);
    }

    /** Facts of a pair, in words. */
    String words(Pair pair) {
        Pair.Proof proof = pair.proof();
        return proof == null
                ? say("Never proven.")
                : Figures.text(session,
                        Message.of(
                                "Proven in {0} on {1}: {2} points, at worst {3}. This job's wires are others: check it here too.",
                                Message.plain(proof.job()), Message.plain(proof.on().toString()), proof.points(),
                                new Measure(Math.abs(proof.worst()), Dimension.MIXTURE, 4)));
    }

    /** Writes law, reader and what is typed into files of their own. */
    void write() {
        Job job = session.job();
        OutputLaw law = job.law();
        Reader reader = job.reader();
        if (law == null || reader == null || session.review().scale().isEmpty()) {
            session.tell(say("Choose the law and the reader first."));
            return;
        }
        ReaderSetting setting = session.review().scale().get().setting();
        Reader told = reader.withSetting(setting);
        Path lists = session.home().resolve("lists");
        String stem = HandOverPack.stem(job);
        session.background().run(say("Writing law and reader"), () -> {
            TextFiles.write(lists.resolve(stem + "-law.json"), ScaleFile.text(law));
            TextFiles.write(lists.resolve(stem + "-law.csv"), LawCsv.write(law));
            TextFiles.write(lists.resolve(stem + "-reader.json"), ScaleFile.text(told));
            TextFiles.write(lists.resolve(stem + "-setting.csv"),
                    LawCsv.write(setting, told));
            return stem;
        }, s -> say("Law, reader and setting are in %s, as JSON and CSV.", lists));
    }

    /** Takes up what a file holds into the job that it was read for. */
    void read(String typed) {
        session.background().intoJob(say("Reading law and reader"), progress -> ScaleFile.read(TextFiles.path(typed)),
                (job, file) -> say("It was read for %s, which is no longer open: read it again there.", job), file -> {
                    try {
                        return taken(file);
                    } catch (Unusable | UnusableInput e) {
                        return String.valueOf(e.getMessage());
                    }
                });
    }

    private String taken(ScaleFile file) {
        return switch (file) {
            case ScaleFile.OfPair of -> {
                use(of.pair());
                yield say("%s is taken.", of.pair().title());
            }
            case ScaleFile.OfLaw of -> {
                session.edit(say("law %s", of.law().name()), j -> j.withLaw(of.law()));
                yield say("The law %s is taken.", of.law().name());
            }
            case ScaleFile.OfReader of -> {
                session.edit(say("reader %s", of.reader().name()), j -> j.withReader(of.reader()));
                yield say("The reader %s is taken.", of.reader().name());
            }
            case ScaleFile.OfBoxes of -> {
                Reader reader = session.job().reader();
                if (reader == null) {
                    yield say("Choose the reader first, then read what it holds.");
                }
                Reader holding = reader.withSetting(SettingText.parse(of.typed(), reader));
                session.edit(say("what the reader holds"), j -> ScaleModel.holding(j, holding.setting()));
                yield say("What the reader holds is noted.");
            }
        };
    }
}
