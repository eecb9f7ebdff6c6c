package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.drawing.ClockDrawing;
import abbex.app.form.Form;
import abbex.app.page.Reader;
import abbex.app.page.TapeFace;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** The road card: each wheel with what to chalk, how far it went, and the marks it left. */
@Component
class RoadPage {
    /** More bump than any wheel has beyond its crushed stop, mm: as far as a rod is drawn (ours). */
    private static final double BEYOND = 20;

    private final MountedWheels mounted;
    private final RoadTests roads;
    private final CornerCases cases;
    private final CornerPages pages;
    private final ClearanceWords say;
    private final Words words;

    RoadPage(
            MountedWheels mounted,
            RoadTests roads,
            CornerCases cases,
            CornerPages pages,
            ClearanceWords say,
            Words words) {
        this.mounted = mounted;
        this.roads = roads;
        this.cases = cases;
        this.pages = pages;
        this.say = say;
        this.words = words;
    }

    /**
     * A wheel of the card.
     *
     * @param clock with a number at each place to chalk
     * @param marks where the newest drive left some
     * @param likely the likely part at each half hour and face
     * @param most bump that its rod is drawn for, mm
     */
    public record Part(
            String corner,
            String name,
            List<String> chalk,
            ClockDrawing clock,
            List<ClockDrawing.Hour> marks,
            String likely,
            double most,
            String driven,
            List<Seen> seen) {}

    /** A mark. */
    public record Seen(String id, String name, String text) {}

    ModelAndView of(Person me, Job job, Form form) {
        Reader reader = form.reader();
        ModelAndView page = form.on(pages.frame("road", me, job, null, "road"));
        Optional<Drive> drive = roads.newest(job);
        page.addObject("drive", drive.orElse(null));
        page.addObject("told", drive.map(d -> told(d, reader)).orElse(""));
        List<Part> parts = new ArrayList<>();
        for (WheelPlace corner : job.vehicle().kind().wheelPlaces()) {
            mounted.on(job, corner.end()).ifPresent(on -> parts.add(part(job, corner, on, drive, reader)));
        }
        page.addObject("parts", parts);
        page.addObject("tape", TapeFace.of(me.likes().tape(), me.likes().unit()));
        page.addObject("probePlaces", ProbePlace.values());
        page.addObject("faces", TyreBody.Face.values());
        page.addObject("seenOn", Drive.SeenOn.values());
        return page;
    }

    private String told(Drive drive, Reader reader) {
        return words.say(
                        drive.locks() ? "road.told.locks" : "road.told",
                        CornerPages.ANY,
                        "day",
                        reader.full(drive.at()),
                        "by",
                        drive.by(),
                        "lean",
                        CornerPages.plain(drive.lean()))
                + (drive.hung() ? " " + words.say("road.told.hung") : "");
    }

    private Part part(Job job, WheelPlace corner, Fitment on, Optional<Drive> drive, Reader reader) {
        Optional<CornerCase> found = cases.of(job, corner);
        List<CornerCase.Judged> tight = found.map(c ->
                        c.judged().stream().filter(j -> !j.verdict().fits()).toList())
                .orElse(List.of());
        List<Drive.Mark> marks = drive.map(Drive::marks).orElse(List.of()).stream()
                .filter(m -> m.corner() == corner)
                .toList();
        return new Part(
                corner.name(),
                pages.name(job, corner),
                tight.stream().map(j -> say.name(j.known().probed().probe())).toList(),
                ClockDrawing.of(
                        on.tyre().overallDiameter().mm() / 2,
                        on.wheel().rimCode().doubleValue() * 12.7,
                        tight.stream()
                                .map(j -> new ClockDrawing.At(
                                        j.known().probed().probe().clock(), 0, 0, 0))
                                .toList(),
                        List.of(),
                        0,
                        0,
                        0),
                ClockDrawing.onTread(
                        on.tyre().overallDiameter().mm() / 2,
                        marks.stream().map(Drive.Mark::clock).toList()),
                CornerPages.likely(corner),
                found.map(c -> c.plan().bump())
                                .orElse(SweepPlan.usual(
                                                corner.end(),
                                                job.vehicle().kind(),
                                                job.vehicle().sprung(corner.end()))
                                        .bump())
                        + BEYOND,
                found.map(c -> say.driven(c, reader)).orElse(""),
                drive.map(d -> marks.stream()
                                .map(m -> seen(d, m, found, reader))
                                .toList())
                        .orElse(List.of()));
    }

    private Seen seen(Drive drive, Drive.Mark mark, Optional<CornerCase> found, Reader reader) {
        return new Seen(
                mark.id().toString(),
                Words.capital(words.say("probe." + mark.place())) + ", " + ClearanceWords.hours(mark.clock()) + ", "
                        + words.say("face." + mark.face()) + ", " + words.say("seen." + mark.on()),
                found.map(c -> drive.at(mark.corner(), c.plan(), c.standing()))
                        .flatMap(t -> t.mark(mark.place(), mark.clock(), mark.face()))
                        .map(read -> Words.capital(say.pose(read.pose(), found.orElseThrow(), reader)) + ". "
                                + Words.capital(say.cause(read, reader)))
                        .orElse(""));
    }
}
