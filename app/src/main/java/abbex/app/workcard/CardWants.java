package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.kit.KitField;
import abbex.app.kit.KitParts;
import abbex.app.kit.KitValues;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a card is for: vehicle, what the kit brings, what else is done in the visit, and in which rounds. */
final class CardWants {
    /** What steps may ask beside the kit. */
    static final List<String> FACTS =
            List.of("lift", "wired", "adaptive", "rubber-pivots", "notch", "shaft", "steering", "alignment");

    /** What they may ask of each end by itself. */
    static final List<String> OF_END = List.of("brakes", "bar", Wanted.NO_BAR);

    /** No step asks for it: it gathers those that need two. */
    static final String HELPER = "helper";

    private CardWants() {}

    /** What the steps of a kind of vehicle ask of a job beside its kit, in one order. */
    static List<String> asked(List<Chapter> book, VehicleKind kind) {
        Set<String> conditions = new TreeSet<>();
        book.stream()
                .filter(chapter -> chapter.kinds().isEmpty() || chapter.kinds().contains(kind))
                .flatMap(chapter -> chapter.steps().stream())
                .flatMap(Step::asks)
                .forEach(conditions::add);
        List<String> asked = new ArrayList<>();
        FACTS.stream().filter(conditions::contains).forEach(asked::add);
        for (String condition : OF_END) {
            if (conditions.contains(condition)) {
                Arrays.stream(End.values()).forEach(end -> asked.add(condition + "@" + end.code()));
            }
        }
        asked.add(HELPER);
        return asked;
    }

    /** Rounds as they are kept: ends apart by blanks, rounds by bars; empty for all at once. */
    static List<Set<End>> rounds(String text) {
        List<Set<End>> rounds = new ArrayList<>();
        for (String round : text.isEmpty() ? new String[0] : text.split("[|]")) {
            rounds.add(Arrays.stream(End.values())
                    .filter(end -> Arrays.asList(round.split(" ")).contains(end.code()))
                    .collect(Collectors.toUnmodifiableSet()));
        }
        return rounds;
    }

    static String text(List<Set<End>> rounds) {
        return rounds.stream()
                .map(round -> Arrays.stream(End.values())
                        .filter(round::contains)
                        .map(End::code)
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining("|"));
    }

    /** What the kit brings to each end, by what is told of it; a printed drop alone is a spring. */
    static Wanted of(Job job, KitValues values, Set<String> facts, List<Set<End>> rounds) {
        Set<String> all = new TreeSet<>(facts);
        for (End end : End.values()) {
            if (Stream.of(KitField.PERCH, KitField.PERCH_SEAT, KitField.TURNS, KitField.JACK_TURNS)
                    .anyMatch(field -> values.at(end, field).isPresent())) {
                all.add(Wanted.PERCH + end.code());
            }
            if (values.yes(end, KitField.COILOVER)) {
                all.add(Wanted.COILOVER + end.code());
            }
        }
        return new Wanted(
                job.vehicle().kind(),
                new PerEnd<>(job.vehicle().front(), job.vehicle().rear()),
                PerEnd.of(end -> KitParts.brings(values, end)),
                all,
                rounds.isEmpty() ? List.of(Set.of(End.values())) : rounds);
    }

    static String supplied(Wanted wanted) {
        return Arrays.stream(End.values())
                .flatMap(end -> wanted.supplied().get(end).stream().sorted().map(kind -> kind + "@" + end.code()))
                .collect(Collectors.joining(" "));
    }
}
