package amberheron.io.json;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Sample;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.job.Job;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.wiring.Wiring;
import amberheron.io.catalogue.Catalogue;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jspecify.annotations.Nullable;

/** Whatever a job holds: written, checked against the schema and read, it is the same job. */
class JobDocumentProperties {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    private static @Nullable Double maybe(Random random, double most) {
        return random.nextInt(4) == 0 ? null : random.nextDouble() * most;
    }

    private static <T> T any(Random random, T[] values) {
        return values[random.nextInt(values.length)];
    }

    private static String words(Random random) {
        StringBuilder words = new StringBuilder();
        for (int i = random.nextInt(12); i > 0; i--) {
            words.append("aλ“\"\\</ \t\n{é—𝜆".codePointAt(Math.min(12, random.nextInt(13))) > 0xFFFF
                    ? "𝜆"
                    : String.valueOf("aλ“\"\\</ \t\n{é".charAt(random.nextInt(12))));
        }
        return words.toString();
    }

    private static Job job(Random random) {
        Job empty = Job.empty("J-" + random.nextInt(1000));
        Set<Intake.ReaderKind> kinds = new TreeSet<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            kinds.add(any(random, Intake.ReaderKind.values()));
        }
        Intake intake = new Intake(words(random), maybe(random, 0.01),
                random.nextBoolean() ? null : 1 + random.nextInt(12), 1 + random.nextInt(2),
                random.nextBoolean() ? null : CATALOGUE.fuels().get(random.nextInt(CATALOGUE.fuels().size())),
                new Exhaust(random.nextBoolean(), maybe(random, 0.1), any(random, Exhaust.Catalyst.values()),
                        maybe(random, 3), random.nextGaussian()),
                any(random, Intake.Condition.values()), any(random, Intake.Fit.values()), kinds, random.nextBoolean(),
                random.nextBoolean());
        List<Candidate> places = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            places.add(new Candidate("P" + i, words(random), maybe(random, 4), maybe(random, 3), random.nextGaussian(),
                    random.nextGaussian()));
        }
        Wiring wiring = new Wiring(
                new Wiring.SourceVolts(maybe(random, 14), maybe(random, 14), maybe(random, 14)), maybe(random, 20),
                maybe(random, 5), new Wiring.Ground(random.nextBoolean() ? null : random.nextBoolean(),
                        maybe(random, 5), maybe(random, 1e-5), maybe(random, 3)),
                words(random));
        FreeAirCheck air = new FreeAirCheck(any(random, FreeAirCheck.School.values()), maybe(random, 320),
                maybe(random, 1), maybe(random, 2000), maybe(random, 0.21), maybe(random, 1.4), maybe(random, 120),
                random.nextBoolean() ? null : LocalDate.of(2026, 1 + random.nextInt(12), 1));
        Job job = empty.withIntake(intake).withCandidates(places).withWiring(wiring).withAir(air)
                .withDraft("a.b", words(random)).withDone(Set.of("leaks", "place"))
                .withHandOver(new Job.HandOver(words(random), LocalDate.of(2026, 2, 3)));
        if (random.nextBoolean()) {
            var law = CATALOGUE.laws().get(random.nextInt(CATALOGUE.laws().size()));
            var reader = CATALOGUE.readers().get(random.nextInt(CATALOGUE.readers().size()));
            ReaderSetting setting = SettingFinder.find(law, reader).orElse(null);
            job = job.withLaw(law).withReader(random.nextBoolean() ? reader : reader.withSetting(setting))
                    .withPoint(new CheckPoint(maybe(random, 5), 14.7, random.nextDouble() * 20, words(random)))
                    .withProving(new Job.Proving(words(random), "ab12",
                            LogComparison.of(List.of(new Sample(0, 1, 1.01), new Sample(0.5, 0.9, 0.91)))));
        }
        return job;
    }

    @Property(tries = 200)
    void comesBackAsItWasAndTheSchemaAgrees(@ForAll long seed) {
        Job job = job(new Random(seed));
        String text = JobDocument.of(job).text();
        JobSchema.check("any", Json.parse("any", text));
        assertThat(JobDocument.parse("any", text).job()).isEqualTo(job);
        assertThat(JobDocument.parse("any", text).with(job).text()).isEqualTo(text);
    }

    /** One job's document after being edited into another is the other's document: nothing of the first sticks. */
    @Property(tries = 100)
    void anEditLeavesNothingBehind(@ForAll long first, @ForAll long second) {
        Job before = job(new Random(first));
        Job after = job(new Random(second));
        assertThat(JobDocument.parse("x", JobDocument.of(before).text()).with(after).job()).isEqualTo(after);
        assertThat(JobDocument.parse("y", JobDocument.of(before).with(after).text()).job()).isEqualTo(after);
    }
}
