package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Session;
import amberheron.bench.ControllerStream;
import amberheron.core.controller.Report;
import javafx.animation.AnimationTimer;

/** Moves the rule's cursor as a controller reports, once for each frame: the one on the desk, else a drive made up. */
final class LiveSource extends AnimationTimer {
    private final Session session;
    private final ControllerStream stream;
    private long began;
    private boolean running;

    LiveSource(Session session, ControllerStream stream) {
        this.session = session;
        this.stream = stream;
        session.listeners().onClose(this::stop);
    }

    void toggle() {
        running = !running;
        began = System.nanoTime();
        if (running) {
            start();
            session.tell(say("Rule follows the %s. F8 stops it.", name()));
        } else {
            stop();
            session.tell(say("Rule no longer follows the %s.", name()));
        }
    }

    private String name() {
        ControllerDesk desk = session.controller();
        return desk.connected() ? desk.name() : stream.name();
    }

    @Override
    public void handle(long now) {
        ControllerDesk desk = session.controller();
        if (desk.connected()) {
            // What is old moves nothing.
            desk.live().map(Report::lambda).ifPresent(session.at()::cursor);
        } else {
            stream.lambda((now - began) / 1e9).ifPresent(session.at()::cursor);
        }
    }
}
