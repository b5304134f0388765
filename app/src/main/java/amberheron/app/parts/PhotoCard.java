package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.JobPhotos;
import amberheron.app.session.Session;
import amberheron.core.finding.Photo;
import amberheron.core.job.Job;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Photos kept with one part of a job, each known by its digest. */
public final class PhotoCard extends VBox {
    private static final int MOST_WORDS = 160;

    private final Session session;
    private final Function<Job, List<Photo>> read;
    private final BiFunction<Job, List<Photo>, Job> write;
    private final VBox list = new VBox(4);
    private final TextField file = new TextField();

    /**
     * Photos of one part of the job.
     *
     * @param key id of the field, and the start of the buttons' ids
     */
    public PhotoCard(Session session, String key, Function<Job, List<Photo>> read,
            BiFunction<Job, List<Photo>, Job> write) {
        this.session = session;
        this.read = read;
        this.write = write;
        file.setId(key);
        file.setPromptText(say("path of a photo, JPEG or PNG"));
        file.setAccessibleText(say("Photo"));
        file.setOnAction(e -> attach(file.getText()));
        getChildren().add(Parts.card(say("Photos"), list,
                new HBox(6, file, Parts.button(say("Attach"), key + ".attach", () -> attach(file.getText()), "quiet"),
                        Parts.button(say("Browse…"), key + ".browse",
                                () -> Parts.browse(this, say("Photo"), this::attach),
                                "quiet"))));
        file.setMinWidth(60);
        HBox.setHgrow(file, Priority.ALWAYS);
    }

    private void attach(String typed) {
        JobPhotos.attach(session, typed, read, write);
        file.clear();
    }

    /** Shows what the job has now. */
    public void refresh() {
        List<Photo> photos = read.apply(session.job());
        Parts.fill(list, photos, () -> photos.isEmpty()
                ? List.of(Parts.text(say("None yet."), "soft"))
                : IntStream.range(0, photos.size()).mapToObj(i -> row(photos.get(i), i)).toList());
    }

    private VBox row(Photo photo, int index) {
        TextField caption = new TextField(photo.caption());
        caption.setId(file.getId() + ".caption." + (index + 1));
        caption.setPromptText(say("what it shows, for the sheet"));
        caption.setAccessibleText(say("What %s shows", photo.file()));
        Runnable keep = () -> caption(photo, caption.getText().strip());
        caption.setOnAction(e -> keep.run());
        caption.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                keep.run();
            }
        });
        return new VBox(2, Parts.text(say("%s  ·  SHA-256 %s…", photo.file(),
                photo.digest().substring(0, Math.min(12, photo.digest().length())))), caption);
    }

    private void caption(Photo photo, String typed) {
        String words = typed.substring(0, Math.min(MOST_WORDS, typed.length()));
        if (!words.equals(photo.caption()) && read.apply(session.job()).contains(photo)) {
            session.edit(say("caption of %s", photo.file()), j -> write.apply(j, read.apply(j).stream()
                    .map(p -> p.equals(photo) ? p.withCaption(words) : p).toList()));
        }
    }
}
