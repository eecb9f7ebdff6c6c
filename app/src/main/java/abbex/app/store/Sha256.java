package abbex.app.store;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 (FIPS 180-4), which every Java has. */
public final class Sha256 {
    private Sha256() {}

    /** A fresh one, to be fed by parts. */
    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }

    /** 32 bytes. */
    public static byte[] of(byte[] bytes) {
        return digest().digest(bytes);
    }

    /** Of a text in UTF-8, as 64 lower-case hexadecimal digits. */
    public static String hex(String text) {
        return HexFormat.of().formatHex(of(text.getBytes(StandardCharsets.UTF_8)));
    }
}
