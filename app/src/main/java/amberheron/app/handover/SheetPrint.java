package amberheron.app.handover;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Copied;
import amberheron.app.session.Session;
import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.units.UnitChoice;
import amberheron.io.json.JobDocument;
import amberheron.io.pack.Preview;
import amberheron.io.pack.SheetText;
import amberheron.io.pack.Sheets.For;
import amberheron.io.pack.ShopCard;
import java.nio.file.Path;
import java.util.Objects;
import javafx.embed.swing.SwingFXUtils;
import javafx.print.PageLayout;
import javafx.print.PrinterJob;
import javafx.scene.image.ImageView;

/** A sheet on paper, or as text, without a hand-over being dated. */
final class SheetPrint {
    private static final float PRINT = 200;

    private SheetPrint() {
    }

    /** Copies the words and figures of a sheet. */
    static void copy(Session session, For whom) {
        Copied.text(session, say("the sheet for: %s", whom.words()), SheetText.of(session.document(),
                session.review(), session.preferences().units(), session.preferences().card(), whom));
    }

    /** Prints a sheet on the printer that is picked; as a PDF where there is none. */
    static void print(Session session, For whom) {
        JobDocument document = session.document();
        Shop shop = session.preferences().shop();
        UnitChoice units = session.preferences().units();
        ShopCard card = session.preferences().card();
        PrinterJob job = PrinterJob.createPrinterJob();
        if (job == null) {
            Path folder = session.home().resolve("prints");
            session.background().run(say("Printing"),
                    () -> say("No printer is set up on this machine. As a PDF: %s.", Preview.write(document,
                            new JobReview(document.job(), shop), units, card, whom, folder)));
            return;
        }
        if (!job.showPrintDialog(null)) {
            return;
        }
        session.background().run(say("Printing"),
                () -> Preview.pages(document, new JobReview(document.job(), shop), units, card, whom, PRINT), done -> {
                    PageLayout layout = Objects.requireNonNull(job.getJobSettings().getPageLayout());
                    boolean printed = true;
                    for (var each : done) {
                        ImageView whole = new ImageView(SwingFXUtils.toFXImage(each, null));
                        whole.setPreserveRatio(true);
                        whole.setFitWidth(layout.getPrintableWidth());
                        whole.setFitHeight(layout.getPrintableHeight());
                        printed &= job.printPage(layout, whole);
                    }
                    return printed && job.endJob()
                            ? count("1 page is printed.", "%d pages are printed.", done.size())
                            : say("The printer did not take it: the pack holds the sheets as PDF.");
                });
    }
}
