package amberheron.io.pack;

import amberheron.core.job.Job;
import amberheron.io.UnusableInput;
import amberheron.io.json.JobDocument;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The pack that goes with the vehicle: the sheet as HTML and PDF, and the job as JSON. */
public final class HandOverPack {
    private HandOverPack() {
    }

    /**
     * Writes the pack. Everything is made before anything is written, and each file appears whole or not at all.
     *
     * @return the files written
     * @throws UnusableInput when the folder cannot be written or is full
     */
    public static List<Path> write(JobDocument document, HandOverSheet sheet, Path folder) {
        String stem = stem(document.job());
        String html = Pages.html("sheet.html", sheet);
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(stem + "-hand-over.html", html.getBytes(StandardCharsets.UTF_8));
        files.put(stem + "-hand-over.pdf", Pages.pdf(html));
        files.put(stem + ".json", document.bytes());
        return Pages.write(folder, files);
    }

    /** The job's number as it can stand in the name of a file or folder. */
    public static String stem(Job job) {
        return Pages.stem(job);
    }
}
