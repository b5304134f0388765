package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.Reader.Form;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.jspecify.annotations.Nullable;

/** Any law, any reader, any fault that a workshop meets: five spread points name it, and what is then typed mends it. */
class DiagnosisProperties {
    private static final List<OutputLaw> LAWS = List.of(Laws.HALF_TO_FOUR_AND_A_HALF, Laws.TWO_V_PLUS_TEN, Laws.WIDE);
    private static final double[] SPREAD = {0.5, 1.5, 2.5, 3.5, 4.5};

    /** How the points were read: meter, gauge, or both. */
    enum Readings {
        METER,
        GAUGE,
        BOTH
    }
    record Bay(OutputLaw law, Reader reader, Readings readings, long seed) {
        ReaderSetting right() {
            return SettingFinder.find(law, reader).orElseThrow();
        }

        /** What the display shows, its digits and the meter's noise included. */
        List<CheckPoint> points(DoubleUnaryOperator shownOfOutput) {
            Random random = new Random(seed);
            double digit = reader.scale() instanceof MixtureScale.Lambda ? 1000 : 100;
            List<CheckPoint> points = new ArrayList<>();
            for (double volts : SPREAD) {
                double output = volts + 0.1 * random.nextDouble();
                double metered = Math.round(1000 * (output + 0.001 * random.nextGaussian())) / 1000.0;
                double gauge = Math.round(100 * law.scale().fromLambda(law.lambdaAt(output))) / 100.0;
                points.add(new CheckPoint(readings == Readings.GAUGE ? null : metered,
                        readings == Readings.METER ? null : gauge,
                        Math.round(digit * shownOfOutput.applyAsDouble(output)) / digit, ""));
            }
            return points;
        }

        Diagnosis diagnose(DoubleUnaryOperator shownOfOutput) {
            return Diagnostician.diagnose(law, reader, points(shownOfOutput),
                    new Diagnostician.KnownLaws(LAWS, null));
        }

        /** What the right reader makes of volts at its pin. */
        double atPin(double pin) {
            return right().at(reader.input().sensed(pin));
        }
    }

    @Provide
    Arbitrary<Bay> bays() {
        Arbitrary<@Nullable Integer> bits = Arbitraries.of(10, 12).injectNull(0.3);
        return Combinators
                .combine(Arbitraries.of(LAWS), Arbitraries.of(Form.values()), Arbitraries.of(true, false), bits,
                        Arbitraries.of(Readings.values()), Arbitraries.longs())
                .as((law, form, lambda, b, readings, seed) -> new Bay(law, Laws.reader(form,
                        lambda ? MixtureScale.lambda() : MixtureScale.afr(14.7), lambda ? 3 : 2,
                        b == null && form == Form.COUNTS ? Integer.valueOf(10) : b), readings, seed));
    }

    @Provide
    Arbitrary<Double> parts() {
        return Arbitraries.doubles().between(0, 1);
    }

    /**
     * With the corrected setting typed in, the faulty chain keeps the tolerance over the range that is said with it; where none
     * is offered, what the input cuts off or its steps are too much for any setting.
     */
    private static void mends(Bay bay, Diagnosis diagnosis, WireEffect effect) {
        Diagnosis.Offer offer = diagnosis.offer();
        if (offer != null) {
            assertThat(worst(bay, offer, effect)).isLessThan(1.2 * Tolerance.LAMBDA);
            assertThat(diagnosis.correctedSetting()).isSameAs(offer.setting());
        } else {
            double cut = Math.max(0, effect.atPin(bay.law().highestVolts()) - bay.reader().input().maxVolts())
                    + Math.max(0, bay.reader().input().minVolts() - effect.atPin(bay.law().lowestVolts()));
            double rounding = 2 * Math.pow(10, -bay.reader().decimals());
            assertThat((cut + bay.reader().input().step()) / effect.gain() * bay.law().lambdaPerVolt() / 2
                    + bay.reader().scale().toLambda(rounding)).isGreaterThan(0.9 * Tolerance.LAMBDA);
        }
    }

    /** The most that is shown wrong with a setting, over the range that is said with it, λ. */
    private static double worst(Bay bay, Diagnosis.Offer offer, WireEffect effect) {
        return DoubleStream.iterate(0, part -> part <= 1, part -> part + 1 / 256.0)
                .map(part -> offer.validFrom() + part * (offer.validTo() - offer.validFrom()))
                .map(l -> bay.reader().scale().toLambda(offer.setting()
                        .at(bay.reader().input().sensed(effect.atPin(bay.law().voltsAt(l))))) - l)
                .map(Math::abs).max().orElseThrow();
    }

    @Property(tries = 15)
    void aSoundChainIsCalledSound(@ForAll("bays") Bay bay) {
        Diagnosis diagnosis = bay.diagnose(bay::atPin);
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.NONE);
        assertThat(diagnosis.withinTolerance()).isTrue();
    }

    @Property(tries = 15)
    void aShiftedGroundIsFoundAndMended(@ForAll("bays") Bay bay, @ForAll("parts") double part, @ForAll boolean up) {
        double shift = (up ? 1 : -1) * (0.06 + 0.15 * part);
        Diagnosis diagnosis = bay.diagnose(v -> bay.atPin(v + shift));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.GROUND_SHIFT);
        mends(bay, diagnosis, WireEffect.linear(1, shift));
    }

    @Property(tries = 15)
    void aLossInProportionIsFoundAndMended(@ForAll("bays") Bay bay, @ForAll("parts") double part) {
        double factor = 0.9 + 0.06 * part;
        Diagnosis diagnosis = bay.diagnose(v -> bay.atPin(v * factor));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.GAIN);
        mends(bay, diagnosis, WireEffect.linear(factor, 0));
    }

    @Property(tries = 15)
    void aPullUpIsFoundAndMended(@ForAll("bays") Bay bay, @ForAll("parts") double part) {
        double pull = 1000 / (5000 + 9000 * part);
        Diagnosis diagnosis = bay.diagnose(v -> bay.atPin((v + pull * 5) / (1 + pull)));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.PULL_UP);
        mends(bay, diagnosis, WireEffect.linear(1 / (1 + pull), 5 * pull / (1 + pull)));
    }

    @Property(tries = 15)
    void anotherLawsSettingIsNamed(@ForAll("bays") Bay bay, @ForAll boolean next) {
        OutputLaw other = LAWS.get((LAWS.indexOf(bay.law()) + (next ? 1 : 2)) % LAWS.size());
        ReaderSetting copied = SettingFinder.find(other, bay.reader()).orElseThrow();
        Diagnosis diagnosis = bay.diagnose(v -> copied.at(bay.reader().input().sensed(v)));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.OTHER_LAW);
        assertThat(diagnosis.best().parameters().law()).isEqualTo(other.id());
        mends(bay, diagnosis, WireEffect.NONE);
    }

    @Property(tries = 15)
    void aWrongRatioIsFound(@ForAll("bays") Bay bay, @ForAll("parts") double part) {
        double ratio = List.of(9.81, 14.1, 6.47, 15.68, 9.0).get((int) (4.999 * part));
        boolean lambda = bay.reader().scale() instanceof MixtureScale.Lambda;
        Diagnosis diagnosis = bay.diagnose(v -> bay.atPin(v) * (lambda ? 14.7 / ratio : ratio / 14.7));
        assertThat(diagnosis.best().fault().cause()).isEqualTo(Cause.WRONG_STOICH);
        assertThat(diagnosis.best().parameters().value(FaultParameters.Name.STOICH).orElse(0)).isBetween(ratio * 0.99,
                ratio * 1.01);
    }

    @Property(tries = 15)
    void lambdaAndAfrTakenForEachOtherAreFound(@ForAll("bays") Bay bay) {
        boolean lambda = bay.reader().scale() instanceof MixtureScale.Lambda;
        assertThat(bay.diagnose(v -> bay.atPin(v) * (lambda ? 14.7 : 1 / 14.7)).best().fault().cause())
                .isEqualTo(Cause.LAMBDA_AS_AFR);
    }

    @Property(tries = 15)
    void whatDoesNotFollowIsFound(@ForAll("bays") Bay bay, @ForAll("parts") double part) {
        assertThat(bay.diagnose(v -> bay.reader().input().sensed(v)).best().fault().cause()).isEqualTo(Cause.UNSCALED);
        // Amid the points: below all of them a clipped input would show the same.
        double stuck = bay.atPin(1 + 3 * part);
        assertThat(bay.diagnose(v -> stuck).best().fault().cause()).isEqualTo(Cause.CONSTANT);
        double top = 2.5 + 1.2 * part;
        Diagnosis clipped = bay.diagnose(v -> bay.atPin(Math.min(v, top)));
        assertThat(clipped.best().fault().cause()).isEqualTo(Cause.CLIPPED);
        Diagnosis.Offer offer = Objects.requireNonNull(clipped.offer());
        assertThat(worst(bay, offer, WireEffect.NONE.under(top))).isLessThan(1.2 * Tolerance.LAMBDA);
        assertThat(offer.validTo()).isCloseTo(bay.law().lambdaAt(top), within(0.02));
        assertThat(offer.validFrom()).isEqualTo(bay.law().richest());
    }
}
