package abbex.app.store;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What was answered to what counts once. An answer may show a password that is shown once: it is sealed under the id, which
 * only the page has that sent it, and goes after an hour; that it was done is known for a month.
 */
@Component
class SentAnswers {
    private static final Duration ANSWERED = Duration.ofHours(1);
    private static final Duration KNOWN = Duration.ofDays(30);

    /** Answers that are larger are told by the page that stands above them. */
    private static final int MOST = 1 << 20;

    private static final int NONCE = 12;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final JdbcClient jdbc;
    private final Clock clock;

    SentAnswers(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Headers that are part of an answer; all others are the same for every page, or of the session. */
    static boolean tells(String header, String value) {
        String name = header.toLowerCase(Locale.ROOT);
        return name.equals("location")
                || name.startsWith("hx-")
                || name.startsWith("x-abbex-")
                || name.equals("set-cookie") && value.startsWith("abbex-");
    }

    /**
     * What was answered.
     *
     * @param headers names and values by turns
     */
    record Answer(int status, String type, List<String> headers, byte[] body) {
        void send(HttpServletRequest request, HttpServletResponse response) throws IOException {
            response.setStatus(status);
            for (int i = 0; i < headers.size(); i += 2) {
                response.addHeader(headers.get(i), headers.get(i + 1));
            }
            if (status == 0) {
                response.setStatus(HttpServletResponse.SC_SEE_OTHER);
                String to = request.getRequestURI();
                response.setHeader("Location", to.substring(0, Math.max(1, to.lastIndexOf('/'))));
            }
            if (!type.isEmpty()) {
                response.setContentType(type);
            }
            response.getOutputStream().write(body);
        }
    }

    /** Its answer is gone: it was done, and the page above it shows what came of it. */
    private static final Answer DONE = new Answer(0, "", List.of(), new byte[0]);

    /** Empty when this is the first; whoever has it holds it until the transaction ends, and a second one waits. */
    Optional<Answer> claim(SentId id) {
        try {
            jdbc.sql("insert into sent (id, at) values (:id, :at)")
                    .param("id", id.digest())
                    .param("at", Times.column(clock.instant()))
                    .update();
        } catch (DuplicateKeyException before) {
            byte @Nullable [] answer = jdbc.sql("select coalesce(answer, '') from sent where id = :id")
                    .param("id", id.digest())
                    .query(byte[].class)
                    .single();
            return Optional.of(answer == null || answer.length == 0 ? DONE : opened(id, answer));
        }
        if (id.digest()[0] == 0) {
            prune();
        }
        return Optional.empty();
    }

    void forget(SentId id) {
        jdbc.sql("delete from sent where id = :id").param("id", id.digest()).update();
    }

    void keep(SentId id, Answer answer) {
        if (answer.body().length <= MOST) {
            jdbc.sql("update sent set answer = :answer where id = :id")
                    .param("id", id.digest())
                    .param("answer", sealed(id, answer))
                    .update();
        }
    }

    private void prune() {
        jdbc.sql("update sent set answer = null where at < :since and answer is not null limit 2000")
                .param("since", Times.column(clock.instant().minus(ANSWERED)))
                .update();
        jdbc.sql("delete from sent where at < :since limit 2000")
                .param("since", Times.column(clock.instant().minus(KNOWN)))
                .update();
    }

    private static byte[] sealed(SentId id, Answer answer) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(new GZIPOutputStream(bytes))) {
            out.writeInt(answer.status());
            out.writeUTF(answer.type());
            out.writeInt(answer.headers().size());
            for (String text : answer.headers()) {
                out.writeUTF(text);
            }
            out.writeInt(answer.body().length);
            out.write(answer.body());
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        byte[] nonce = new byte[NONCE];
        RANDOM.nextBytes(nonce);
        byte[] hidden = cipher(Cipher.ENCRYPT_MODE, id, nonce, bytes.toByteArray());
        byte[] all = Arrays.copyOf(nonce, NONCE + hidden.length);
        System.arraycopy(hidden, 0, all, NONCE, hidden.length);
        return all;
    }

    private static Answer opened(SentId id, byte[] sealed) {
        byte[] bytes = cipher(
                Cipher.DECRYPT_MODE,
                id,
                Arrays.copyOf(sealed, NONCE),
                Arrays.copyOfRange(sealed, NONCE, sealed.length));
        try (DataInputStream in = new DataInputStream(new GZIPInputStream(new ByteArrayInputStream(bytes)))) {
            int status = in.readInt();
            String type = in.readUTF();
            List<String> headers = new ArrayList<>();
            for (int n = in.readInt(); n > 0; n--) {
                headers.add(in.readUTF());
            }
            return new Answer(status, type, headers, in.readNBytes(in.readInt()));
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
    }

    private static byte[] cipher(int mode, SentId id, byte[] nonce, byte[] bytes) {
        byte[] key = Sha256.of(("answer " + id.text()).getBytes(StandardCharsets.UTF_8));
        try {
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(mode, new SecretKeySpec(key, "AES"), new GCMParameterSpec(128, nonce));
            return cipher.doFinal(bytes);
        } catch (GeneralSecurityException never) {
            throw new IllegalStateException(never);
        }
    }
}
