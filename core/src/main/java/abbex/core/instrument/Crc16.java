package abbex.core.instrument;

/** Of letters of one byte: CRC-16 with the polynomial 0x1021, begun with 0xFFFF, not reflected (ITU-T V.41's polynomial; check value 0x29B1). */
final class Crc16 {
    private static final int POLYNOMIAL = 0x1021;
    private static final int BEGIN = 0xFFFF;

    private Crc16() {}

    static int of(String text) {
        int crc = BEGIN;
        for (int i = 0; i < text.length(); i++) {
            crc ^= (text.charAt(i) & 0xFF) << 8;
            for (int bit = 0; bit < 8; bit++) {
                crc = (crc & 0x8000) != 0 ? (crc << 1 ^ POLYNOMIAL) & 0xFFFF : crc << 1 & 0xFFFF;
            }
        }
        return crc;
    }
}
