package amberheron.io.pack;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Font;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OtherScriptsTest {
    /** Whatever a font of this machine has is drawn; what none has stays, and so does all that the sheets' own font has. */
    @ParameterizedTest
    @ValueSource(strings = {"\u05e9\u05dc\u05d5\u05dd", "\u0645\u0631\u062d\u0628\u0627", "\u6f22\u5b57",
            "\u0e2a\u0e27\u0e31\u0e2a"})
    void aNameInAnotherScriptIsPrinted(String name) {
        String page = "<p title=\"" + name + "\">Van of " + name + ", blue</p><style>/* " + name + " */</style>";
        String drawn = OtherScripts.drawn(page);
        if (new Font(Font.DIALOG, Font.PLAIN, 10).canDisplayUpTo(name) < 0) {
            assertThat(drawn).contains("<path d=\"M", "Van of <svg", "</svg>, blue", "/* " + name, "title=\"" + name)
                    .doesNotContain("of " + name);
        } else {
            assertThat(drawn).isEqualTo(page);
        }
    }

    @Test
    void whatTheSheetsFontHasStaysText() {
        String page = "<p>Größe λ 1,00 ≤ Ω² Ж é №</p>";
        assertThat(OtherScripts.drawn(page)).isEqualTo(page);
    }

    /** The drawing is as wide as it says, and its ink is there. */
    @Test
    void theInkIsOnThePage() throws IOException {
        String letters = "\u05e9\u05dc\u05d5\u05dd";
        org.junit.jupiter.api.Assumptions.assumeTrue(new Font(Font.DIALOG, Font.PLAIN, 10).canDisplayUpTo(letters) < 0);
        assertThat(ink(letters)).isGreaterThan(ink(" ") + 300);
    }

    private static long ink(String words) throws IOException {
        byte[] pdf = Pages.pdf("<html><body style=\"font-family: 'Source Sans 3'\"><p>" + words + "</p></body></html>");
        try (var document = Loader.loadPDF(pdf)) {
            var image = new PDFRenderer(document).renderImageWithDPI(0, 300);
            long dark = 0;
            for (int x = 0; x < image.getWidth(); x++) {
                for (int y = 0; y < image.getHeight(); y++) {
                    dark += (image.getRGB(x, y) & 0xFF) < 128 ? 1 : 0;
                }
            }
            return dark;
        }
    }
}
