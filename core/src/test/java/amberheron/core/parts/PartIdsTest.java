package amberheron.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Ids of parts of a list, and the names by which people call them. */
class PartIdsTest {
    private record Part(String id, String what) {
        Part as(String other) {
            return new Part(other, what);
        }
    }

    private static Part part(String id, String what) {
        return new Part(id, what);
    }

    @Test
    void aPartWithoutAnIdOrWithAnothersGetsOneOfItsOwn() {
        List<Part> given = PartIds.given(List.of(part("", "a"), part("p", "b"), part("p", "c"), part("", "d")),
                Part::id,
                Part::as);
        assertThat(given).extracting(Part::what).containsExactly("a", "b", "c", "d");
        assertThat(given).extracting(Part::id).doesNotHaveDuplicates().doesNotContain("");
        assertThat(given.get(1).id()).isEqualTo("p");
        List<Part> whole = List.of(part("x", "a"), part("y", "b"));
        assertThat(PartIds.given(whole, Part::id, Part::as)).isEqualTo(whole);
    }

    /** Numbers that are taken already are passed over, wherever in the list they stand. */
    @Test
    void partsOfAnOldDocumentAreNumberedTheSameWhoeverReadsIt() {
        assertThat(PartIds.numbered(List.of(part("", "a"), part("", "b"), part("1", "c"), part("", "d")), Part::id,
                Part::as)).extracting(Part::id).containsExactly("0", "2", "1", "3");
    }

    @Test
    void onlyPartsJustMadeGetALastingId() {
        List<Part> before = PartIds.given(List.of(part("", "kept")), Part::id, Part::as);
        List<Part> now = PartIds.given(List.of(before.getFirst(), part("", "new"), part("own", "named")), Part::id,
                Part::as);
        Deque<String> ids = new ArrayDeque<>(List.of("lasting", "spare"));
        List<Part> after = PartIds.lasting(before, now, Part::id, Part::as, ids::removeFirst);
        assertThat(after).extracting(Part::id).containsExactly(before.getFirst().id(), "lasting", "own");
        assertThat(ids).containsExactly("spare");
    }

    @Test
    void lettersGoOnAfterTheAlphabet() {
        assertThat(PartIds.nextLetter(List.of())).isEqualTo("A");
        assertThat(PartIds.nextLetter(List.of("A", "C"))).isEqualTo("B");
        List<String> alphabet = IntStream.rangeClosed('A', 'Z').mapToObj(c -> String.valueOf((char) c)).toList();
        assertThat(PartIds.nextLetter(alphabet)).isEqualTo("A1");
        assertThat(PartIds.nextNumber(List.of("2", "x", "7", "1234567"))).isEqualTo("8");
        assertThat(PartIds.nextNumber(List.of("x"))).isEqualTo("1");
    }
}
