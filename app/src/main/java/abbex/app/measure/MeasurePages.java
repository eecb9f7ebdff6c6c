package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.KnownKits;
import abbex.app.arrive.KnownWheels;
import abbex.app.arrive.VehicleFacts;
import abbex.app.form.Form;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.TapeFace;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.figure.Finding;
import abbex.core.heights.Adjustment;
import abbex.core.heights.Assessment;
import abbex.core.heights.HeightFinding;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Round;
import abbex.core.heights.SheetState;
import abbex.core.heights.Stage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.HtmlUtils;

/** The page of a sheet: what it opens and what it shows. */
@Component
class MeasurePages {

    /** In this order a round is offered to go on with; the first of them is where a sheet begins. */
    private static final List<String> FIRST = List.of("BIKE", "HF", "RIM", "GF", "FG", "TG");

    private final Jobs jobs;
    private final Sheets sheets;
    private final Words words;
    private final HeadsFromSheets heads;
    private final KnownWheels wheels;
    private final FormedParts formed;

    private final ObjectProvider<KnownKits> kits;

    MeasurePages(
            Jobs jobs,
            Sheets sheets,
            Words words,
            HeadsFromSheets heads,
            KnownWheels wheels,
            FormedParts formed,
            ObjectProvider<KnownKits> kits) {
        this.kits = kits;
        this.formed = formed;
        this.wheels = wheels;
        this.heads = heads;
        this.jobs = jobs;
        this.sheets = sheets;
        this.words = words;
    }

    /**
     * A line of the sheet's state.
     *
     * @param label what is to be typed, with its unit
     * @param like what an empty field shows: what the sheet that it is compared with says, else an example
     * @param before what the sheet that it is compared with says; empty for nothing
     * @param choices what there is to choose from; empty when it is typed
     * @param names what is known by name already, to choose instead of typing it
     */
    public record StateLine(
            String item,
            String label,
            String text,
            String like,
            String before,
            List<Choice> choices,
            List<String> names) {
        /** What there is to choose from as the options of a list, made safe: the most numerous elements of the page. */
        public String options() {
            return choices.stream().map(Choice::option).collect(Collectors.joining());
        }
    }

    /** One thing to choose. */
    public record Choice(String value, String name, boolean chosen) {
        String option() {
            return "<option value=\"" + HtmlUtils.htmlEscape(value, "UTF-8") + "\""
                    + (chosen ? " selected=\"selected\"" : "") + ">" + HtmlUtils.htmlEscape(name, "UTF-8")
                    + "</option>";
        }
    }

    /** What is compared, and where the two states differ; that is empty where they do not. */
    public record Compared(String now, String base, String differing) {}

    /** Another sheet to compare with. */
    public record Base(UUID id, String name, boolean chosen) {}

    /**
     * A sheet that is worked on.
     *
     * @param base the sheet that it is compared with; the sheet itself when there is none
     * @param asked true when somebody chose the base
     */
    record Opened(Job job, JobSheets all, SheetData sheet, SheetData base, boolean asked, Assessment judged) {
        boolean doubts() {
            return !judged.suspects().isEmpty();
        }

        boolean compared() {
            return base != sheet;
        }

        List<Round> rounds() {
            return all.rounds(job.vehicle());
        }

        /** The points that the shop named for this vehicle. */
        List<PointMethod> own() {
            return all.rules().points(job.vehicle().kind(), job.vehicle().id());
        }

        List<Round> placeByPlace() {
            return all.placeByPlace(job.vehicle());
        }

        /** The round of a code, one method after the other or place by place. */
        Optional<Round> round(String code) {
            return Stream.concat(rounds().stream(), placeByPlace().stream())
                    .filter(round -> round.code().equals(code))
                    .findFirst();
        }

        /** Where a reading belongs; nothing that this vehicle does not have. */
        MeasuringPoint spot(String place, String way) {
            VehicleFacts vehicle = job.vehicle();
            List<PointMethod> every = all.rules().everyPoint(vehicle.kind(), vehicle.id());
            return Round.all(vehicle.kind(), every, all.rules().walk()).stream()
                    .flatMap(round -> round.spots().stream())
                    .filter(s ->
                            s.place().code().equals(place) && s.way().code().equals(way))
                    .findFirst()
                    .orElseThrow(NotHere::new);
        }

        /** The round that was asked for, else one that the spot belongs to. */
        Round around(MeasuringPoint spot, @Nullable String asked) {
            return Optional.ofNullable(asked)
                    .flatMap(this::round)
                    .or(() -> rounds().stream()
                            .filter(r -> r.spots().contains(spot))
                            .findFirst())
                    .orElseGet(() -> chosen(this, null));
        }

        /** What is shown of this sheet against its base, formed once for as long as all of it stands so. */
        <T> T shown(List<Object> question, Supplier<T> form) {
            return all.shown(
                    List.of(
                            job.vehicle(),
                            job.advertised(),
                            sheet.row().id(),
                            base.row().id(),
                            asked,
                            question),
                    form);
        }

        /** What keeps the choice of the base in an address. */
        String keep() {
            return asked ? "&against=" + base.row().id() : "";
        }
    }

    /**
     * Opens a sheet.
     *
     * @param against the sheet to compare it with; the first when it is null
     */
    Opened open(Person me, UUID id, UUID sheetId, @Nullable UUID against) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        JobSheets all = sheets.of(me.shop(), id);
        SheetData sheet = all.find(sheetId).orElseThrow(NotHere::new);
        SheetData first = all.before().orElseThrow(NotHere::new);
        SheetData base = against == null ? first : all.find(against).orElseThrow(NotHere::new);
        boolean asked = base != sheet && base != first;
        // The first sheet by itself still hears what the newest one says of it.
        Assessment judged = base == sheet ? all.judge(job) : all.judge(job, base, sheet);
        return new Opened(job, all, sheet, base == sheet ? first : base, asked, judged);
    }

    /** What lies folded under the walk and is formed when it is opened: most look at the heights alone. */
    enum Unfolded {
        NOTHING,
        STATE,
        POINTS;

        /** A form that came back stands open. */
        private Unfolded with(Form form) {
            return form.fits() ? this : form.at("pointName") == null ? STATE : POINTS;
        }
    }

    ModelAndView page(Person me, Opened o, Round round, Walk.@Nullable Refusal refusal, Form form, String view) {
        return page(me, o, round, refusal, form, view, Unfolded.NOTHING);
    }

    ModelAndView page(
            Person me,
            Opened o,
            Round round,
            Walk.@Nullable Refusal refusal,
            Form form,
            String view,
            Unfolded unfolded) {
        Reader reader = form.reader();
        ModelAndView page = form.on(new ModelAndView(view));
        page.addObject("stamp", sheets.stamp(me.shop(), o.job().id()));
        Walk walk = refusal == null
                ? Walk.of(o, round, me.id(), reader, words)
                : Walk.of(o, round, me.id(), reader, words, refusal);
        page.addObject("walk", walk);
        List<Finding> findings = o.judged().drops().findings();
        List<Words.Said> says = o.shown(List.of("says", reader), () -> words.findings(findings, reader));
        page.addObject("says", says);
        page.addObject("formed", formed.of(o, round, me.id(), walk, says, reader));
        page.addObject("compared", compared(o, findings, reader));
        page.addObject("fit", o.shown(List.of("fit", reader), () -> fit(o, reader)));
        page.addObject("bases", bases(o));
        page.addObject(
                "tape", TapeFace.of(o.sheet().row().tape(), o.sheet().row().unit()));
        page.addObject("sheets", o.all().sheets());
        // The tag speaks of the newest sheet against the first, whatever is compared below.
        Assessment whole = o.judged().compared().equals(o.all().whole())
                ? o.judged()
                : o.all().judge(o.job());
        Progress progress = sheets.progress(o.job(), o.all(), whole, reader);
        page.addObject("head", heads.head(o.job(), "measure", progress, reader));
        fold(page, o, form, unfolded.with(form));
        page.addObject("stateSaid", String.join(" · ", o.sheet().said(words::say)));
        SheetData newest = o.all().newest().orElseThrow();
        page.addObject("canMeasureAgain", !newest.current().isEmpty());
        page.addObject("nextStage", newest.stage().next());
        page.addObject("laterStages", Stage.later());
        Job.Place place = o.job().where().place();
        page.addObject("handedOver", place == Job.Place.OUT || place == Job.Place.GONE);
        page.addObject("own", o.own());
        page.addObject("words", words);
        page.addObject("clock", reader);
        return page;
    }

    private void fold(ModelAndView page, Opened o, Form form, Unfolded unfolded) {
        page.addObject("unfolded", unfolded);
        if (unfolded == Unfolded.STATE) {
            List<StateLine> lines = state(o, form);
            page.addObject("state", lines);
            page.addObject(
                    "same",
                    lines.stream()
                            .anyMatch(line ->
                                    line.text().isEmpty() && !line.before().isEmpty()));
            page.addObject(
                    "edition",
                    form.text(Form.EDITION, Integer.toString(o.sheet().row().said())));
        } else if (unfolded == Unfolded.POINTS) {
            page.addObject("kind", words.say("kinds." + o.job().vehicle().kind()));
            page.addObject("motorcycle", o.job().vehicle().kind().singleTrack());
        }
    }

    /** Which sheets are compared, and where their states differ. */
    @Nullable
    private Compared compared(Opened o, List<Finding> findings, Reader reader) {
        if (!o.compared() || o.sheet().current().isEmpty()) {
            return null;
        }
        Assessment.Pair pair = o.judged().compared();
        List<Object> differing =
                findings.stream().flatMap(f -> differing(f, reader).stream()).toList();
        return new Compared(
                words.say("stage." + o.all().sheets().get(pair.after()).stage()),
                words.say("stage." + o.all().sheets().get(pair.before()).stage())
                        .toLowerCase(Locale.ENGLISH),
                differing.isEmpty() ? "" : words.say("compared.differs", reader, "items", differing));
    }

    private Optional<Object> differing(Finding finding, Reader reader) {
        if (finding instanceof HeightFinding.StatePressure pressure) {
            return Optional.of(words.say("compared.pressure", reader, "place", pressure.place()));
        }
        return finding instanceof HeightFinding.StateDiffers state ? Optional.of(state.item()) : Optional.empty();
    }

    /** How well all readings of the job go together, when some of them are to spare. */
    private String fit(Opened o, Reader reader) {
        Adjustment all = o.judged().adjustment();
        return all.redundancy() < 1
                ? ""
                : words.say(
                        "fit",
                        reader,
                        "readings",
                        Integer.toString(all.readings()),
                        "chi",
                        String.format(Locale.ROOT, "%.1f", all.chiSquare()),
                        "redundancy",
                        String.format(Locale.ROOT, "%.1f", all.redundancy()),
                        "share",
                        oneIn(all.probability()));
    }

    private String oneIn(double probability) {
        return probability < 0.01
                ? words.say("fit.hardly")
                : String.valueOf(Math.max(1, Math.round(100 * probability)));
    }

    /** The other sheets of the job to compare with, when there is a choice. */
    private List<Base> bases(Opened o) {
        if (o.sheet().row().first() || o.all().sheets().size() < 3) {
            return List.of();
        }
        return o.all().sheets().stream()
                .filter(s -> s != o.sheet())
                .map(s -> new Base(s.row().id(), words.say("stage." + s.stage()), s == o.base()))
                .toList();
    }

    /** What a sheet may say that it stood on: the kits of the stay, or the parts that it came with. */
    List<String> parts(Job job) {
        List<String> names = new ArrayList<>();
        kits.orderedStream().findFirst().ifPresent(known -> names.addAll(known.names(job)));
        names.add(SheetData.AS_IT_CAME);
        return names;
    }

    private List<Choice> parts(List<String> names, String text) {
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", words.say("parts.as-chosen"), text.isEmpty()));
        names.forEach(name -> choices.add(new Choice(
                name, name.equals(SheetData.AS_IT_CAME) ? words.say("parts.as-it-came") : name, name.equals(text))));
        return choices;
    }

    private List<StateLine> state(Opened o, Form form) {
        Map<String, String> before = o.compared() ? o.base().state() : Map.of();
        List<String> parts = parts(o.job());
        return StateItem.of(o.job().vehicle().vehicle(), o.sheet().row().first()).stream()
                .filter(item -> !item.equals(StateItem.PARTS) || parts.size() > 1)
                .map(item -> {
                    String text = form.text(item, o.sheet().fields().getOrDefault(item, ""));
                    List<Choice> choices = item.equals(StateItem.PARTS)
                            ? parts(parts, text)
                            : StateItem.choices(item).stream()
                                    .map(c -> new Choice(c, words.say(StateItem.words(item, c)), c.equals(text)))
                                    .toList();
                    String was = choices.isEmpty() ? before.getOrDefault(item, "") : "";
                    String like = !was.isEmpty()
                            ? words.say("measure.state.before", form.reader(), "text", was)
                            : item.equals(StateItem.ARCHES) ? words.say("measure.arches.like") : "";
                    return new StateLine(item, name(item) + unit(item), text, like, was, choices, names(o, item));
                })
                .toList();
    }

    private List<String> names(Opened o, String item) {
        return item.equals(SheetState.Item.WHEEL_SET.name())
                ? wheels.of(o.job().shop(), o.job().vehicle().id()).stream()
                        .map(KnownWheels.Known::name)
                        .toList()
                : List.of();
    }

    private String unit(String item) {
        return item.startsWith(StateItem.PRESSURE)
                ? words.say("measure.state.pressure")
                : item.equals(SheetState.Item.STAND_LEAN.name()) ? words.say("measure.state.degrees") : "";
    }

    private String name(String item) {
        return Words.capital(
                item.startsWith(StateItem.PRESSURE)
                        ? words.say("wheel." + item.substring(StateItem.PRESSURE.length()))
                        : words.say("item." + item));
    }

    /** The round asked for, else the first that is begun and unfinished, else the usual one of the kind. */
    static Round chosen(Opened o, @Nullable String asked) {
        if (asked != null) {
            return o.round(asked).orElseThrow(NotHere::new);
        }
        HeightSheet here = o.sheet().heights();
        List<Round> rounds = o.rounds().stream()
                .sorted(Comparator.comparingInt(
                        round -> FIRST.contains(round.code()) ? FIRST.indexOf(round.code()) : 99))
                .toList();
        return rounds.stream()
                .filter(round -> round.read(here) > 0
                        || o.compared() && round.read(o.base().heights()) > 0)
                .filter(round -> !done(round, here, o.compared() ? o.base().heights() : null))
                .findFirst()
                .orElse(rounds.get(0));
    }

    /** Every height of it is there, or everything that was read before. */
    static boolean done(Round round, HeightSheet here, @Nullable HeightSheet before) {
        return round.spots().stream()
                .filter(spot -> before == null
                        || round.read(before) == 0
                        || before.at(spot).isPresent())
                .allMatch(spot -> here.at(spot).isPresent());
    }
}
