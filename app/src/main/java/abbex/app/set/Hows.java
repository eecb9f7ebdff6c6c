package abbex.app.set;

import abbex.core.setting.How;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What was done at an adjuster, as it is kept: {@code -}, {@code t9/4}, {@code a241.3>248.2} in kPa or {@code s5000000>10000000} in nanometres. */
final class Hows {
    private Hows() {}

    static String code(How how) {
        if (how instanceof How.Turns turns) {
            return "t" + turns.parts() + "/" + turns.perTurn();
        }
        if (how instanceof How.Swap swap) {
            return "s" + pieces(swap.out()) + ">" + pieces(swap.in());
        }
        if (how instanceof How.Air air) {
            return "a" + air.from().kPa() + ">" + air.to().kPa();
        }
        return "-";
    }

    private static String pieces(List<Length> pieces) {
        return pieces.stream().map(p -> Long.toString(p.nm())).collect(Collectors.joining(","));
    }

    static How of(String code) {
        if (code.startsWith("t")) {
            String[] parts = code.substring(1).split("/");
            return new How.Turns(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]));
        }
        if (code.startsWith("s")) {
            String[] sides = code.substring(1).split(">", -1);
            return new How.Swap(lengths(sides[0]), lengths(sides[1]));
        }
        if (code.startsWith("a")) {
            String[] sides = code.substring(1).split(">");
            return new How.Air(new Pressure(Double.parseDouble(sides[0])), new Pressure(Double.parseDouble(sides[1])));
        }
        return How.LEAVE;
    }

    private static List<Length> lengths(String pieces) {
        return Stream.of(pieces.split(","))
                .filter(p -> !p.isEmpty())
                .map(p -> Length.ofNm(Long.parseLong(p)))
                .toList();
    }
}
