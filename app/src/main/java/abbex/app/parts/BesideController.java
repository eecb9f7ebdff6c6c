package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.kit.KitField;
import abbex.app.kit.KitValues;
import abbex.app.kit.Kits;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.parts.BillLine;
import abbex.core.parts.OldNew;
import abbex.core.parts.PartFigures;
import abbex.core.torque.ScrewThread;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;

/** The old part beside the new one, both in hand: what differs is found before the vehicle is up. */
@Controller
class BesideController {
    private static final Length LONGEST = Length.ofMm(1500);
    private static final Length WIDEST = Length.ofMm(200);
    private static final int LONGEST_LINE = 120;

    /** Fields of the plan that hold the length of a part, old and new. */
    private static final Map<String, List<KitField>> LENGTHS = Map.of(
            "damper", List.of(KitField.OLD_LONG, KitField.NEW_LONG),
            "stop", List.of(KitField.OLD_STOP, KitField.NEW_STOP),
            "link", List.of(KitField.OLD_LINK, KitField.NEW_LINK),
            "shackle", List.of(KitField.OLD_SHACKLE, KitField.NEW_SHACKLE),
            "spring", List.of(KitField.OLD_FREE, KitField.NEW_FREE));

    private final Jobs jobs;
    private final PartLog log;
    private final OldNewLog beside;
    private final Kits kits;
    private final PartWords said;
    private final JobHeads heads;
    private final Words words;

    BesideController(Jobs jobs, PartLog log, OldNewLog beside, Kits kits, PartWords said, JobHeads heads, Words words) {
        this.jobs = jobs;
        this.log = log;
        this.beside = beside;
        this.kits = kits;
        this.said = said;
        this.heads = heads;
        this.words = words;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }

    /** A fastener that is renewed has its thread from the card, and what goes back is the old part. */
    private Optional<BillLine> line(Job job, String key) {
        return log.bill(job)
                .find(key)
                .filter(line -> line.why() != BillLine.Why.ONCE && line.why() != BillLine.Why.REUSED);
    }

    @GetMapping("/jobs/{id}/parts/beside")
    ModelAndView beside(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "") String line) {
        Job job = job(me, id);
        return page(me, job, line(job, line).orElseThrow(NotHere::new), Form.blank(me, words));
    }

    /** What was measured of the two, and taken into the plan when that is asked for. */
    @PostMapping("/jobs/{id}/parts/beside")
    ModelAndView measured(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        BillLine line = line(job, form.text("line")).orElseGet(() -> gone(form));
        Map<OldNewLog.Figure, OldNewLog.Told> told = new EnumMap<>(OldNewLog.Figure.class);
        for (OldNewLog.Figure figure : OldNewLog.Figure.values()) {
            read(form, figure).ifPresent(one -> told.put(figure, one));
        }
        if (!form.fits()) {
            return page(me, job, line, form);
        }
        beside.tell(me, job, line.key(), told);
        if (form.has("take")) {
            if (take(me, job, line, told, form.edition())) {
                return new ModelAndView("redirect:/jobs/" + id + "/plan");
            }
            form.problem("newLength", "problem.parts.plan");
            // What somebody else changed has been told: the next press counts from there.
            form.meanwhile((int) kits.of(job).chosen().edition(), Map.of());
            return page(me, job, line, form);
        }
        return new ModelAndView("redirect:"
                + UriComponentsBuilder.fromPath("/jobs/" + id + "/parts/beside")
                        .queryParam("line", "{line}")
                        .encode()
                        .buildAndExpand(line.key())
                        .toUriString());
    }

    /** Plan or card ask for it no more: what was typed stays on the page. */
    private static BillLine gone(Form form) {
        form.problem("oldLength", "problem.parts.gone");
        return new BillLine(
                form.text("line"),
                BillLine.Why.ADDED,
                form.text("part"),
                "",
                Whole.VEHICLE,
                1,
                Optional.empty(),
                BillLine.Status.OPEN,
                Optional.empty(),
                BillLine.Facts.NONE);
    }

    private static Optional<OldNewLog.Told> read(Form form, OldNewLog.Figure figure) {
        String field = figure.field();
        String text = form.text(field);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        return switch (figure) {
            case OLD_LENGTH, NEW_LENGTH -> length(form, field, LONGEST);
            case OLD_BORE, NEW_BORE, OLD_BAR, NEW_BAR -> length(form, field, WIDEST);
            case OLD_THREAD, NEW_THREAD -> {
                if (ScrewThread.read(text).isEmpty()) {
                    form.problem(field, "problem.parts.thread", "read", text);
                }
                yield Optional.of(new OldNewLog.Told(form.line(field, LONGEST_LINE), 0));
            }
            case OLD_SIDE, NEW_SIDE ->
                Optional.of(new OldNewLog.Told(
                        form.choice(field, PartFigures.Side.values(), PartFigures.Side.LEFT)
                                .name(),
                        0));
            case BECAUSE -> Optional.of(new OldNewLog.Told(form.line(field, LONGEST_LINE), 0));
        };
    }

    private static Optional<OldNewLog.Told> length(Form form, String field, Length most) {
        return form.needed(field, TapeText.Allowed.POSITIVE, most)
                .map(read -> new OldNewLog.Told(form.raw(read), read.value().mm()));
    }

    /** The lengths go where the plan has them; false when it was told otherwise meanwhile. */
    private boolean take(
            Person me, Job job, BillLine line, Map<OldNewLog.Figure, OldNewLog.Told> told, Optional<Integer> edition) {
        Map<KitValues.Key, KitValues.Told> values = new HashMap<>();
        List<KitField> fields = fields(line);
        List<OldNewLog.Figure> lengths = List.of(OldNewLog.Figure.OLD_LENGTH, OldNewLog.Figure.NEW_LENGTH);
        for (int i = 0; i < fields.size(); i++) {
            OldNewLog.Told one = told.get(lengths.get(i));
            if (one != null && line.place() instanceof End end) {
                values.put(new KitValues.Key(end, fields.get(i)), new KitValues.Told(one.raw(), one.value()));
            }
        }
        Kits.Kit chosen = kits.of(job).chosen();
        return kits.tell(me, job, chosen.id(), chosen.values().with(values), edition)
                .isPresent();
    }

    private static List<KitField> fields(BillLine line) {
        return line.own() || !(line.place() instanceof End) ? List.of() : LENGTHS.getOrDefault(line.kind(), List.of());
    }

    private ModelAndView page(Person me, Job job, BillLine line, Form form) {
        ModelAndView page = form.on(new ModelAndView("beside"));
        Map<OldNewLog.Figure, OldNewLog.Told> told = beside.of(job).getOrDefault(line.key(), Map.of());
        OldNew pair = OldNewLog.pair(line, told);
        page.addObject("head", heads.head(me.shop(), job.id(), "plan", form.reader()));
        page.addObject("line", line.key());
        page.addObject("name", said.called(line, form.reader()));
        page.addObject("view", BesideView.of(pair, told, words, form.reader()));
        page.addObject("because", pair.because());
        page.addObject("differs", !pair.unlike().isEmpty());
        page.addObject(
                "takes",
                fields(line).isEmpty()
                                || pair.old().length().isEmpty()
                                        && pair.fresh().length().isEmpty()
                        ? ""
                        : words.say("parts.beside.take", form.reader()));
        page.addObject("edition", (int) kits.of(job).chosen().edition());
        return page;
    }
}
