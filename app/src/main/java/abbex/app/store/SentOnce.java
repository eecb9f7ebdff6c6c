package abbex.app.store;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.DefaultTransactionDefinition;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is sent under an id counts once, and is answered twice alike: all that an act writes and the row that says it was
 * done become so in one transaction, and its answer leaves only after that. A second one waits for the first.
 *
 * <p>The same id with other content is another act: somebody went back and changed what was refused or stored. What is
 * refused (400 and above) was not done, and may be sent again.
 */
@Configuration
public class SentOnce {
    /** The field that every form carries. */
    public static final String FIELD = "_sent";

    /** How often an act is begun anew that the database gave up for another's sake. */
    private static final int TRIES = 3;

    /** The last before the page itself, so that it knows who asks, and can ask the page again. */
    @Bean
    FilterRegistrationBean<OncePerRequestFilter> onceFilter(
            SentAnswers answers, PlatformTransactionManager transactions) {
        FilterRegistrationBean<OncePerRequestFilter> filter =
                new FilterRegistrationBean<>(new Once(answers, transactions));
        filter.setOrder(Ordered.LOWEST_PRECEDENCE);
        return filter;
    }

    private static final class Once extends OncePerRequestFilter {
        private final SentAnswers answers;
        private final PlatformTransactionManager transactions;
        private final TransactionDefinition apart;
        private final Map<String, ReentrantLock> underWay = new ConcurrentHashMap<>();

        Once(SentAnswers answers, PlatformTransactionManager transactions) {
            this.answers = answers;
            this.transactions = transactions;
            // Every statement sees what others have finished, as without a transaction around it.
            DefaultTransactionDefinition definition = new DefaultTransactionDefinition();
            definition.setIsolationLevel(TransactionDefinition.ISOLATION_READ_COMMITTED);
            apart = definition;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            Optional<SentId> id = SentId.of(request);
            if (id.isEmpty()) {
                chain.doFilter(request, response);
                return;
            }
            // A second one waits here, where it holds no connection.
            String key = HexFormat.of().formatHex(id.get().digest());
            ReentrantLock one = underWay.computeIfAbsent(key, k -> new ReentrantLock());
            one.lock();
            try {
                tried(id.get(), request, response, chain);
            } finally {
                if (!one.hasQueuedThreads()) {
                    underWay.remove(key, one);
                }
                one.unlock();
            }
        }

        private void tried(SentId id, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            for (int n = 1; ; n++) {
                try {
                    once(id, request, response, chain);
                    return;
                } catch (ServletException | RuntimeException e) {
                    if (n == TRIES || !givenUp(e) || SentId.inParts(request)) {
                        throw e;
                    }
                    response.resetBuffer();
                }
            }
        }

        private void once(SentId id, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            HeldAnswer held = new HeldAnswer(response);
            TransactionStatus act = transactions.getTransaction(apart);
            Optional<SentAnswers.Answer> before;
            try {
                before = answers.claim(id);
                if (before.isEmpty()) {
                    chain.doFilter(request, held);
                    if (held.refused()) {
                        answers.forget(id);
                    } else {
                        answers.keep(id, held.answer());
                    }
                }
            } catch (ServletException | IOException | RuntimeException | Error e) {
                transactions.rollback(act);
                throw e;
            }
            if (held.refused() && act.isRollbackOnly()) {
                transactions.rollback(act);
            } else {
                transactions.commit(act);
            }
            if (before.isPresent()) {
                before.get().send(request, response);
            } else {
                held.send();
            }
        }

        private static boolean givenUp(Throwable thrown) {
            for (Throwable t = thrown; t != null; t = t.getCause()) {
                if (t instanceof PessimisticLockingFailureException) {
                    return true;
                }
            }
            return false;
        }
    }
}
