package amberheron.io.json;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Consumer;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class MergeTest {
    private static final String BASE = text();

    private static String text() {
        try (InputStream in = MergeTest.class.getResourceAsStream("job-version-3.json")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ObjectNode tree() {
        return Json.parse("base", JobDocument.parse("base", BASE).text());
    }

    private static JobDocument base() {
        return JobDocument.parse("base", BASE);
    }

    private static JobDocument changed(Consumer<ObjectNode> how) {
        ObjectNode tree = tree();
        how.accept(tree);
        return JobDocument.parse("changed", Json.text(tree));
    }

    /** Lengths and ohms by where they stand: a hair's breadth of change leaves every one of them possible. */
    private static Map<String, Double> numbers(JsonNode node) {
        Map<String, Double> all = new TreeMap<>();
        numbers("", node, all);
        return all;
    }

    private static void numbers(String path, JsonNode node, Map<String, Double> into) {
        if (node.isObject()) {
            node.properties().forEach(e -> numbers(path + "/" + e.getKey(), e.getValue(), into));
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                numbers(path + "/" + i, node.get(i), into);
            }
        } else if (node.isFloatingPointNumber() && node.doubleValue() != 0
                && path.matches("/(intake|wiring|placing).*")) {
            into.put(path, node.doubleValue());
        }
    }

    private static JobDocument scaled(List<String> paths, double by) {
        return changed(t -> paths.forEach(p -> {
            JsonNode parent = t.at(p.substring(0, p.lastIndexOf('/')));
            String name = p.substring(p.lastIndexOf('/') + 1);
            double value = t.at(p).doubleValue() * by;
            if (parent instanceof ArrayNode list) {
                list.set(Integer.parseInt(name), list.numberNode(value));
            } else {
                ((ObjectNode) parent).put(name, value);
            }
        }));
    }

    /** Whatever two bays change, each finds in the job what only it changed, and is asked for exactly the rest. */
    @Property(tries = 60)
    void whatOnlyOneChangedIsKeptAndTheRestIsAsked(@ForAll long seed) {
        List<String> all = new ArrayList<>(numbers(tree()).keySet());
        Collections.shuffle(all, new Random(seed));
        Random random = new Random(seed);
        int mine = 1 + random.nextInt(6);
        int both = random.nextInt(3);
        List<String> ourPaths = all.subList(0, mine + both);
        List<String> theirPaths = all.subList(mine, mine + both + 1 + random.nextInt(6));
        List<String> clash = all.subList(mine, mine + both);
        JobDocument ours = scaled(ourPaths, 0.999);
        JobDocument theirs = scaled(theirPaths, 0.998);

        Merge merge = Merge.of(base(), ours, theirs);

        assertThat(merge.clashes()).hasSize(both);
        Map<String, Double> was = numbers(tree());
        Map<String, Double> here = numbers(Json.parse("", merge.ours().text()));
        Map<String, Double> there = numbers(Json.parse("", merge.theirs().text()));
        was.forEach((path, value) -> {
            double expected = ourPaths.contains(path)
                    ? value * 0.999
                    : theirPaths.contains(path) ? value * 0.998 : value;
            assertThat(here.get(path)).as(path).isEqualTo(expected);
            assertThat(there.get(path)).as(path).isEqualTo(clash.contains(path) ? value * 0.998 : expected);
        });
        assertThat(Merge.of(base(), theirs, ours).ours().job()).isEqualTo(merge.theirs().job());
    }

    private static ArrayNode list(ObjectNode tree, String path) {
        return (ArrayNode) tree.at(path);
    }

    private static List<String> ids(JobDocument document) {
        return document.job().placing().candidates().stream().map(c -> c.id()).toList();
    }

    private static void another(ObjectNode tree, String id) {
        ArrayNode all = list(tree, "/placing/candidates");
        all.add(((ObjectNode) all.get(0).deepCopy()).put("id", id));
    }

    @Test
    void partsThatEachAddedAreBothThere() {
        Merge merge = Merge.of(base(), changed(t -> {
            another(t, "here");
            list(t, "/progress/done").remove(3);
        }), changed(t -> {
            another(t, "there");
            list(t, "/progress/done").remove(0);
        }));
        assertThat(merge.clashes()).isEmpty();
        assertThat(ids(merge.ours())).containsAll(ids(base())).contains("here", "there");
        assertThat(merge.ours().job().progress().done()).hasSize(base().job().progress().done().size() - 2);
        assertThat(merge.theirs().job()).isEqualTo(merge.ours().job());
    }

    @Test
    void aPartThatOneTookOutAndTheOtherChangedIsAsked() {
        String gone = ids(base()).getLast();
        JobDocument without = changed(t -> {
            list(t, "/placing/candidates").remove(1);
            ((ObjectNode) t.at("/placing")).put("chosen", ids(base()).getFirst());
        });
        assertThat(Merge.of(base(), without, base()).ours().job()).isEqualTo(without.job());

        Merge merge = Merge.of(base(), without,
                changed(t -> ((ObjectNode) list(t, "/placing/candidates").get(1)).put("note", "by the mount")));
        assertThat(merge.clashes()).isNotEmpty();
        assertThat(ids(merge.ours())).doesNotContain(gone);
        assertThat(ids(merge.theirs())).contains(gone);
    }

    /** A long note that differs where it is not shown any more still differs. */
    @Test
    void aLongTextIsComparedWhole() {
        String note = "n".repeat(200);
        Merge merge = Merge.of(base(), changed(t -> ((ObjectNode) t.at("/intake")).put("vehicle", note + "here")),
                changed(t -> ((ObjectNode) t.at("/intake")).put("vehicle", note + "there")));
        assertThat(merge.clashes()).extracting(Difference::field).containsExactly("intake.vehicle");
    }

    /** What readings rest on changed in both bays: they are stale since the later of the two. */
    @Test
    void sinceWhenIsTheLaterOfBoth() {
        Merge merge = Merge.of(base(), changed(t -> t.putObject("changes").put("law", "2026-03-02T10:00:00Z")),
                changed(t -> t.putObject("changes").put("law", "2026-03-02T10:00:00.500Z")));
        assertThat(merge.clashes()).isEmpty();
        assertThat(merge.ours().text()).contains("2026-03-02T10:00:00.500Z");
    }

    /** Both together would be no job: then each stands for itself. */
    @Test
    void whatTogetherIsNoJobIsAskedWhole() {
        JobDocument ours = changed(t -> ((ObjectNode) t.at("/placing")).put("chosen", ids(base()).getLast()));
        JobDocument theirs = changed(t -> {
            list(t, "/placing/candidates").remove(1);
            ((ObjectNode) t.at("/placing")).put("chosen", ids(base()).getFirst());
        });
        Merge merge = Merge.of(changed(t -> ((ObjectNode) t.at("/placing")).putNull("chosen")), ours, theirs);
        assertThat(merge.clashes()).isNotEmpty();
    }
}
