package abbex.app.api;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** An object with a number for each of the four corners, as requests and answers hold it. */
final class PerCorner {
    static final List<String> CORNERS = List.of("LF", "RF", "RR", "LR");

    private PerCorner() {}

    /** In the order of the corners; none where the object is not there. */
    static Optional<double[]> of(Fields fields, String name, double least, double most, String like) {
        return fields.object(name, CORNERS).map(each -> {
            double[] all = new double[CORNERS.size()];
            for (int c = 0; c < all.length; c++) {
                all[c] = KitAnswer.needed(each, CORNERS.get(c), least, most, like);
            }
            return all;
        });
    }

    static double[] needed(Fields fields, String name, double least, double most, String like) {
        return of(fields, name, least, most, like)
                .orElseThrow(
                        () -> ApiProblem.field(fields.at(name), "", "api.field.object", "{\"LF\": " + like + ", …}"));
    }

    static double[] or(Fields fields, String name, double least, double most, double usual) {
        return of(fields, name, least, most, String.valueOf(usual)).orElse(new double[] {usual, usual, usual, usual});
    }

    static Map<String, BigDecimal> rounded(double[] all, int decimals) {
        Map<String, BigDecimal> each = new LinkedHashMap<>();
        for (int c = 0; c < all.length; c++) {
            each.put(CORNERS.get(c), TyreAnswer.round(all[c], decimals));
        }
        return each;
    }
}
