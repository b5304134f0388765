package amberheron.core.freeair;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.State;
import amberheron.core.freeair.CoachEvent.Again;
import amberheron.core.freeair.CoachEvent.Done;
import amberheron.core.freeair.CoachEvent.LinkLost;
import amberheron.core.freeair.CoachEvent.PowerLost;
import amberheron.core.freeair.CoachEvent.Recorded;
import amberheron.core.freeair.CoachEvent.Said;
import amberheron.core.freeair.CoachEvent.Sees;
import amberheron.core.freeair.CoachEvent.Shows;
import amberheron.core.freeair.CoachEvent.Stop;
import amberheron.core.freeair.CoachEvent.Tick;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.statistics.Statistics;

/** Whatever happens in whatever order, nothing bad is recorded. What counts is kept a second time here, by other means. */
class CoachProperties {
    private static final List<ControllerSheet> SHEETS = List.of(Controllers.LEARNS, Controllers.TRIMMED,
            Controllers.FACTORY);

    /** What a bystander notes down, and judges the record by. */
    private static final class Bystander {
        private final Set<Condition> so = EnumSet.noneOf(Condition.class);
        /** What it told last; ready while it told nothing and a person reads it. */
        private State told = State.READY;
        private Instant countsSince = Instant.EPOCH;

        private void forgets(Instant at) {
            countsSince = at;
            told = State.READY;
        }

        void sees(CoachEvent event, Instant at, Coach before) {
            countsSince = countsSince.isAfter(at) ? at : countsSince;
            switch (event) {
                case Said s -> {
                    if (s.so()) {
                        so.add(s.condition());
                    } else {
                        so.remove(s.condition());
                        forgets(at);
                    }
                }
                case Sees s -> {
                    told = s.state();
                    // One that learns goes on learning while it is ready: what it shows is measured.
                    if (!told.counts() && told != State.LEARNING) {
                        countsSince = at;
                    }
                }
                case LinkLost l -> forgets(at);
                case PowerLost l -> forgets(at);
                case Stop s -> forgets(at);
                case Again a -> {
                    forgets(at);
                    if (before.now().step() != CoachStep.CONDITIONS) {
                        so.clear();
                    }
                }
                case Shows s -> {
                    Double lambda = s.lambda();
                    if (s.simulated() || (lambda != null && lambda == 1.0)) {
                        countsSince = at;
                    }
                }
                case Done d -> {
                    if (before.now().step() != CoachStep.STEADY && before.now().step() != CoachStep.READY) {
                        told = State.READY;
                    }
                }
                case Tick t -> {
                }
                case Recorded r -> {
                }
            }
        }
    }

    private static <T> T one(Random random, T[] values) {
        return values[random.nextInt(values.length)];
    }

    private static CoachEvent any(Random random, Coach coach) {
        // Mostly what leads on, so that the end is reached often; else anything.
        if (random.nextInt(100) < 97) {
            return switch (coach.now().step()) {
                case CONDITIONS -> coach.prepared()
                        ? new Done()
                        : new Said(one(random, Condition.values()), true);
                case CLEAR -> new Sees(State.NO_SENSOR);
                case LEARN -> new Sees(State.READY);
                case PLUG_IN, ANTICLOCKWISE, POWER_ON, TURN -> new Done();
                case HOLD, WARM -> new Tick();
                case STEADY -> new Shows(0.207, null, false);
                case READY -> random.nextInt(3) == 0 ? new Recorded() : new Shows(0.207, null, false);
                case RECORDED, STOPPED -> new Again();
            };
        }
        return switch (random.nextInt(10)) {
            case 0 -> new Done();
            case 1 -> new Said(one(random, Condition.values()), random.nextBoolean());
            case 2 -> new Sees(one(random, State.values()));
            case 3 -> new Shows(null, random.nextBoolean() ? 1.0 : 1.4, false);
            case 4 -> new Shows(0.207, null, random.nextBoolean());
            case 5 -> new LinkLost();
            case 6 -> new PowerLost();
            case 7 -> new Stop();
            case 8 -> new Again();
            default -> new Recorded();
        };
    }

    @Property(tries = 300)
    void nothingIsRecordedThatShouldNotBe(@ForAll long seed) {
        Random random = new Random(seed);
        Instant now = Instant.parse("2026-05-01T09:00:00Z");
        boolean powered = random.nextInt(4) > 0;
        Coach coach = Coach.open(SHEETS.get(random.nextInt(SHEETS.size())), powered, false, Set.of(), Coaching.NONE,
                now);
        Bystander bystander = new Bystander();
        int records = 0;
        for (int i = 0; i < 400; i++) {
            // Sometimes the clock is set back, or the machine slept.
            now = now.plusMillis(random.nextInt(200) == 0 ? -3_600_000 : random.nextInt(100) == 0 ? 600_000 : 3000);
            CoachEvent event = any(random, coach);
            CoachStep before = coach.now().step();
            bystander.sees(event, now, coach);
            coach = coach.on(event, now).on(new Tick(), now);
            if (coach.now().step() == CoachStep.RECORDED && before != CoachStep.RECORDED) {
                records++;
                assertThat(powered).isTrue();
                assertThat(bystander.so).hasSize(Condition.values().length);
                assertThat(bystander.told).isEqualTo(State.READY);
                assertThat(coach.series().getFirst().at()).isAfterOrEqualTo(bystander.countsSince);
                assertThat(before).isEqualTo(CoachStep.READY);
            }
        }
        Statistics.label("recorded").collect(records > 0)
                .coverage(c -> c.check(true).percentage(p -> p > 20));
    }

    /** The machine that is written down and opened again is never further than it was. */
    @Property(tries = 200)
    void leftAtAnyMomentItIsNeverFurtherThanItWas(@ForAll long seed) {
        Random random = new Random(seed);
        Instant now = Instant.parse("2026-05-01T09:00:00Z");
        ControllerSheet sheet = SHEETS.get(random.nextInt(SHEETS.size()));
        Coach coach = Coach.open(sheet, true, false, Set.of(), Coaching.NONE, now);
        int moments = random.nextInt(200);
        for (int i = 0; i < moments; i++) {
            now = now.plusSeconds(3);
            coach = coach.on(any(random, coach), now).on(new Tick(), now);
        }
        Coach again = Coach.open(sheet, true, false, coach.conditions(), coach.now(), now.plusSeconds(5));
        assertThat(again.result()).isEmpty();
        assertThat(again.now().step()).isEqualTo(
                coach.now().step().underWay() ? CoachStep.STOPPED : coach.now().step());
    }
}
