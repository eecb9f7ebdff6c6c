package abbex.core.parts;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The list of pieces that a kit came with when it was new, as it is copied from its sheet: a piece a line, its number before or after. */
public final class MakersList {
    /** A number that a unit follows belongs to the name. */
    private static final Pattern BEFORE = Pattern.compile(
            "(\\d{1,2})\\s*(?:[x×*]\\s*|pcs?[.]?\\s+|\\s(?!(?:mm|cm|in|inch|deg|kg|lb|psi)\\b))(\\D.*)");

    private static final Pattern AFTER =
            Pattern.compile("(.*\\D)\\s*[,;]?\\s+[x×*]\\s*(\\d{1,2})|(.*\\D)[,;]\\s*(\\d{1,2})\\s*pcs?[.]?");

    private MakersList() {}

    /** A piece of the list and how many of it there are, 1 or more. */
    public record Piece(String name, int count) {}

    /** The pieces in their order; the same name twice is one piece of both numbers; empty lines and bullets say nothing. */
    public static List<Piece> read(String text) {
        Map<String, Integer> pieces = new LinkedHashMap<>();
        text.lines()
                .map(line -> line.strip().replaceAll("\\s+", " ").replaceFirst("^[-–•*](\\s+|$)", ""))
                .filter(line -> !line.isEmpty())
                .map(MakersList::piece)
                .forEach(piece -> pieces.merge(piece.name(), piece.count(), Integer::sum));
        return pieces.entrySet().stream()
                .map(e -> new Piece(e.getKey(), e.getValue()))
                .toList();
    }

    private static Piece piece(String line) {
        Matcher before = BEFORE.matcher(line);
        if (before.matches() && Integer.parseInt(before.group(1)) > 0) {
            return new Piece(before.group(2).strip(), Integer.parseInt(before.group(1)));
        }
        Matcher after = AFTER.matcher(line);
        if (after.matches()) {
            String name = after.group(1) == null ? after.group(3) : after.group(1);
            int count = Integer.parseInt(after.group(2) == null ? after.group(4) : after.group(2));
            if (count > 0) {
                return new Piece(name.strip().replaceFirst("[,;]$", "").strip(), count);
            }
        }
        return new Piece(line, 1);
    }
}
