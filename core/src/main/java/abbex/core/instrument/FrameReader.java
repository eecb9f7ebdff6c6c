package abbex.core.instrument;

import java.util.function.Consumer;

/**
 * Lines out of bytes as they come in, however they are cut. It keeps no more than one frame: of a longer line the rest is passed
 * over until its end, and the whole is one bad line.
 */
public final class FrameReader {
    private final char[] kept = new char[FrameText.LONGEST + 2];
    private final Consumer<FrameParse> to;
    private int length;

    public FrameReader(Consumer<FrameParse> to) {
        this.to = to;
    }

    public void feed(byte[] bytes, int count) {
        for (int i = 0; i < count; i++) {
            if (bytes[i] == '\n') {
                end();
            } else if (length < kept.length) {
                kept[length++] = (char) (bytes[i] & 0xFF);
            }
        }
    }

    private void end() {
        int used = length > 0 && kept[length - 1] == '\r' ? length - 1 : length;
        if (used > 0) {
            to.accept(FrameText.parse(new String(kept, 0, used)));
        }
        length = 0;
    }
}
