package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.kit.KitField;
import abbex.app.kit.KitPlans;
import abbex.app.kit.KitValues;
import abbex.app.kit.StackSizes;
import abbex.app.kit.WishedHeights;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.kit.Stacks;
import abbex.core.kit.Wish;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What each wish needs of the ends, and what it costs in the others. */
@Component
class WishWords {
    private final WishedHeights wished;
    private final Words words;

    WishWords(WishedHeights wished, Words words) {
        this.wished = wished;
        this.words = words;
    }

    /** What is wished between the ends, and by which figure of the kit, each alone, it is met. */
    List<PlanPage.Wished> between(Job job, KitPlans.Planned planned, KitValues values, Reader reader) {
        return wished.of(job, planned, values).stream()
                .map(one -> new PlanPage.Wished(
                        Numerals.html(words.say(
                                "plan.between.wish",
                                reader,
                                "what",
                                Words.capital(words.word(one.of(), reader)),
                                "height",
                                one.wished())),
                        Numerals.html(ways(one, reader)),
                        one.met()))
                .toList();
    }

    private String ways(WishedHeights.Wished one, Reader reader) {
        if (one.met()) {
            return words.say("plan.wish.met");
        }
        if (one.settled().isEmpty()) {
            return words.say("plan.between.unmeasured");
        }
        return one.ways().isEmpty()
                ? words.say("plan.between.none")
                : one.ways().stream()
                        .map(way -> words.say(
                                "plan.between.way",
                                reader,
                                "end",
                                way.end(),
                                "figure",
                                words.say("plan.way." + way.field().name()),
                                "length",
                                way.figure()))
                        .collect(Collectors.joining(words.say("plan.between.or")));
    }

    List<PlanPage.WishView> of(KitPlans.Planned planned, KitValues values, Reader reader) {
        if (planned.drop(End.FRONT).isEmpty() || planned.drop(End.REAR).isEmpty()) {
            return List.of();
        }
        PerEnd<Double> down = PerEnd.of(end -> planned.drop(end).orElseThrow());
        PerEnd<Double> settled = PerEnd.of(
                end -> planned.plan().ends().get(end).orElseThrow().settled().value());
        PerEnd<OptionalDouble> stated = PerEnd.of(end -> values.at(end, KitField.WISHED_GAP)
                .map(told -> OptionalDouble.of(told.value()))
                .orElse(OptionalDouble.empty()));
        List<PlanPage.WishView> views = new ArrayList<>();
        for (Wish wish : Wish.values()) {
            PerEnd<Double> drops = wish == Wish.STATED ? settled : down;
            PerEnd<OptionalDouble> further = wish.further(planned.attitude(), drops, planned.gaps(), stated);
            if (wish != Wish.EQUAL_DROP && further.stream().anyMatch(OptionalDouble::isPresent)) {
                views.add(view(wish, planned, values, drops, further, reader));
            }
        }
        return views;
    }

    private PlanPage.WishView view(
            Wish wish,
            KitPlans.Planned planned,
            KitValues values,
            PerEnd<Double> drops,
            PerEnd<OptionalDouble> further,
            Reader reader) {
        List<String> needs = new ArrayList<>();
        List<String> costs = new ArrayList<>();
        boolean met = true;
        for (End end : End.values()) {
            if (further.get(end).isEmpty()) {
                continue;
            }
            double more = further.get(end).getAsDouble();
            met &= Wish.met(more);
            String by = words.say(
                    Wish.met(more) ? "plan.wish.met" : more > 0 ? "plan.wish.lower" : "plan.wish.higher",
                    reader,
                    "by",
                    Length.ofRoundedMm(Math.abs(more)));
            needs.add(
                    wish == Wish.STATED
                            ? words.say(end == End.FRONT ? "plan.wish.front" : "plan.wish.rear", reader, "by", by)
                            : by);
            if (!Wish.met(more)) {
                stack(planned, end, values, more, reader).ifPresent(costs::add);
            }
        }
        costs.addAll(costs(
                wish,
                planned.attitude()
                        .after(
                                drops.get(End.FRONT) + further.get(End.FRONT).orElse(0),
                                drops.get(End.REAR) + further.get(End.REAR).orElse(0)),
                reader));
        return new PlanPage.WishView(
                wish.name(),
                Words.capital(words.word(wish, reader)),
                Numerals.html(String.join(", ", needs)),
                Numerals.html(String.join(", ", costs)),
                met,
                values.raw(null, KitField.WISH).equals(wish.name()));
    }

    /** The sizes that there are for an end. */
    Optional<List<Stacks.Size>> sizes(End end, KitValues values) {
        return values.at(end, KitField.SIZES).flatMap(told -> StackSizes.read(told.raw()));
    }

    /** The stack that comes nearest to what an end needs; empty where nobody said what there is. */
    private Optional<String> stack(KitPlans.Planned planned, End end, KitValues values, double more, Reader reader) {
        double stands = values.at(end, KitField.NEW_STACK)
                .or(() -> values.at(end, KitField.OLD_STACK))
                .map(KitValues.Told::value)
                .orElse(0.0);
        double wanted = stands - more * planned.now().get(end).ratio().value();
        return sizes(end, values)
                .map(sizes -> Stacks.nearest(sizes, Length.ofRoundedMm(wanted)))
                .filter(stack -> !stack.pieces().isEmpty())
                .map(stack -> words.say("plan.wish.stack", reader, "pieces", pieces(stack, reader)));
    }

    static String pieces(Stacks.Stack stack, Reader reader) {
        return stack.pieces().stream()
                .map(piece -> Numerals.text(piece, reader))
                .collect(Collectors.joining(" + "));
    }

    /** How the others come out then. */
    private List<String> costs(Wish wish, Wish.Attitude then, Reader reader) {
        List<String> costs = new ArrayList<>();
        if (wish != Wish.EQUAL_GAPS && then.gap().isPresent()) {
            costs.add(words.say(
                    "plan.cost.gap",
                    reader,
                    "gap",
                    Length.ofRoundedMm(then.gap().getAsDouble())));
        }
        if (wish != Wish.LEVEL_FRAME && then.frame().isPresent()) {
            costs.add(words.say(
                    "plan.cost.rake",
                    reader,
                    "rake",
                    Length.ofRoundedMm(then.frame().getAsDouble())));
        }
        return costs;
    }
}
