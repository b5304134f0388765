package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.io.JobNumber;
import amberheron.io.Printable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** What all printed sheets share: a page filled in, the same page as PDF, and files that appear whole or not at all. */
final class Pages {
    private Pages() {
    }

    /** The job's number as it can stand in the name of a file or folder. */
    static String stem(Job job) {
        return JobNumber.stem(job.id());
    }

    /** Fills in a page; what it shows is called {@code s} there. */
    static String html(String page, Object sheet) {
        return html(page, sheet, Map.of());
    }

    /** The same, with more that it may show. */
    static String html(String page, Object sheet, Map<String, Object> more) {
        Context all = new Context(Locale.ROOT, more);
        all.setVariable("s", sheet);
        return Printable.page(Engine.ONE.process("amberheron/io/pack/" + page, all));
    }

    /** Made when the first page is: it keeps what it has understood of them. */
    private static final class Engine {
        static final TemplateEngine ONE = of();

        private static TemplateEngine of() {
            ClassLoaderTemplateResolver resolver = new ClassLoaderTemplateResolver(Pages.class.getClassLoader());
            resolver.setTemplateMode(TemplateMode.HTML);
            resolver.setCharacterEncoding("UTF-8");
            TemplateEngine engine = new TemplateEngine();
            engine.setTemplateResolver(resolver);
            return engine;
        }
    }

    /** A page as PDF; a millimetre in it is a millimetre on paper. */
    static byte[] pdf(String html) {
        System.setProperty("java.awt.headless", "true");
        XRLog.setLoggingEnabled(false);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            new PdfRendererBuilder().useSVGDrawer(new BatikSVGDrawer())
                    .useFont(SheetFont.REGULAR::file, "Source Sans 3", 400, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .useFont(SheetFont.SEMI_BOLD::file, "Source Sans 3", 600, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .withHtmlContent(html, null).toStream(out).run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /**
     * Writes files, all made before the first is written.
     *
     * @throws UnusableInput when the folder cannot be written or is full
     */
    static List<Path> write(Path folder, Map<String, byte[]> files) {
        try {
            Files.createDirectories(folder);
            for (var file : files.entrySet()) {
                TextFiles.replace(folder.resolve(file.getKey()), file.getValue());
            }
        } catch (IOException e) {
            throw new UnusableInput(folder.toString(), "",
                    say("the pack cannot be written: %s; expected a folder with room that can be written",
                            TextFiles.reason(e)));
        }
        return files.keySet().stream().map(folder::resolve).toList();
    }
}
