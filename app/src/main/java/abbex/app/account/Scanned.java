package abbex.app.account;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/**
 * A code for a phone's camera (ISO/IEC 18004), as squares of one unit with the quiet zone of four around it.
 *
 * @param side units
 * @param path SVG path data of the dark squares
 */
record Scanned(int side, String path) {
    private static final int QUIET = 4;

    /** The key of a person's codes, in the address that such programs read. */
    static Scanned key(String secret, String signInName) {
        String label = "Abbex:" + URLEncoder.encode(signInName, StandardCharsets.UTF_8);
        return of("otpauth://totp/" + label + "?secret=" + secret + "&issuer=Abbex&algorithm=SHA1&digits=6&period=30");
    }

    static Scanned of(String text) {
        try {
            BitMatrix dark =
                    new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, QUIET));
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < dark.getHeight(); y++) {
                for (int x = 0; x < dark.getWidth(); x++) {
                    if (dark.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new Scanned(dark.getWidth(), path.toString());
        } catch (WriterException e) {
            throw new IllegalArgumentException(e);
        }
    }
}
