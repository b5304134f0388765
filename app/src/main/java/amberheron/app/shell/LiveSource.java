package amberheron.app.shell;

import amberheron.app.session.Session;

import amberheron.bench.ControllerStream;
import javafx.animation.AnimationTimer;

/** Moves the rule's cursor as a controller reports, once for each frame. */
final class LiveSource extends AnimationTimer {
    private final Session session;
    private final ControllerStream stream;
    private long began;
    private boolean running;

    LiveSource(Session session, ControllerStream stream) {
        this.session = session;
        this.stream = stream;
    }

    void toggle() {
        running = !running;
        began = System.nanoTime();
        if (running) {
            start();
            session.tell("Rule follows the " + stream.name() + "; warming up. F8 stops it.");
        } else {
            stop();
            session.tell("Rule no longer follows the " + stream.name() + ".");
        }
    }

    @Override
    public void handle(long now) {
        stream.lambda((now - began) / 1e9).ifPresent(session::cursor);
    }
}
