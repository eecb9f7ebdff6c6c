package abbex.app.measure;

/**
 * How far the measuring of a job is.
 *
 * @param summary end to end, such as {@code front ↓ 1 1/4, rear ↓ 7/8}; empty when nothing can be told
 * @param act what to do next, in words
 * @param path where that is done, below the stay's address
 * @param detail a line more about it; may be empty
 * @param mark the mark of the worst finding: clear, look, open or empty
 * @param readings how many readings stand
 * @param complete true when everything that was read before was read again
 */
public record Progress(
        String summary, String act, String path, String detail, String mark, int readings, boolean complete) {}
