package abbex.app.store;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.Part;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * Under what an act was sent.
 *
 * @param text what the form carried, 8 to 36 hexadecimal digits and dashes
 * @param digest SHA-256 over the person, the address, the id and what was sent; 32 bytes
 */
record SentId(String text, byte[] digest) {
    private static final Pattern ID = Pattern.compile("[0-9a-f-]{8,36}");

    /** What differs between two that are the same, and what has an id of its own. */
    private static final Set<String> ASIDE = Set.of(SentOnce.FIELD, "_csrf", "_keeps");

    private static final String OWN_ID = "client";

    /** What is tried at a door is counted there, each time. */
    private static final Set<String> DOORS =
            Set.of("/sign-in", "/sign-out", "/hands", "/account/password", "/account/pin");

    /** Empty where nothing counts once: nobody is known, there is no id, or one that counts already. */
    static Optional<SentId> of(HttpServletRequest request) throws IOException, ServletException {
        String who = request.getRemoteUser();
        if (!request.getMethod().equals("POST") || who == null || DOORS.contains(request.getServletPath())) {
            return Optional.empty();
        }
        String id = request.getParameter(SentOnce.FIELD);
        if (id == null || !ID.matcher(id).matches() || request.getParameter(OWN_ID) != null) {
            return Optional.empty();
        }
        try {
            return Optional.of(new SentId(id, digest(who, id, request)));
        } catch (IllegalStateException tooLarge) {
            // It is refused by whoever reads it.
            return Optional.empty();
        }
    }

    static boolean inParts(HttpServletRequest request) {
        return String.valueOf(request.getContentType()).startsWith("multipart/");
    }

    private static byte[] digest(String who, String id, HttpServletRequest request)
            throws IOException, ServletException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream all = new DataOutputStream(bytes);
        text(all, who);
        text(all, request.getRequestURI());
        text(all, id);
        for (Map.Entry<String, String[]> field : new TreeMap<>(request.getParameterMap()).entrySet()) {
            if (!ASIDE.contains(field.getKey())) {
                text(all, field.getKey());
                for (String value : field.getValue()) {
                    text(all, value);
                }
            }
        }
        if (inParts(request)) {
            for (Part part : request.getParts()) {
                if (part.getSubmittedFileName() != null) {
                    text(all, part.getName());
                    all.write(Sha256.of(part.getInputStream().readAllBytes()));
                }
            }
        }
        return Sha256.of(bytes.toByteArray());
    }

    /** With its length, so that no two requests read alike. */
    private static void text(DataOutputStream all, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        all.writeInt(bytes.length);
        all.write(bytes);
    }
}
