package amberheron.io.json;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.CostOfAir;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.ShouldShow;
import amberheron.core.harness.Chart;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.PlaceRanking;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.units.Measure;
import amberheron.io.log.DriveLog;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Results for scripts: one JSON document each. */
public final class ResultJson {
    private ResultJson() {
    }

    /** Setting to type, check table and error budget. */
    public static String scale(ScaleReport report, Reader reader) {
        ObjectNode out = Json.object();
        out.set("setting", ScaleForms.write(report.setting(), reader));
        out.set("worstError", worst(report.worst()));
        ArrayNode table = out.putArray("table");
        report.table().forEach(r -> table.addObject().put("lambda", r.lambda()).put("volts", r.volts())
                .put("counts", r.counts()).put("shown", r.shown()));
        ArrayNode budget = out.putArray("budget");
        report.budget().forEach(b -> budget.addObject().put("cause", b.cause()).put("lambda", b.lambda()));
        return Json.text(out);
    }

    /** Every cause with its probability, and what to do next. */
    public static String diagnosis(Diagnosis diagnosis, Reader reader) {
        ObjectNode out = Json.object();
        out.set("causes", causes(diagnosis));
        out.put("misfit", diagnosis.misfit());
        ArrayNode cannotTell = out.putArray("cannotTell");
        if (!diagnosis.cannotTell().isEmpty()) {
            ArrayNode together = cannotTell.addArray();
            diagnosis.cannotTell().forEach(f -> together.add(f.key()));
        }
        ArrayNode doubtful = out.putArray("doubtful");
        diagnosis.doubtful().forEach(d -> doubtful.addObject().put("row", d.row() + 1).put("expected", d.expected())
                .put("exchangedWith", d.exchangedWith() == null ? null : d.exchangedWith() + 1));
        Diagnosis.RunningShift running = diagnosis.runningShift();
        if (running != null) {
            out.putObject("runningShift").put("volts", running.volts()).put("doubt", running.doubt());
        }
        out.put("withinTolerance", diagnosis.withinTolerance());
        out.set("worstError", worst(diagnosis.worst()));
        Diagnosis.Offer offer = diagnosis.offer();
        out.set("correctedSetting", written(diagnosis.correctedSetting(), reader));
        out.put("validFrom", offer == null ? null : offer.validFrom());
        out.put("validTo", offer == null ? null : offer.validTo());
        out.set("typeFirst", written(diagnosis.typeFirst(), reader));
        out.put("onePlace", diagnosis.onePlace());
        Diagnosis.NextPoint next = diagnosis.nextPoint();
        if (next == null) {
            out.putNull("nextPoint");
        } else {
            out.putObject("nextPoint").put("volts", next.volts()).putArray("splits").add(next.first().key())
                    .add(next.second().key());
        }
        return Json.text(out);
    }

    private static JsonNode written(@Nullable ReaderSetting setting, Reader reader) {
        return setting == null ? Json.object().nullNode() : ScaleForms.write(setting, reader);
    }

    private static ArrayNode causes(Diagnosis diagnosis) {
        ArrayNode causes = Json.object().putArray("causes");
        for (Diagnosis.Likelihood l : diagnosis.causes()) {
            ObjectNode cause = causes.addObject().put("cause", l.fault().key()).put("probability", l.probability());
            ObjectNode parameters = cause.putObject("parameters");
            if (l.parameters().whileRunning()) {
                parameters.put("engine", "running");
            }
            l.parameters().values().forEach((name, value) -> parameters.put(name.key(), value));
            if (l.parameters().law() != null) {
                parameters.put("law", l.parameters().law());
            }
            Optional.ofNullable(l.parameters().slip()).ifPresent(s -> parameters.put("slip", s.key()));
        }
        return causes;
    }

    /** Text of a log's result: what its columns were taken for, how reader and controller agree, how it was driven. */
    public static String prove(JobReview review, DriveLog log) {
        ObjectNode out = findingsOf(review.job().id(), review.findings(Station.PROVE));
        out.putObject("rows").put("used", log.drive().time().length).put("leftOut", log.leftOut());
        ArrayNode columns = out.putArray("columns");
        log.recognition().uses().forEach(u -> columns.addObject().put("channel", u.channel().key())
                .put("column", u.column() + 1).put("name", u.name()).put("quantity", u.quantity())
                .put("because", u.because()));
        Output.Proving proving = review.job().proving();
        DriveFound found = proving == null ? null : proving.found();
        Agreement agreement = found == null ? null : found.agreement();
        if (found == null || agreement == null) {
            out.putNull("reader");
        } else {
            ObjectNode reader = out.putObject("reader").put("offset", agreement.offset());
            reader.putArray("offsetInterval").add(agreement.offsetLow()).add(agreement.offsetHigh());
            reader.put("gain", agreement.gain());
            Double low = agreement.gainLow();
            Double high = agreement.gainHigh();
            if (low == null || high == null) {
                reader.putNull("gainInterval");
            } else {
                reader.putArray("gainInterval").add(low.doubleValue()).add(high.doubleValue());
            }
            reader.put("lag", agreement.lag()).put("averaging", agreement.averaging()).put("lost", found.lost())
                    .put("frozen", found.frozen());
        }
        ArrayNode regimes = out.putArray("regimes");
        if (found == null) {
            out.putNull("joined");
            out.putArray("events");
            out.putArray("notTold");
        } else {
            found.regimes().forEach(r -> {
                ObjectNode one = regimes.addObject().put("kind", Cursor.id(r.kind())).put("from", r.from())
                        .put("to", r.to()).put("lambda", r.lambda());
                Double low = r.low();
                Double high = r.high();
                if (low == null || high == null) {
                    one.putNull("expected");
                } else {
                    one.putArray("expected").add(low.doubleValue()).add(high.doubleValue());
                }
                one.put("verdict", Cursor.id(r.verdict()));
            });
            ProveForms.NOT_TOLD.write(out, found);
            ProveForms.EVENTS.write(out, found);
            ProveForms.JOINED.write(out, found);
        }
        review.onTheRoad().ifPresentOrElse(d -> out.set("causes", causes(d)), () -> out.putArray("causes"));
        return Json.text(out);
    }

    /** How every link stands and why, what is next, and what the number shown can be trusted to. */
    public static String review(JobReview review) {
        ObjectNode out = Json.object().put("job", review.job().id());
        ObjectNode stations = out.putObject("stations");
        for (Station station : Station.values()) {
            ArrayNode because = stations.putObject(Cursor.id(station)).put("state", Cursor.id(review.state(station)))
                    .putArray("because");
            review.because(station).forEach(c -> because.add(c.key()));
        }
        ArrayNode outputs = out.putArray("outputs");
        for (Output output : review.job().outputs().all()) {
            JobReview alone = review.ofOutput(output.id()).orElseThrow();
            outputs.addObject().put("id", output.id()).put("reader", output.title())
                    .put("scale", Cursor.id(alone.own(Station.SCALE)))
                    .put("prove", Cursor.id(alone.own(Station.PROVE)));
        }
        review.next().ifPresentOrElse(
                n -> out.putObject("next").put("station", Cursor.id(n.station())).put("text", n.text().metric()),
                () -> out.putNull("next"));
        review.trust().ifPresentOrElse(t -> {
            ObjectNode trust = out.putObject("trust");
            ArrayNode at = trust.putArray("at");
            t.at().forEach(a -> at.addObject().put("lambda", a.lambda()).put("u", a.u()));
            t.largest().ifPresentOrElse(
                    l -> trust.putObject("largest").put("cause", l.by().key()).put("share", l.share()),
                    () -> trust.putNull("largest"));
        }, () -> out.putNull("trust"));
        ArrayNode stale = out.putArray("stale");
        review.stale().forEach(s -> stale.addObject().put("reading", s.reading().key()).put("changed", s.changed()));
        return Json.text(out);
    }

    /** The place taken with its findings, the others with their verdicts, what the search found and each school's choice. */
    public static String place(Job job, List<Finding> findings, PlaceRanking ranking) {
        ObjectNode out = findingsOf(job.id(), findings);
        out.put("place", job.chosenPlace().map(Candidate::letter).orElse(null));
        ArrayNode places = out.putArray("candidates");
        ranking.places()
                .forEach(p -> places.addObject().put("id", p.place().letter()).put("distance", p.place().distance())
                        .put("clock", p.place().clock()).put("verdict", Cursor.id(p.verdict())));
        ArrayNode found = out.putArray("search");
        ranking.found().forEach(f -> found.addObject().put("line", Cursor.id(f.line())).put("distance", f.distance())
                .put("clock", f.clock()));
        ArrayNode schools = out.putArray("schools");
        ranking.schools().forEach((school, id) -> schools.addObject().put("school", school).put("takes", id));
        return Json.text(out);
    }

    /** The findings, each source's behaviour, what each school of grounding costs, and the twins of the chart. */
    public static String wire(Job job, List<Finding> findings) {
        ObjectNode out = findingsOf(job.id(), findings);
        ArrayNode sources = out.putArray("sources");
        job.wiring().sources().forEach(s -> sources.addObject().put("id", s.letter())
                .put("behaviour", Cursor.id(s.behaviour(job.electrics())))
                .put("taken", s.id().equals(job.wiring().taken())));
        OutputLaw law = job.law();
        ArrayNode schools = out.putArray("grounds");
        job.wiring().ground().costs()
                .forEach(c -> schools.addObject().put("school", Cursor.id(c.school())).put("shift", c.shift())
                        .put("ripple", c.ripple()).put("measured", c.measured())
                        .put("lambdaCost", law == null ? null : c.shift() * law.lambdaPerVolt()));
        Chart chart = job.wiring().harness().chart();
        ArrayNode twins = out.putArray("twins");
        chart.twins().stream().filter(t -> !t.toldApart()).forEach(t -> {
            ArrayNode tags = twins.addObject().put("colour", t.colour().key()).putArray("tags");
            t.wires().forEach(w -> tags.add(w.tag()));
        });
        return Json.text(out);
    }

    /** The findings, the air with what it costs where the car is driven, and what the controller should show in it. */
    public static String air(Job job, List<Finding> findings) {
        ObjectNode out = findingsOf(job.id(), findings);
        FreeAirCheck check = job.air();
        ControllerSheet controller = check.controller();
        Optional<CostOfAir> cost = CostOfAir.of(check);
        if (cost.isEmpty()) {
            out.putNull("air");
        } else {
            Air air = check.today().air().orElseThrow();
            ObjectNode today = out.putObject("air").put("oxygen", air.oxygen()).put("pressure", air.pressure())
                    .put("gain", cost.get().gain());
            ArrayNode costs = today.putArray("costs");
            CostOfAir.QUOTED.forEach(
                    l -> costs.addObject().put("lambda", l).put("shown", cost.get().shown(l)));
        }
        Optional<ShouldShow> should = ShouldShow.of(check);
        if (should.isEmpty()) {
            out.putNull("shouldShow");
        } else {
            out.putObject("shouldShow").put("oxygen", should.get().oxygen()).put("doubt", should.get().doubt());
        }
        out.put("controller", controller == null ? null : controller.id()).put("coach",
                Cursor.id(check.coaching().step()));
        return Json.text(out);
    }

    /** The findings of a station; figures in SI, mixtures as lambda. */
    public static String findings(String job, List<Finding> findings) {
        return Json.text(findingsOf(job, findings));
    }

    /** Whether a pack is whole and what changed since. */
    public static String verify(Manifest manifest, List<String> faults, List<Difference> since, String signedBy) {
        ObjectNode out = Json.object().put("job", manifest.job()).put("code", manifest.code())
                .put("made", manifest.made() == null ? null : manifest.made().toString())
                .put("whole", faults.isEmpty()).put("agrees", faults.isEmpty() && since.isEmpty());
        out.put("signedBy", signedBy.isEmpty() ? null : signedBy);
        ArrayNode wrong = out.putArray("faults");
        faults.forEach(wrong::add);
        ArrayNode changed = out.putArray("since");
        since.forEach(d -> changed.addObject().put("field", d.field()).put("given", d.ours()).put("now", d.theirs()));
        return Json.text(out);
    }

    private static ObjectNode findingsOf(String job, List<Finding> findings) {
        ObjectNode out = Json.object().put("job", job).put("verdict",
                Cursor.id(Verdict.worst(findings.stream().map(Finding::verdict).toList())));
        ArrayNode list = out.putArray("findings");
        for (Finding f : findings) {
            Finding.Limit limit = f.limit();
            ObjectNode one = list.addObject().put("id", f.check().key())
                    .put("subject", f.subject().metric())
                    .put("verdict", Cursor.id(f.verdict())).put("figure", si(f.figure()));
            if (f.figure() != null && f.figure().spread() > 0) {
                one.put("figureSpread", f.figure().spread());
            }
            if (limit == null) {
                one.putNull("limit");
            } else {
                one.putObject("limit").put("relation", Cursor.id(limit.relation())).put("value", limit.bound().si());
            }
            one.put("lambdaCost", f.lambdaCost()).put("consequence", f.consequence().metric()).put("working",
                    f.working().metric());
            CommonForms.source(Finding::source).write(one, f);
        }
        return out;
    }

    private static @Nullable Double si(@Nullable Measure measure) {
        return measure == null ? null : measure.si();
    }

    private static ObjectNode worst(ScaleReport.Worst worst) {
        return Json.object().put("lambda", worst.lambda()).put("atLambda", worst.atLambda());
    }
}
