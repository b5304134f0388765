package amberheron.io.json;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.units.UnitChoice;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a person calls the values of a job. */
class FieldWordsTest {
    private static void fields(String path, JsonNode node, Set<String> into) {
        into.add(path);
        if (node.isObject()) {
            node.propertyNames().forEach(n -> fields(path.isEmpty() ? n : path + "." + n, node.get(n), into));
        } else {
            node.forEach(n -> fields(path, n, into));
        }
    }

    /** A name for what is nowhere would be a field that was renamed and is said as the document has it since. */
    @Test
    void everyNameIsThatOfAValueThereIs() {
        Set<String> there = new TreeSet<>();
        for (int seed = 0; seed < 60; seed++) {
            fields("", JobDocument.of(JobDocumentProperties.job(new Random(seed))).tree(), there);
        }
        assertThat(there).containsAll(FieldWords.named());
    }

    @Test
    void aValueIsSaidAsThePersonKnowsIt() {
        FieldWords fitted = FieldWords.of("placing.fitted.distance");
        assertThat(fitted.words()).isEqualTo("Place: distance as fitted");
        assertThat(new UnitChoice(false, true, false, false).text(fitted.measure("0.614").orElseThrow(), 14.7))
                .isEqualTo(new UnitChoice(false, true, false, false)
                        .text(FieldWords.of("placing.candidates[2].distance").measure("0.614").orElseThrow(), 14.7))
                .isEqualTo("24.173 in");
        assertThat(FieldWords.of("placing.candidates[2].distance").words())
                .isEqualTo("Place: distance along the pipe (2)");
        assertThat(fitted.measure("nothing")).isEmpty();
        assertThat(FieldWords.of("wiring.ground.twoWires").words()).as("nobody named it")
                .isEqualTo("Wire: ground, two wires");
    }
}
