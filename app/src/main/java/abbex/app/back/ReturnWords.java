package abbex.app.back;

import abbex.app.arrive.Job;
import abbex.app.arrive.StayValues;
import abbex.app.drawing.SettlingDrawing;
import abbex.app.form.Form;
import abbex.app.handover.Handovers;
import abbex.app.kit.KitPlans;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.SettlingWords;
import abbex.app.page.Words;
import abbex.app.settle.Course;
import abbex.app.settle.Returns;
import abbex.app.settle.WatchList;
import abbex.app.verdict.JobVerdicts;
import abbex.core.settling.Odometer;
import abbex.core.settling.Settling;
import abbex.core.settling.Watch;
import abbex.core.units.Distance;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.verdict.Found;
import abbex.core.verdict.Station;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/** The return in words. */
@Service
class ReturnWords {
    private static final double MOST_OF_IT = 0.9;
    private static final double ROOM = 1.08;

    private final Words words;
    private final Returns returns;
    private final Handovers handovers;
    private final JobVerdicts verdicts;
    private final KitPlans plans;
    private final WatchList watched;
    private final StayValues values;

    ReturnWords(
            Words words,
            Returns returns,
            Handovers handovers,
            JobVerdicts verdicts,
            KitPlans plans,
            WatchList watched,
            StayValues values) {
        this.words = words;
        this.returns = returns;
        this.handovers = handovers;
        this.verdicts = verdicts;
        this.plans = plans;
        this.watched = watched;
        this.values = values;
    }

    ReturnPage page(Job job, Form form, LocalDate today) {
        Reader reader = form.reader();
        Returns.Told told = returns.of(job);
        Optional<Course> course = told.course();
        return new ReturnPage(
                due(job, course, today, reader),
                job.dueBack() != null,
                job.where().place() == Job.Place.GONE,
                told.back().orElse(null),
                course.isPresent() || job.where().place() == Job.Place.OUT,
                course.map(c -> driven(c, reader)).orElse(List.of()),
                course.map(c -> drawing(c, reader)).orElse(null),
                course.map(c -> rows(job, c, reader)).orElse(List.of()),
                course.map(c -> words.word(c.method(), reader)).orElse(""),
                words.findings(told.findings(), reader),
                course.map(c -> nine(job, c, reader)).orElse(""),
                items(job, told, form),
                told.back().map(sheet -> watched.of(job, sheet).edition()).orElse(0L));
    }

    private List<String> due(Job job, Optional<Course> course, LocalDate today, Reader reader) {
        LocalDate due = job.dueBack();
        if (due == null) {
            return List.of();
        }
        List<String> lines = new ArrayList<>(List.of(reader.date(due)));
        course.flatMap(c -> c.setDown().odometer())
                .ifPresent(odo -> lines.add(words.say(
                        "return.miles",
                        reader,
                        "from",
                        shows(odo, Settling.SOONEST, reader),
                        "to",
                        shows(odo, Settling.LATEST, reader))));
        long days = ChronoUnit.DAYS.between(today, due);
        if (job.where().place() == Job.Place.OUT) {
            lines.add(words.say(
                    days < 0 ? "return.late" : days == 0 ? "return.today" : days == 1 ? "return.tomorrow" : "return.in",
                    reader,
                    "days",
                    Math.abs(days)));
        }
        return lines;
    }

    private static String shows(Odometer odometer, Distance more, Reader reader) {
        return SettlingWords.distance(new Distance(odometer.distance().km() + more.km()), reader);
    }

    private List<ReturnPage.Driven> driven(Course course, Reader reader) {
        return course.looks().stream()
                .map(look -> new ReturnPage.Driven(
                        look.sheet(),
                        words.word(look.stage(), reader),
                        reader.day(look.at()),
                        look.odometer()
                                .map(o -> SettlingWords.distance(o.distance(), reader))
                                .orElse(""),
                        look == course.setDown() || look.driven().isEmpty()
                                ? ""
                                : SettlingWords.distance(
                                        new Distance(look.driven().getAsDouble()), reader)))
                .toList();
    }

    private SettlingDrawing drawing(Course course, Reader reader) {
        double longest =
                Math.max(Settling.LATEST.km(), ROOM * course.last().driven().orElse(0));
        List<SettlingDrawing.End> ends = new ArrayList<>();
        for (End end : End.values()) {
            List<double[]> sunk = new ArrayList<>();
            for (int i = 0; i <= SettlingDrawing.STEPS; i++) {
                Settling.Foreseen s = course.sinks(end, longest * i / SettlingDrawing.STEPS);
                sunk.add(new double[] {s.least(), s.mean(), s.most()});
            }
            List<SettlingDrawing.Seen> seen = new ArrayList<>();
            for (Course.Look look : course.looks()) {
                if (look != course.setDown() && look.driven().isPresent()) {
                    for (Corner corner : List.of(end.left(), end.right())) {
                        int c = Corner.WALK.indexOf(corner);
                        seen.add(new SettlingDrawing.Seen(
                                look.driven().getAsDouble(),
                                course.setDown().heights()[c] - look.heights()[c],
                                corner.code()));
                    }
                }
            }
            ends.add(new SettlingDrawing.End(sunk, seen));
        }
        return SettlingDrawing.of(ends, longest, reader.unit().metric());
    }

    private List<ReturnPage.Row> rows(Job job, Course course, Reader reader) {
        KitPlans.Planned planned = plans.of(job);
        List<ReturnPage.Row> rows = new ArrayList<>();
        for (End end : End.values()) {
            Settling.Foreseen in = course.sinks(end, Double.POSITIVE_INFINITY);
            rows.add(new ReturnPage.Row(
                    Words.capital(words.word(end, reader)),
                    drop(planned.drop(end), reader),
                    drop(course.drop(end, 0), reader),
                    course.driven() ? drop(course.dropNow(end, course.sunk(course.last(), end)), reader) : "",
                    drop(course.dropNow(end, in.mean()), reader),
                    Numerals.html(
                            "± " + Numerals.uncertainty(Length.ofRoundedMm((in.most() - in.least()) / 2), reader))));
        }
        return rows;
    }

    private static String drop(OptionalDouble mm, Reader reader) {
        return mm.isEmpty() ? "" : Numerals.html(Numerals.drop(Length.ofRoundedMm(mm.getAsDouble()), reader));
    }

    /** When nine tenths of it are over, at so many miles a day. */
    private String nine(Job job, Course course, Reader reader) {
        if (course.settled() || !course.settles().front() && !course.settles().rear()) {
            return "";
        }
        Optional<Odometer> perDay = Odometer.parse(
                values.told(job, StayValues.Station.RETURN).text(ReturnForm.PER_DAY),
                !reader.unit().metric());
        if (perDay.isEmpty() || perDay.get().shows() <= 0) {
            return "";
        }
        double km = course.settling().after(MOST_OF_IT);
        long days = (long) Math.ceil(km / perDay.get().distance().km());
        ZoneId zone = reader.zone();
        LocalDate day = LocalDate.ofInstant(course.setDown().at(), zone).plusDays(days);
        return words.say(
                "return.nine",
                reader,
                "distance",
                SettlingWords.distance(new Distance(km), reader),
                "day",
                reader.date(day));
    }

    /** What is looked at on every return, and what was still found when the vehicle left, by their keys. */
    Map<String, Words.Said> asked(Job job, Reader reader) {
        Map<String, Words.Said> asked = new LinkedHashMap<>();
        left(job).forEach(found -> asked.put("F." + found.key(), words.finding(found.finding(), reader)));
        for (Watch item : returns.watch(job)) {
            asked.put(
                    item.name(),
                    new Words.Said(
                            "", "", Words.capital(words.word(item, reader)), words.say("watch.how." + item), ""));
        }
        return asked;
    }

    /** What somebody answered for when it left and what still stands. */
    private List<Found> left(Job job) {
        Map<String, Handovers.Given> answers = handovers.answers(job.shop(), job.id());
        return verdicts.of(job).toAnswer().stream()
                .filter(found -> found.station() != Station.RETURN && answers.containsKey(found.key()))
                .toList();
    }

    private List<ReturnPage.Item> items(Job job, Returns.Told told, Form form) {
        if (told.back().isEmpty()) {
            return List.of();
        }
        Reader reader = form.reader();
        WatchList.Answered answered = watched.of(job, told.back().get());
        Map<String, Handovers.Given> left = handovers.answers(job.shop(), job.id());
        List<ReturnPage.Item> items = new ArrayList<>();
        asked(job, reader).forEach((key, said) -> {
            String field = ReturnForm.field(key);
            Optional<WatchList.Given> given = answered.of(key);
            items.add(new ReturnPage.Item(
                    field,
                    said.mark(),
                    said.titleHtml(),
                    said.textHtml(),
                    Optional.ofNullable(left.get(key.replaceFirst("^F[.]", "")))
                            .map(g -> left(g, reader))
                            .orElse(""),
                    form.text(field, given.map(g -> g.answer().name()).orElse("")),
                    form.text(field + "_why", given.map(WatchList.Given::note).orElse(""))));
        });
        return items;
    }

    private String left(Handovers.Given given, Reader reader) {
        String answer = words.say("answer." + given.answer());
        return words.say(
                "return.left",
                reader,
                "answer",
                given.reason().isEmpty()
                        ? answer
                        : words.say("answer.given", reader, "answer", answer, "reason", given.reason()));
    }
}
