package amberheron.io.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CatalogueTest {
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
    void aFolderIsTakenUpWholeOrNotAtAll(@TempDir Path stick) throws IOException {
        Files.writeString(shop.resolve("fuels.json"),
                """
                        {"fuels": [{"id": "race", "name": "Race", "stoich": 13}, {"id": "ours", "name": "Ours", "stoich": 14}]}""");
        Files.writeString(stick.resolve("fuels.json"),
                """
                        {"fuels": [{"id": "race", "name": "Race 2", "stoich": 13.1}, {"id": "new", "name": "New", "stoich": 12}]}""");
        Files.writeString(stick.resolve("laws.json"), "{\"laws\": [{\"id\": \"x\"}]}");
        assertThatThrownBy(() -> CatalogueUpdate.take(stick, shop)).hasMessageContaining("laws.json")
                .hasMessageContaining("laws[0]");
        assertThat(Catalogue.withShop(shop).fuel("race").stoich()).as("nothing of it").isEqualTo(13);

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

    @Test
    void anUnknownNameListsWhatThereIs() {
        assertThatThrownBy(() -> Catalogue.shipped().law("nonsense")).hasMessageContainingAll("“nonsense”",
                "straight-afr", "JSON file");
    }
}
