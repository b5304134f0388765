package amberheron.bench;

import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.core.controller.StreamFormat;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.util.concurrent.locks.LockSupport;

/**
 * Result of reading as many lines as a controller sends in a day, as fast as possible.
 *
 * @param grown bytes more on the heap afterwards than before
 */
public record DayOfStream(long lines, double seconds, long grown) {
    private static final int BLOCK = 1000;

    /** Reads so many lines. */
    public static DayOfStream read(int lines) {
        StringBuilder block = new StringBuilder();
        for (int i = 0; i < BLOCK; i++) {
            block.append(StreamFormat.write(new Report(i * 0.01, State.READY, 1 + i * 1e-4, 0.207, 2.5, 12.4)))
                    .append('\n');
        }
        byte[] bytes = block.toString().getBytes(StandardCharsets.UTF_8);
        long before = heap();
        long begun = System.nanoTime();
        long heard;
        try (ControllerLink link = new ControllerLink(new Repeated(bytes, lines / BLOCK), StreamFormat.OWN,
                InstantSource.system())) {
            while (link.heard().fault().isEmpty()) {
                LockSupport.parkNanos(10_000_000);
            }
            heard = link.heard().lines();
        }
        double seconds = (System.nanoTime() - begun) / 1e9;
        return new DayOfStream(heard, seconds, heap() - before);
    }

    private static long heap() {
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        return runtime.totalMemory() - runtime.freeMemory();
    }

    /** A line that sends the same block again and again, and then hangs up. */
    private static final class Repeated extends InputStream implements ControllerLink.Line, ControllerLink.Open {
        private final byte[] block;
        private final long all;
        private long said;

        Repeated(byte[] block, int times) {
            this.block = block;
            this.all = (long) block.length * times;
        }

        @Override
        public String name() {
            return "a day";
        }

        @Override
        public ControllerLink.Open open() {
            return this;
        }

        @Override
        public InputStream in() {
            return this;
        }

        @Override
        public OutputStream out() {
            return OutputStream.nullOutputStream();
        }

        @Override
        public int read() {
            return said == all ? -1 : block[(int) (said++ % block.length)];
        }

        @Override
        public int read(byte[] into, int from, int length) {
            int at = (int) (said % block.length);
            int more = (int) Math.min(Math.min(length, block.length - at), all - said);
            System.arraycopy(block, at, into, from, more);
            said += more;
            return more == 0 && length > 0 ? -1 : more;
        }

        @Override
        public void close() {
            // Nothing is held.
        }
    }
}
