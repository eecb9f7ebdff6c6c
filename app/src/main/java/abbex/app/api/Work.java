package abbex.app.api;

import abbex.app.store.Busy;
import java.util.Map;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What computes for other programs: beside the pages of the shop on all processors but one, each request within a deadline,
 * and of one caller one long request at a time.
 */
@Component
class Work implements DisposableBean {
    private static final int WAITING = 64;
    private static final long SHORT_MILLIS = 50;

    private final long deadlineMillis;
    private final Map<String, Semaphore> long_ = new ConcurrentHashMap<>();
    private final ThreadPoolExecutor pool;

    Work(@Value("${abbex.api.deadline-millis}") long deadlineMillis) {
        this.deadlineMillis = deadlineMillis;
        int threads = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
        pool = new ThreadPoolExecutor(
                threads, threads, 1, TimeUnit.MINUTES, new ArrayBlockingQueue<>(WAITING), task -> {
                    Thread thread = new Thread(task, "compute");
                    thread.setDaemon(true);
                    return thread;
                });
    }

    /**
     * The answer of some work.
     *
     * @param caller for whom
     * @throws ApiProblem 422 when it takes too long, 429 when another long one of the caller's is at work
     * @throws Busy when more waits than will be worked on soon
     */
    Object done(String caller, Callable<Object> work) {
        CountDownLatch begun = new CountDownLatch(1);
        Future<Object> answer;
        try {
            answer = pool.submit(() -> {
                begun.countDown();
                return work.call();
            });
        } catch (RejectedExecutionException full) {
            throw new Busy();
        }
        try {
            if (!begun.await(deadlineMillis, TimeUnit.MILLISECONDS)) {
                throw new Busy();
            }
            return within(caller, answer);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Busy();
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof RuntimeException own) {
                throw own;
            }
            throw new IllegalStateException(failed.getCause());
        } finally {
            // No matter once it is done; what is still at work is told that nobody waits.
            answer.cancel(true);
        }
    }

    private Object within(String caller, Future<Object> answer) throws InterruptedException, ExecutionException {
        try {
            return answer.get(SHORT_MILLIS, TimeUnit.MILLISECONDS);
        } catch (TimeoutException longer) {
            Semaphore own = long_.computeIfAbsent(caller, c -> new Semaphore(1));
            if (!own.tryAcquire()) {
                throw ApiProblem.of(429, "api.one-long");
            }
            try {
                return answer.get(deadlineMillis, TimeUnit.MILLISECONDS);
            } catch (TimeoutException tooLong) {
                throw ApiProblem.of(422, "api.too-much", "seconds", deadlineMillis / 1000);
            } finally {
                own.release();
            }
        }
    }

    @Override
    public void destroy() {
        pool.shutdownNow();
    }
}
