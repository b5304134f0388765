package amberheron.io.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.finding.Origin;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Joints.JointSchool;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Work;
import amberheron.core.job.Changes;
import amberheron.core.job.Job;
import amberheron.core.job.LastingIds;
import amberheron.core.job.Output;
import amberheron.core.job.RestsOn;
import amberheron.core.parts.Address;
import amberheron.core.placement.Candidate;
import amberheron.core.plan.IntakeField;
import amberheron.core.scaling.CheckPoint;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Jobs that two bays worked on at once: what is the one's, what is the other's, and what a person is asked. */
class MergedJobsTest {
    private static final Catalogue SHIPPED = Catalogue.shipped();
    private static final Instant TEN = Instant.parse("2026-03-02T10:00:00Z");
    private int made;

    @TempDir
    private Path folder = Path.of("");

    private Job after(Job job, UnaryOperator<Job> act) {
        return LastingIds.given(job, act.apply(job), () -> "made" + made++);
    }

    private static Merge merged(Job base, Job ours, Job theirs) {
        return Merge.of(JobDocument.of(base), JobDocument.of(ours), JobDocument.of(theirs));
    }

    private static Job joints(Job job, UnaryOperator<Joints> change) {
        return job.withWiring(job.wiring().withHarness(job.wiring().harness()
                .withJoints(change.apply(job.wiring().harness().joints()))));
    }

    private static Joints joints(JobDocument document) {
        return document.job().wiring().harness().joints();
    }

    /** A step that is ticked is a step of one way of joining: it never comes to stand under the other. */
    @Test
    void stepsOfJoiningStayWithTheirWay() {
        Job base = Job.empty("M-1");
        Merge both = merged(base, joints(base, j -> j.joinedBy(JointSchool.SOLDERED).ticked(0, true).ticked(1, true)),
                joints(base, j -> j.joinedBy(JointSchool.CRIMPED).ticked(2, true)));
        assertThat(both.clashes()).extracting(Difference::field).containsExactly("wiring.harness.joints.school");
        assertThat(joints(both.ours()).school()).isEqualTo(JointSchool.SOLDERED);
        assertThat(joints(both.ours()).done()).isEqualTo(Set.of(0, 1));
        assertThat(joints(both.theirs()).school()).isEqualTo(JointSchool.CRIMPED);
        assertThat(joints(both.theirs()).done()).isEqualTo(Set.of(2));

        Job soldered = joints(base, j -> j.joinedBy(JointSchool.SOLDERED).ticked(0, true));
        Job other = joints(soldered, j -> j.joinedBy(JointSchool.CRIMPED).ticked(3, true));
        Job further = joints(soldered, j -> j.ticked(1, true));
        for (Merge one : List.of(merged(soldered, other, further), merged(soldered, further, other))) {
            assertThat(one.clashes()).isEmpty();
            assertThat(joints(one.ours()).school()).isEqualTo(JointSchool.CRIMPED);
            assertThat(joints(one.ours()).done()).isEqualTo(Set.of(3));
        }
        Merge same = merged(soldered, further, joints(soldered, j -> j.ticked(2, true)));
        assertThat(joints(same.ours()).done()).isEqualTo(Set.of(0, 1, 2));
    }

    private static Job typed(Job job, String vehicle, String by) {
        Address field = IntakeField.VEHICLE.address();
        return job.withIntake(job.intake().withVehicle(vehicle))
                .withEntries(job.entries().entered(field, new Origin(Origin.Kind.TYPED, by, TEN, job.id())));
    }

    private static String by(JobDocument document) {
        return document.job().entries().origin(IntakeField.VEHICLE.address()).instrument();
    }

    /** Where a value came from goes with the value that is taken. */
    @Test
    void originsGoWithTheirValues() {
        Job base = typed(Job.empty("M-2"), "van", "first");
        Merge clash = merged(base, typed(base, "blue van", "here"), typed(base, "red van", "there"));
        assertThat(clash.clashes()).extracting(Difference::field).containsExactly("intake.vehicle");
        assertThat(List.of(by(clash.ours()), by(clash.theirs()))).containsExactly("here", "there");
        assertThat(by(merged(base, typed(base, "blue van", "here"), base).ours())).isEqualTo("here");
        assertThat(by(merged(base, base, typed(base, "red van", "there")).ours())).isEqualTo("there");
        Job untyped = Job.empty("M-2");
        assertThat(by(merged(untyped, typed(untyped, "van", "here"), untyped).ours())).isEqualTo("here");
    }

    private Job places(String... letters) {
        Job job = Job.empty("M-3");
        return job.withPlacing(job.placing().withCandidates(List.of(letters).stream().map(Candidate::named).toList()));
    }

    private static List<String> letters(JobDocument document) {
        return document.job().candidates().stream().map(Candidate::letter).toList();
    }

    /** One order is taken where one side changed it; where both did, and differently, a person is asked. */
    @Test
    void anOrderIsAskedOnlyWhereBothChangedIt() {
        Job base = places("A", "B", "C");
        assertThat(letters(merged(base, places("B", "A", "C"), base).ours())).containsExactly("B", "A", "C");
        assertThat(letters(merged(base, base, places("B", "A", "C")).ours())).containsExactly("B", "A", "C");
        Merge alike = merged(base, places("C", "B", "A"), places("C", "B", "A"));
        assertThat(alike.clashes()).isEmpty();
        assertThat(letters(alike.ours())).containsExactly("C", "B", "A");
        Merge both = merged(base, places("B", "A", "C"), places("A", "C", "B"));
        assertThat(both.clashes()).singleElement().satisfies(d -> {
            assertThat(d.ours()).isEqualTo("in the order 2, 1, 3");
            assertThat(d.theirs()).isEqualTo("in the order 1, 3, 2");
        });
        assertThat(letters(both.ours())).containsExactly("B", "A", "C");
        assertThat(letters(both.theirs())).containsExactly("A", "C", "B");
        // What each added stands behind what it stood behind, ours after theirs.
        Job added = places("A", "X", "B", "C");
        Job other = places("A", "Y", "B", "C");
        assertThat(letters(merged(base, added, other).ours())).containsExactlyInAnyOrder("A", "B", "C", "X", "Y")
                .containsSubsequence("A", "X", "B").containsSubsequence("A", "Y", "B");
        assertThat(letters(merged(base, added, places("C", "A", "Y", "B")).ours()))
                .containsExactly("C", "A", "Y", "X", "B");
    }

    private Job wired(Job job, UnaryOperator<Chart> change) {
        return after(job, j -> j.withWiring(
                j.wiring().withHarness(j.wiring().harness().withChart(change.apply(j.wiring().harness().chart())))));
    }

    private static Chart chart(JobDocument document) {
        return document.job().wiring().harness().chart();
    }

    /** Both bays called their new wire 2: ours gets the next number, and the joint that was tested on it follows. */
    @Test
    void aWireOfOursIsCalledOtherwiseAndItsJointFollows() {
        Job base = wired(Job.empty("M-4"), c -> c.plus(Wire.tagged("").withWork(Work.POWER)));
        Job ours = wired(base, c -> c.plus(Wire.tagged("").withWork(Work.CAN_HIGH)));
        ours = after(ours, j -> joints(j, t -> t.plus(new Joints.Test("2", null, 80.0, null))
                .plus(new Joints.Test("1", null, 70.0, null))));
        Job theirs = wired(base, c -> c.plus(Wire.tagged("").withWork(Work.DIMMER)));
        theirs = after(theirs, j -> joints(j, t -> t.plus(new Joints.Test("2", null, 90.0, null))));
        Merge merge = merged(base, ours, theirs);
        assertThat(merge.clashes()).isEmpty();
        assertThat(merge.renamed()).singleElement().satisfies(r -> {
            assertThat(List.of(r.from(), r.to())).containsExactly("2", "3");
            assertThat(r.said()).contains("2").contains("3");
        });
        assertThat(chart(merge.ours()).wires()).filteredOn(w -> w.work() == Work.CAN_HIGH).extracting(Wire::tag)
                .containsExactly("3");
        assertThat(chart(merge.ours()).wires()).filteredOn(w -> w.work() == Work.DIMMER).extracting(Wire::tag)
                .containsExactly("2");
        assertThat(joints(merge.ours()).tested()).extracting(t -> t.wire() + " " + t.pull())
                .containsExactlyInAnyOrder("3 80.0", "1 70.0", "2 90.0");
    }

    private static Job outputs(Job job, UnaryOperator<Job> change) {
        return change.apply(job);
    }

    /** The first output stands in the document itself; one that only the one took off is gone, and one must stay. */
    @Test
    void outputsAreMergedOneByOne() {
        Job base = Job.empty("M-5").withLaw(SHIPPED.law("straight-afr")).withReader(SHIPPED.reader("ecu-table-8"));
        base = after(base, j -> j.withOutputs(j.outputs().oneMore().facingFirst()));
        String second = base.outputs().others().getFirst().id();
        Job facing = base.withOutputs(base.outputs().facing(second)).withReader(SHIPPED.reader("gauge"))
                .withPoint(new CheckPoint(1.0, null, 11.0, ""));
        Job ours = facing.withOutputs(facing.outputs().facingFirst())
                .withChanges(new Changes(Map.of(RestsOn.LAW, TEN)));
        Job theirs = base.withPoint(new CheckPoint(2.0, null, 12.0, ""));
        Merge merge = merged(base, ours, theirs);
        assertThat(merge.clashes()).isEmpty();
        Job one = merge.ours().job();
        assertThat(one.outputs().all()).extracting(Output::id).containsExactly(base.outputs().active().id(), second);
        assertThat(one.points()).extracting(CheckPoint::volts).containsExactly(2.0);
        assertThat(one.outputs().others().getFirst().points()).extracting(CheckPoint::volts).containsExactly(1.0);
        assertThat(one.reader()).isEqualTo(base.reader());
        assertThat(one.law()).isEqualTo(base.law());

        Job without = outputs(base, j -> j.withOutputs(j.outputs().oneLess()));
        Job withoutOther = outputs(base, j -> j.withOutputs(j.outputs().facing(second).oneLess()));
        assertThat(without.outputs().all()).extracting(Output::id).containsExactly(second);
        Merge none = merged(base, without, withoutOther);
        assertThat(none.clashes()).isNotEmpty();
        assertThat(none.ours().job().outputs().all()).extracting(Output::id).containsExactly(second);
        assertThat(none.theirs().job().outputs().all()).extracting(Output::id)
                .containsExactly(base.outputs().active().id());
        // What both changed of the second output is named where it stands.
        Job here = facing.withOutputs(facing.outputs().facingFirst());
        Job there = base.withOutputs(base.outputs().facing(second)).withReader(SHIPPED.reader("software-expression"));
        there = there.withOutputs(there.outputs().facingFirst());
        assertThat(merged(base, here, there).clashes()).extracting(Difference::field)
                .anyMatch(f -> f.startsWith("outputs.putBy[1].reader"));
    }

    /** Another number: the readings that were taken of the job are those of the new one. */
    @Test
    void aJobUnderAnotherNumberKeepsItsReadings() {
        Job job = typed(Job.empty("M-6"), "van", "here").withPoint(new CheckPoint(1.0, null, 11.0, "",
                new Origin(Origin.Kind.INSTRUMENT, "bench meter 4", TEN, "M-6")));
        job = job.withPoint(new CheckPoint(2.0, null, 12.0, "", new Origin(Origin.Kind.TYPED, "", TEN, "M-1")));
        Job other = JobDocument.of(job).numbered("M-60").job();
        assertThat(other.id()).isEqualTo("M-60");
        assertThat(other.points()).extracting(p -> p.origin().job()).containsExactly("M-60", "M-1");
        assertThat(other.entries().origin(IntakeField.VEHICLE.address()).job()).isEqualTo("M-60");
        assertThat(other.intake()).isEqualTo(job.intake());
    }

    @Test
    void anEntryBesideTheBookIsReadAsItWasWritten() throws IOException {
        JobDocument document = JobDocument.of(typed(Job.empty("M-7"), "van", "here"));
        JobDocument base = JobDocument.of(Job.empty("M-7"));
        for (LeftEntry entry : List.of(
                new LeftEntry("book-1", new EntryKey("w", 7), document, 3, base,
                        List.of(new LeftEntry.Sent(new EntryKey("w", 5), base),
                                new LeftEntry.Sent(new EntryKey("v", 1), document))),
                new LeftEntry("", new EntryKey("w", 1), document, 0, null, List.of()))) {
            Path file = Files.write(folder.resolve("entry.json"), entry.bytes());
            LeftEntry read = LeftEntry.read(file);
            assertThat(read.id()).isEqualTo("M-7");
            assertThat(List.of(read.book(), read.key(), read.revision(), read.document().job())).isEqualTo(
                    List.of(entry.book(), entry.key(), entry.revision(), entry.document().job()));
            assertThat(read.base() == null).isEqualTo(entry.base() == null);
            assertThat(read.sent()).extracting(LeftEntry.Sent::key)
                    .isEqualTo(entry.sent().stream().map(LeftEntry.Sent::key).toList());
            assertThat(read.sent()).extracting(s -> s.document().job())
                    .isEqualTo(entry.sent().stream().map(s -> s.document().job()).toList());
            assertThat(new String(read.bytes(), java.nio.charset.StandardCharsets.UTF_8))
                    .isEqualTo(new String(entry.bytes(), java.nio.charset.StandardCharsets.UTF_8));
        }
        Path none = Files.write(folder.resolve("none.json"), document.bytes());
        assertThatThrownBy(() -> LeftEntry.read(none)).isInstanceOf(UnusableInput.class)
                .hasMessageContaining("amber-heron-entry");
    }

    @Test
    void aPartOfTheListOfOutputsStandsWhereTheDocumentHasIt() {
        assertThat(OutputList.path("outputs.putBy", 1)).isEmpty();
        assertThat(OutputList.path("outputs.putBy", 3)).isEqualTo("outputs.putBy[2]");
        assertThat(OutputList.path("points", 3)).isEqualTo("points[3]");
        assertThat(List.of(OutputList.is("outputs.putBy"), OutputList.is("points"))).containsExactly(true, false);
    }
}
