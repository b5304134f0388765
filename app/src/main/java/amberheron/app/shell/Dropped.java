package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.LeafId;
import amberheron.app.session.Navigation;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.job.Station;
import amberheron.io.TextFiles;
import amberheron.io.kind.FileKind;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.input.Clipboard;
import javafx.scene.input.TransferMode;

/** Files dropped anywhere in the window: each is told by its content and put where it belongs. */
final class Dropped {
    private final Session session;
    private final Consumer<Station> go;
    private final Function<Station, StationModel> model;

    /**
     * @param go shows a station
     * @param model of a station
     */
    Dropped(Session session, Consumer<Station> go, Function<Station, StationModel> model) {
        this.session = session;
        this.go = go;
        this.model = model;
    }

    /** Takes what is dropped on a node. */
    void onto(Node node) {
        node.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        node.setOnDragDropped(e -> {
            take(e.getDragboard().getFiles().stream().map(File::toString).toList());
            e.setDropCompleted(true);
        });
    }

    /** Takes files that were copied, when they are pasted; whether there were any. */
    boolean paste() {
        List<File> files = Clipboard.getSystemClipboard().getFiles();
        take(files.stream().map(File::toString).toList());
        return !files.isEmpty();
    }

    /** Lets files be picked. */
    void browse(Node over) {
        Parts.browse(over, say("Log, photo, law, chart, check points, job or pack"), file -> take(List.of(file)));
    }

    /** Takes files up, one after the other. */
    void take(List<String> files) {
        for (String file : files) {
            session.background().run(say("Looking at the file"), () -> FileKind.of(TextFiles.path(file)),
                    kind -> put(kind, file));
        }
    }

    private String put(FileKind kind, String file) {
        String name = TextFiles.name(Path.of(file));
        if (kind == FileKind.JOB) {
            session.take(Path.of(file));
            return say("%s: %s.", name, kind.words());
        }
        if (!session.isOpen() || session.at().view() == Navigation.View.JOBS) {
            return say("%s is %s: open the job that it belongs to, and drop it again.", name, kind.words());
        }
        Station to = station(kind);
        go.accept(to);
        LeafId leaf = model.apply(to).take(session, kind, file);
        session.focus(leaf);
        return say("%s is %s: it goes to %s, %s.", name, kind.words(), to.title(), leaf.title());
    }

    /** A photo is of what one is working on. */
    private Station station(FileKind kind) {
        return switch (kind) {
            case LOG, TRIMS -> Station.PROVE;
            case PHOTO -> session.at().station() == Station.WIRE ? Station.WIRE : Station.PLACE;
            case SCALE, POINTS -> Station.SCALE;
            case CHART -> Station.WIRE;
            case SENSORS -> Station.AIR;
            case PACK, JOB -> Station.HAND_OVER;
        };
    }
}
