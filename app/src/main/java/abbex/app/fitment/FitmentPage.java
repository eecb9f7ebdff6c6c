package abbex.app.fitment;

import abbex.app.drawing.EdgeDrawing;
import abbex.app.drawing.SectionDrawing;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreChange;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.WheelChange;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The wheels of a vehicle now and planned, as one page and the sheet show them; every text is safe for a page.
 *
 * @param compared the names of the two sets; empty when there are not two
 */
public record FitmentPage(String compared, List<EndView> ends, List<Words.Said> says) {
    /**
     * One end.
     *
     * @param now what stands there, as it is written
     * @param planned what is to stand there
     * @param was its section; null when it is not known
     * @param is the planned one's
     * @param box the part of the drawing that is shown
     * @param edges what moves where; null where one of both is not known
     */
    public record EndView(
            String name,
            String now,
            String planned,
            @Nullable SectionDrawing was,
            @Nullable SectionDrawing is,
            String box,
            @Nullable EdgeDrawing edges,
            List<Line> lines) {
        /** The same wheels as at another end, then and now. */
        boolean alike(EndView other) {
            return now.equals(other.now) && planned.equals(other.planned);
        }

        EndView called(String both) {
            return new EndView(both, now, planned, was, is, box, edges, lines);
        }
    }

    /**
     * A figure with how it came about.
     *
     * @param other the same in the other unit; empty where there is none
     */
    public record Line(String name, String value, String other, List<String> how) {
        /** For the text of a drawing. */
        public String drawn() {
            return Numerals.inDrawing(value);
        }

        /** The same of the other unit. */
        public String drawnOther() {
            return Numerals.inDrawing(other);
        }
    }

    /** Compares what stands on the vehicle with a planned set; either may be missing. */
    static FitmentPage of(
            List<WheelSet> sets, Optional<WheelSet> planned, boolean dualRear, Reader reader, Words words) {
        Optional<WheelSet> now = now(sets);
        List<EndView> ends = new ArrayList<>();
        Maker make = new Maker(reader, words);
        for (End end : End.values()) {
            Optional<Fitment> was = now.flatMap(s -> s.fitment(end));
            Optional<Fitment> is = planned.flatMap(s -> s.fitment(end));
            Optional<WheelChange> change = change(sets, planned, dualRear, end);
            Optional<TyreChange> tyres = tyres(sets, planned, dualRear, end);
            if (was.isPresent() || is.isPresent() || tyres.isPresent()) {
                ends.add(new EndView(
                        Words.capital(words.word(end, reader)),
                        was.map(Maker::text).orElseGet(() -> tyre(now, end)),
                        is.map(Maker::text).orElseGet(() -> tyre(planned, end)),
                        was.map(SectionDrawing::of).orElse(null),
                        is.map(SectionDrawing::of).orElse(null),
                        box(Stream.of(was, is).flatMap(Optional::stream).toList()),
                        was.isPresent() && is.isPresent() ? EdgeDrawing.of(was.get(), is.get()) : null,
                        change.map(make::lines).or(() -> tyres.map(make::lines)).orElse(List.of())));
            }
        }
        if (ends.size() == 2 && ends.get(0).alike(ends.get(1))) {
            EndView both = ends.get(0).called(words.say("fitment.both"));
            ends.clear();
            ends.add(both);
        }
        String compared = now.isPresent() && planned.isPresent()
                ? planned.get().name() + " " + words.say("fitment.against") + " "
                        + now.get().name()
                : "";
        return new FitmentPage(compared, ends, words.findings(findings(sets, planned, dualRear), reader));
    }

    private static Optional<WheelSet> now(List<WheelSet> sets) {
        return WheelSets.first(sets, WheelSet.Use.NOW).or(() -> WheelSets.first(sets, WheelSet.Use.NEW));
    }

    private static Optional<WheelChange> change(
            List<WheelSet> sets, Optional<WheelSet> planned, boolean dualRear, End end) {
        Optional<TyreSize> fromNew = WheelSets.first(sets, WheelSet.Use.NEW).flatMap(s -> s.tyre(end));
        return now(sets)
                .flatMap(s -> s.fitment(end))
                .flatMap(was -> planned.flatMap(s -> s.fitment(end))
                        .map(is -> WheelChange.between(end, was, is, fromNew, dualRear && end == End.REAR)));
    }

    /** The tyres alone, where one end's wheel is not known; empty where both are, or a tyre is not. */
    private static Optional<TyreChange> tyres(
            List<WheelSet> sets, Optional<WheelSet> planned, boolean dualRear, End end) {
        if (change(sets, planned, dualRear, end).isPresent()) {
            return Optional.empty();
        }
        Optional<TyreSize> fromNew = WheelSets.first(sets, WheelSet.Use.NEW).flatMap(s -> s.tyre(end));
        return now(sets)
                .flatMap(s -> s.tyre(end))
                .flatMap(was -> planned.flatMap(s -> s.tyre(end))
                        .map(is -> TyreChange.between(end, was, is, fromNew.orElse(was), dualRear && end == End.REAR)));
    }

    private static String tyre(Optional<WheelSet> set, End end) {
        return set.flatMap(s -> s.tyre(end)).map(TyreSize::text).orElse("");
    }

    /** The sets that are compared whose tyre is known at an end and whose wheel is not. */
    private static List<Finding> wheelless(List<WheelSet> sets, Optional<WheelSet> planned, End end) {
        return planned.or(() -> now(sets)).stream()
                .filter(s -> s.fitment(end).isEmpty())
                .flatMap(s -> s.tyre(end).stream())
                .map(tyre -> (Finding) TyreChange.wheelNeeded(end, tyre))
                .toList();
    }

    /** What the change and the hubs have to say, worst first. */
    static List<Finding> findings(List<WheelSet> sets, Optional<WheelSet> planned, boolean dualRear) {
        List<Finding> findings = new ArrayList<>();
        for (End end : End.values()) {
            change(sets, planned, dualRear, end).ifPresent(c -> findings.addAll(c.findings()));
            tyres(sets, planned, dualRear, end).ifPresent(c -> findings.addAll(c.findings()));
            findings.addAll(wheelless(sets, planned, end));
            planned.or(() -> now(sets))
                    .ifPresent(s -> findings.addAll(s.hub(end).check(end, s.spaced(end))));
        }
        findings.sort(Finding.WORST_FIRST);
        return List.copyOf(findings);
    }

    /** From the hub to over the tread, as wide as the wider of both. */
    private static String box(List<Fitment> both) {
        double top = both.stream()
                        .mapToDouble(f -> f.tyre().overallDiameter().mm() / 2)
                        .max()
                        .orElse(320)
                + 24;
        double low = 44;
        double side = both.stream()
                        .mapToDouble(f -> Math.abs(f.wheel().effectiveOffset().mm())
                                + f.tyre().sectionWidth(f.wheel().width()).mm() / 2)
                        .max()
                        .orElse(150)
                + 40;
        return String.format(Locale.ROOT, "%.1f %.1f %.1f %.1f", -side, -top, 2 * side, top - low);
    }

    /** Forms texts for one reader. */
    private record Maker(Reader reader, Words words) {
        static String text(Fitment fitment) {
            return fitment.tyre().text() + ", " + fitment.wheel().text();
        }

        List<Line> lines(WheelChange change) {
            return List.of(
                    edge("fitment.outer.edge", change.outerEdge(), "outward", "inward"),
                    edge("fitment.inner.edge", change.innerEdge(), "inward", "outward"),
                    edge("fitment.outer.wall", change.outerWall(), "outward", "inward"),
                    edge("fitment.inner.wall", change.innerWall(), "inward", "outward"),
                    edge("fitment.radius", change.radius(), "larger", "smaller"),
                    speedometer(change.speedometerPercent()));
        }

        List<Line> lines(TyreChange change) {
            return List.of(
                    edge("fitment.radius", change.radius(), "larger", "smaller"),
                    speedometer(change.speedometerPercent()));
        }

        private Line speedometer(Figure<Double> percent) {
            return new Line(words.say("fitment.speedometer"), percent(percent.value()), "", how(percent));
        }

        private Line edge(String key, Figure<Length> figure, String positive, String negative) {
            Length value = figure.value();
            String direction =
                    value.sign() == 0 ? "" : " " + words.say("fitment." + (value.sign() > 0 ? positive : negative));
            // Offsets are millimetres everywhere: who measures in inches has those behind the inches.
            String size = TapeText.result(value.abs(), Graduation.MILLIMETRE).text() + "\u00a0mm";
            return reader.unit().metric()
                    ? new Line(words.say(key), size + direction, "", how(figure))
                    : new Line(
                            words.say(key),
                            Numerals.html(Numerals.text(value.abs(), reader) + direction),
                            size,
                            how(figure));
        }

        private String percent(double percent) {
            String size = String.format(Locale.ROOT, "%.2f %%", Math.abs(percent));
            return size
                    + (Math.abs(percent) < 0.005 ? "" : " " + words.say(percent < 0 ? "fitment.low" : "fitment.high"));
        }

        private List<String> how(Figure<?> figure) {
            return words.reason(figure.reason(), reader).stream()
                    .map(Numerals::html)
                    .toList();
        }
    }

    /** True when there is nothing to show. */
    public boolean isEmpty() {
        return ends.isEmpty();
    }
}
