package abbex.core.day;

/** From a minute to a minute, the last one not in it. */
public record Span(int from, int to) {
    public Span {
        if (from > to) {
            throw new IllegalArgumentException("a span ends before it begins: " + from + " to " + to);
        }
    }

    public int minutes() {
        return to - from;
    }

    public boolean meets(Span other) {
        return from < other.to && other.from < to;
    }

    public boolean holds(int minute) {
        return from <= minute && minute < to;
    }
}
