package abbex.app.handover;

import abbex.app.align.Alignments;
import abbex.app.arrive.Job;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.parts.PartNumbers;
import abbex.app.set.TurnedText;
import abbex.app.settle.Course;
import abbex.app.settle.Returns;
import abbex.app.workcard.LockedText;
import abbex.core.settling.Settling;
import abbex.core.units.Distance;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/**
 * What the sheet says of the time after it; every text is safe for a page.
 *
 * @param back the day of the return; empty once it was measured settled
 * @param miles the odometer at which it is due besides; empty where nobody read it
 * @param settled what each end comes down to, expected or measured
 * @param expected those are expected, and not measured yet
 * @param left the settings as they were left
 * @param angles the wheels' angles before and as they left
 * @param systems lamps and sensors, and what was done about them
 * @param locked what the card says was locked and marked, and by whom
 * @param settles springs of it are new and have not settled
 * @param hold heights that whoever aligns or weighs it must leave
 */
public record Onward(
        String back,
        String miles,
        List<AsLeft.Line> settled,
        boolean expected,
        List<AsLeft.Line> left,
        List<Alignments.Line> angles,
        List<Alignments.Seen> systems,
        List<String> locked,
        boolean settles,
        List<String> hold) {

    /** Asks the stations. */
    @Service
    static class Asked {
        private final Returns returns;
        private final Alignments alignments;
        private final AsLeft left;
        private final TurnedText turned;
        private final PartNumbers numbers;
        private final LockedText locked;
        private final Words words;

        Asked(
                Returns returns,
                Alignments alignments,
                AsLeft left,
                TurnedText turned,
                PartNumbers numbers,
                LockedText locked,
                Words words) {
            this.locked = locked;
            this.returns = returns;
            this.alignments = alignments;
            this.left = left;
            this.turned = turned;
            this.numbers = numbers;
            this.words = words;
        }

        Onward of(Job job, String back, Reader reader) {
            Optional<Course> course = returns.of(job).course();
            return new Onward(
                    back,
                    back.isEmpty() ? "" : course.flatMap(c -> miles(c, reader)).orElse(""),
                    course.map(c -> settled(c, reader)).orElse(List.of()),
                    course.filter(c -> c.driven() || c.settled()).isEmpty(),
                    left(job, reader),
                    alignments.lines(job, reader),
                    alignments.systems(job, reader),
                    locked.lines(job, reader),
                    course.map(c -> !c.settled()
                                    && (c.settles().front() || c.settles().rear()))
                            .orElse(true),
                    course.isPresent() ? alignments.hold(job, reader) : List.of());
        }

        private Optional<String> miles(Course course, Reader reader) {
            return course.setDown()
                    .odometer()
                    .map(odo -> words.say(
                            "sheet.back.miles",
                            reader,
                            "from",
                            new Distance(odo.distance().km() + Settling.SOONEST.km()),
                            "to",
                            new Distance(odo.distance().km() + Settling.LATEST.km())));
        }

        private List<AsLeft.Line> settled(Course course, Reader reader) {
            List<AsLeft.Line> lines = new ArrayList<>();
            for (End end : End.values()) {
                Settling.Foreseen in = course.sinks(end, Double.POSITIVE_INFINITY);
                OptionalDouble drop = course.dropNow(end, in.mean());
                if (drop.isPresent()) {
                    lines.add(new AsLeft.Line(
                            Words.capital(words.word(end, reader)),
                            Numerals.html(Numerals.drop(Length.ofRoundedMm(drop.getAsDouble()), reader) + " ± "
                                    + Numerals.uncertainty(Length.ofRoundedMm((in.most() - in.least()) / 2), reader))));
                }
            }
            return lines;
        }

        private List<AsLeft.Line> left(Job job, Reader reader) {
            List<AsLeft.Line> lines = new ArrayList<>(left.lines(job));
            turned.lines(job, reader)
                    .forEach(line -> lines.add(
                            new AsLeft.Line(words.say("left.turned", reader, "place", line.corner()), line.text())));
            turned.left(job, reader)
                    .forEach(line -> lines.add(
                            new AsLeft.Line(words.say("left.stands", reader, "place", line.corner()), line.text())));
            numbers.of(job, reader)
                    .forEach(one -> lines.add(new AsLeft.Line(
                            words.say("left.number", reader, "part", one.part()), Numerals.html(one.number()))));
            return lines;
        }
    }
}
