package abbex.app.store;

import abbex.app.store.Stamps.OfShop;
import abbex.app.store.Stamps.Stamp;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What was read, so that it is read once: one snapshot for a whole page, and beyond the page for as long as the stamp of what
 * was read stands. Where something is written, and where there is no request, the stamp is asked for each time. What a
 * reader answers is shared by all who ask and never changed by them.
 */
@Component
public class Reads {
    private static final String NAME = Reads.class.getName();

    /** Under a question its newest answer alone: one of an older stamp is asked for by nobody, and would keep newer ones out. */
    private record Kept(Object stamp, Object answer) {}

    private record Asked(List<?> question, Object stamp) {}

    private final Stamps stamps;
    private final Cache<List<?>, Kept> kept = Caffeine.newBuilder()
            .maximumSize(4000)
            .expireAfterAccess(Duration.ofMinutes(30))
            .softValues()
            .build();

    Reads(Stamps stamps) {
        this.stamps = stamps;
    }

    /**
     * Once a request.
     *
     * @param question the reader's class and all that it asks by, shop first
     */
    public <T> T once(List<?> question, Supplier<T> read) {
        Map<Object, Object> known = request();
        if (known == null) {
            return read.get();
        }
        @SuppressWarnings("unchecked")
        T answer = (T) known.get(question);
        if (answer == null) {
            answer = read.get();
            known.put(question, answer);
        }
        return answer;
    }

    /** Once while neither the vehicle of a stay nor its shop is written of; the question names the stay where it matters. */
    public <T> T ofJob(UUID shop, UUID job, List<?> question, Supplier<T> read) {
        return once(question, () -> keep(stampOfJob(shop, job), question, read));
    }

    /** Once while neither a vehicle, its stays and their sheets nor its shop are written of. */
    public <T> T ofVehicle(UUID shop, UUID vehicle, List<?> question, Supplier<T> read) {
        return once(question, () -> keep(stampOf(shop, vehicle), question, read));
    }

    /** Once while a shop sets nothing else; people's readings do not count. */
    public <T> T ofShop(UUID shop, List<?> question, Supplier<T> read) {
        return once(question, () -> keep(Optional.of(stampOf(shop).set()), question, read));
    }

    /** The same where it matters too what two people read at one place. */
    public <T> T ofShopAndRepeats(UUID shop, List<?> question, Supplier<T> read) {
        return once(question, () -> keep(Optional.of(stampOf(shop)), question, read));
    }

    /** Once while no stay and no vehicle of a shop is written of. */
    public <T> T ofFinds(UUID shop, List<?> question, Supplier<T> read) {
        return once(question, () -> keep(Optional.of(stamps.ofFinds(shop)), question, read));
    }

    /** Grows with whatever is written of the vehicle of a stay; 0 for a stay that the shop does not have. */
    public long stamp(UUID shop, UUID job) {
        return stampOfJob(shop, job).map(Stamp::vehicle).orElse(0L);
    }

    @SuppressWarnings("unchecked")
    private <T> T keep(Optional<?> stamp, List<?> question, Supplier<T> read) {
        if (stamp.isEmpty()) {
            return read.get();
        }
        Kept had = kept.getIfPresent(question);
        if (had != null && had.stamp().equals(stamp.get())) {
            return (T) had.answer();
        }
        Map<Object, Object> here = underWay();
        // What a transaction reads of its own writes is not so yet, and may never be: it is kept no longer than that.
        Asked asked = new Asked(question, stamp.get());
        if (here != null && here.get(asked) != null) {
            return (T) here.get(asked);
        }
        T answer = read.get();
        if (here != null) {
            here.put(asked, answer);
        } else {
            kept.put(question, new Kept(stamp.get(), answer));
        }
        return answer;
    }

    private Optional<Stamp> stampOfJob(UUID shop, UUID job) {
        Optional<Stamp> stamp = once(List.of(Stamps.class, "job", shop, job), () -> stamps.ofJob(shop, job));
        Map<Object, Object> known = request();
        if (known != null) {
            stamp.ifPresent(of -> {
                known.putIfAbsent(List.of(Stamps.class, "vehicle", shop, of.id()), stamp);
                known.putIfAbsent(List.of(Stamps.class, shop), of.shop());
            });
        }
        return stamp;
    }

    private Optional<Stamp> stampOf(UUID shop, UUID vehicle) {
        return once(List.of(Stamps.class, "vehicle", shop, vehicle), () -> stamps.ofVehicle(shop, vehicle));
    }

    private OfShop stampOf(UUID shop) {
        return once(List.of(Stamps.class, shop), () -> stamps.ofShop(shop));
    }

    /** What the transaction that is under way has read; null where there is none. */
    @SuppressWarnings("unchecked")
    private static @Nullable Map<Object, Object> underWay() {
        if (!TransactionSynchronizationManager.isActualTransactionActive()) {
            return null;
        }
        Map<Object, Object> known = (Map<Object, Object>) TransactionSynchronizationManager.getResource(Reads.class);
        if (known == null) {
            Map<Object, Object> fresh = new HashMap<>();
            TransactionSynchronizationManager.bindResource(Reads.class, fresh);
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResourceIfPossible(Reads.class);
                }
            });
            return fresh;
        }
        return known;
    }

    /** What this request has read; null where everything is read when it is asked for. */
    @SuppressWarnings("unchecked")
    private static @Nullable Map<Object, Object> request() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (!(request instanceof ServletRequestAttributes servlet)
                || !servlet.getRequest().getMethod().equals("GET")) {
            return null;
        }
        Map<Object, Object> known = (Map<Object, Object>) request.getAttribute(NAME, RequestAttributes.SCOPE_REQUEST);
        if (known == null) {
            known = new HashMap<>();
            request.setAttribute(NAME, known, RequestAttributes.SCOPE_REQUEST);
        }
        return known;
    }
}
