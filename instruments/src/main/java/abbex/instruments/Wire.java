package abbex.instruments;

import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** Frames as docs/instruments.md has them, written here once more: the application reads them by its own hand. */
final class Wire {
    private Wire() {}

    static String frame(String body) {
        return "{" + body + "*" + String.format(Locale.ROOT, "%04X", checksum(body)) + "}\n";
    }

    /** The body of an answer; empty for what is none. */
    static String body(String line) {
        int star = line.lastIndexOf('*');
        if (!line.startsWith("{") || !line.endsWith("}") || star < 0 || line.length() != star + 6) {
            return "";
        }
        String body = line.substring(1, star);
        return line.substring(star + 1, star + 5).equals(String.format(Locale.ROOT, "%04X", checksum(body)))
                ? body
                : "";
    }

    /** CRC-16, polynomial 0x1021, begun with 0xFFFF; by a table, the application's goes bit by bit. */
    private static int checksum(String text) {
        int crc = 0xFFFF;
        for (byte b : text.getBytes(StandardCharsets.ISO_8859_1)) {
            crc = (crc << 8 ^ TABLE[(crc >> 8 ^ b) & 0xFF]) & 0xFFFF;
        }
        return crc;
    }

    private static final int[] TABLE = new int[256];

    static {
        for (int i = 0; i < TABLE.length; i++) {
            int crc = i << 8;
            for (int bit = 0; bit < 8; bit++) {
                crc = crc << 1 ^ ((crc & 0x8000) == 0 ? 0 : 0x1021);
            }
            TABLE[i] = crc & 0xFFFF;
        }
    }
}
