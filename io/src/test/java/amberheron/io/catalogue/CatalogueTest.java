package amberheron.io.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.mixture.ExhaustGas;
import amberheron.core.mixture.Fuel;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.SettingFinder;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class CatalogueTest {
    private static final JsonMapper JSON = JsonMapper.shared();

    @TempDir
    private Path shop = Path.of("");

    /** Heywood's ethanol in pump petrol of 14.7; densities from memory. */
    @Test
    void fuelsAndBlendsAreComputedNotCopied() {
        Catalogue shipped = Catalogue.shipped();
        assertThat(shipped.fuel("e85").stoich()).isCloseTo(9.81, within(0.01));
        assertThat(shipped.fuel("e10").stoich()).isCloseTo(14.10, within(0.01));
        assertThat(shipped.fuel("petrol").stoich()).isEqualTo(14.7);
        assertThat(shipped.fuel("petrol-ch1.87").stoich()).isCloseTo(14.60, within(0.005));
        assertThat(shipped.faults()).isEmpty();
    }

    @Test
    void everyEntryNamesItsSource() {
        Catalogue shipped = Catalogue.shipped();
        assertThat(shipped.laws()).allMatch(l -> !l.source().citation().startsWith("as entered in"));
        assertThat(shipped.readers()).allMatch(r -> !r.source().citation().startsWith("as entered in"));
        assertThat(shipped.wires()).allMatch(w -> !w.source().citation().startsWith("as entered in"));
    }

    @Test
    void aShopAddsAndReplaces() throws IOException {
        Files.writeString(shop.resolve("fuels.json"),
                """
                        {"fuels": [{"id": "e85", "name": "Our E85", "stoich": 9.9}, {"id": "race", "name": "Race", "stoich": 13}]}""");
        Catalogue own = Catalogue.withShop(shop);
        assertThat(own.fuel("e85").stoich()).isEqualTo(9.9);
        assertThat(own.fuel("race").name()).isEqualTo("Race");
        assertThat(own.fuels()).hasSize(Catalogue.shipped().fuels().size() + 1);
    }

    @Test
    void aBrokenShopFileIsReportedAndTheRestStillWorks() throws IOException {
        Files.writeString(shop.resolve("laws.json"), "{\"laws\": [{\"id\": \"x\"}]}");
        Catalogue own = Catalogue.withShop(shop);
        assertThat(own.faults()).singleElement().asString().contains("laws.json").contains("laws[0]");
        assertThat(own.law("straight-afr").name()).isNotEmpty();
    }

    @Test
    void aFolderIsTakenUpWithoutWhatCannotBeUsed(@TempDir Path stick) throws IOException {
        Files.writeString(shop.resolve("fuels.json"),
                """
                        {"fuels": [{"id": "race", "name": "Race", "stoich": 13}, {"id": "ours", "name": "Ours", "stoich": 14}]}""");
        Files.writeString(stick.resolve("fuels.json"),
                """
                        {"fuels": [{"id": "race", "name": "Race 2", "stoich": 13.1}, {"id": "new", "name": "New", "stoich": 12}]}""");
        Files.writeString(stick.resolve("laws.json"), "{\"laws\": 5}");
        assertThatThrownBy(() -> CatalogueUpdate.take(stick, shop)).hasMessageContaining("laws.json");
        assertThat(Catalogue.withShop(shop).fuel("race").stoich()).as("nothing of it").isEqualTo(13);

        Files.writeString(stick.resolve("laws.json"), "{\"laws\": [{\"id\": \"x\"}]}");
        assertThat(CatalogueUpdate.take(stick, Files.createDirectory(shop.resolve("apart"))).leftOut()).singleElement()
                .asString().contains("laws.json", "laws[0]");
        Files.delete(stick.resolve("laws.json"));
        CatalogueUpdate taken = CatalogueUpdate.take(stick, shop);
        assertThat(taken.added()).containsExactly("fuels: new");
        assertThat(taken.replaced()).containsExactly("fuels: race");
        Catalogue own = Catalogue.withShop(shop);
        assertThat(own.fuel("race").stoich()).isEqualTo(13.1);
        assertThat(own.fuel("ours").stoich()).isEqualTo(14);
        assertThat(Files.readString(shop.resolve("fuels.json.before"))).contains("\"stoich\": 13}");
        assertThat(CatalogueUpdate.take(stick, shop).same()).hasSize(2);
        assertThatThrownBy(() -> CatalogueUpdate.take(stick.resolve("nowhere"), shop))
                .hasMessageContaining("no catalogue entries");
    }

    /**
     * One field after the other of each shipped file gets what a person may mistype: that entry is used or left out and
     * said, every other is there, and whatever is used can be calculated with.
     */
    @Test
    void oneBadValueLeavesOutOneEntry() throws IOException {
        int leftOut = 0;
        for (String kind : List.of("fuels", "laws", "readers", "wires", "controllers", "streams")) {
            ObjectNode whole = shipped(kind);
            for (String pointer : leaves("", whole.get(kind))) {
                for (String value : List.of("-1", "0", "1e308", "\"x\"", "\"\"", "null")) {
                    ObjectNode bad = whole.deepCopy();
                    put(bad, "/" + kind + pointer, value);
                    Files.writeString(shop.resolve(kind + ".json"), bad.toString());
                    Catalogue own = Catalogue.withShop(shop);
                    leftOut += own.faults().size();
                    assertThat(own.faults()).as("%s %s %s", kind, pointer, value)
                            .allMatch(f -> f.contains(kind + ".json") && f.contains("expected"));
                    use(own);
                }
            }
            Files.delete(shop.resolve(kind + ".json"));
        }
        assertThat(leftOut).as("some of it was bad").isGreaterThan(500);
    }

    private static ObjectNode shipped(String kind) throws IOException {
        try (InputStream in = Catalogue.class.getResourceAsStream("/amberheron/io/catalogue/" + kind + ".json")) {
            return (ObjectNode) JSON.readTree(Objects.requireNonNull(in));
        }
    }

    private static List<String> leaves(String path, JsonNode node) {
        List<String> all = new ArrayList<>();
        if (node.isObject()) {
            node.properties().forEach(e -> all.addAll(leaves(path + "/" + e.getKey(), e.getValue())));
        } else if (node.isArray()) {
            for (int i = 0; i < Math.min(3, node.size()); i++) {
                all.addAll(leaves(path + "/" + i, node.get(i)));
            }
        } else if (!path.contains("/source/")) {
            all.add(path);
        }
        return all;
    }

    private static void put(ObjectNode tree, String pointer, String value) {
        JsonNode parent = tree.at(pointer.substring(0, pointer.lastIndexOf('/')));
        String name = pointer.substring(pointer.lastIndexOf('/') + 1);
        if (parent instanceof ObjectNode object) {
            object.set(name, JSON.readTree(value));
        } else {
            ((ArrayNode) parent).set(Integer.parseInt(name), JSON.readTree(value));
        }
    }

    private static void use(Catalogue catalogue) {
        for (Fuel fuel : catalogue.fuels()) {
            assertThat(fuel.scale().fromLambda(1)).isBetween(1.0, 40.0);
            assertThat(ExhaustGas.oxygen(1.2, fuel.composition().hydrogen())).isBetween(0.0, 0.21);
        }
        OutputLaw law = catalogue.laws().getFirst();
        Reader reader = catalogue.readers().getFirst();
        SettingFinder.find(law, reader).ifPresent(setting -> assertThat(setting.at(1)).isFinite());
    }

    @Test
    void anUnknownNameListsWhatThereIs() {
        assertThatThrownBy(() -> Catalogue.shipped().law("nonsense")).hasMessageContainingAll("“nonsense”",
                "straight-afr", "JSON file");
    }
}
