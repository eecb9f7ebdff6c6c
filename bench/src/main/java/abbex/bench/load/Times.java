package abbex.bench.load;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.stream.DoubleStream;

/** What many hands measured, put together. */
final class Times {
    private Times() {}

    /** The median and the 95th percentile of all of it, in the unit that it came in. */
    static double[] medianAndP95(List<Future<double[]>> all) throws InterruptedException, ExecutionException {
        double[] times = new double[0];
        for (Future<double[]> one : all) {
            times = DoubleStream.concat(Arrays.stream(times), Arrays.stream(one.get()))
                    .toArray();
        }
        Arrays.sort(times);
        return new double[] {times[times.length / 2], times[(int) (times.length * 0.95)]};
    }
}
