package amberheron.io.pack;

import amberheron.core.job.JobReview;
import amberheron.core.units.UnitChoice;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Manifest;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;

/** A sheet as it would be printed now, page by page. */
public final class Preview {
    /** It names every typeface that a machine has not, though the sheets bring their own. Held, or the level is forgotten. */
    private static final Logger READER = Logger.getLogger("org.apache.pdfbox");

    private Preview() {
    }

    /** Writes a sheet as a PDF of its own into a folder. Takes a second or so. */
    public static Path write(JobDocument document, JobReview review, UnitChoice units, ShopCard shop, Sheets.For whom,
            Path folder) {
        String name = Pages.stem(document.job()) + "-" + whom.file() + ".pdf";
        return Pages.write(folder, Map.of(name, pdf(document, review, units, shop, whom))).getFirst();
    }

    private static byte[] pdf(JobDocument document, JobReview review, UnitChoice units, ShopCard shop,
            Sheets.For whom) {
        return Pages.pdf(Pages.html("sheet.html",
                new Sheets(review, units, shop, Manifest.code(document.bytes())).of(whom)));
    }

    /**
     * The pages of a sheet. Takes a second or so.
     *
     * @param dotsPerInch how fine
     */
    public static List<BufferedImage> pages(JobDocument document, JobReview review, UnitChoice units, ShopCard shop,
            Sheets.For whom, float dotsPerInch) {
        READER.setLevel(Level.SEVERE);
        try (PDDocument pdf = Loader.loadPDF(pdf(document, review, units, shop, whom))) {
            PDFRenderer renderer = new PDFRenderer(pdf);
            List<BufferedImage> pages = new ArrayList<>();
            for (int i = 0; i < pdf.getNumberOfPages(); i++) {
                pages.add(renderer.renderImageWithDPI(i, dotsPerInch));
            }
            return List.copyOf(pages);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
