package app.yellowtab.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.util.List;

/**
 * How long a piece of work took, and how much of the heap was in use at its worst moment.
 *
 * @param liveBytes the most that was still in use after a collection: what the work really needs
 */
public record Measure(double seconds, double peakBytes, double liveBytes) {
    /** A piece of work that is measured. */
    @FunctionalInterface
    public interface Work {
        void run() throws IOException;
    }

    public static Measure of(Work work) throws IOException {
        List<MemoryPoolMXBean> heap =
                ManagementFactory.getMemoryPoolMXBeans().stream().filter(pool -> pool.getType() == MemoryType.HEAP).toList();
        heap.forEach(MemoryPoolMXBean::resetPeakUsage);
        LiveHeap live = new LiveHeap();
        long begun = System.nanoTime();
        work.run();
        double seconds = (System.nanoTime() - begun) / 1e9;
        return new Measure(seconds, heap.stream().mapToLong(pool -> pool.getPeakUsage().getUsed()).sum(), live.end());
    }
}
