package abbex.app.instruments;

import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.instrument.FrameText;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Instruments in hand: taken by the code on their display, put down, and what they measured. */
@Controller
class InstrumentsController {
    private static final int LONGEST = 120;
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}");
    private static final Pattern OF_A_STAY = Pattern.compile("/jobs/(" + ID + ")/[A-Za-z0-9/@._-]{1,80}");

    private final Jobs jobs;
    private final Live live;
    private final Pairs pairs;
    private final Inbox inbox;
    private final Words words;

    InstrumentsController(Jobs jobs, Live live, Pairs pairs, Inbox inbox, Words words) {
        this.jobs = jobs;
        this.live = live;
        this.pairs = pairs;
        this.inbox = inbox;
        this.words = words;
    }

    /**
     * An instrument in hand.
     *
     * @param mark clear while it is heard, look while it is silent or its battery is low
     */
    public record InHand(String token, String device, String mark, String says) {}

    /** A reading that waits. */
    public record Came(long id, String device, String kind, String text) {}

    /** A reading that was taken, and where it went; the way there is empty where it went to no stay. */
    public record TakenView(String when, String device, String text, String field, String way) {}

    @GetMapping("/instruments")
    ModelAndView page(@Me Person me) {
        return page(me, Form.blank(me, words));
    }

    private ModelAndView page(Person me, Form form) {
        DateTimeFormatter when = DateTimeFormatter.ofPattern("EEE HH:mm", Locale.ENGLISH)
                .withZone(me.likes().zone());
        return form.on(new ModelAndView("instruments"))
                .addObject("inHand", inHand(me))
                .addObject(
                        "taken",
                        inbox.taken(me).stream()
                                .map(t -> new TakenView(when.format(t.at()), t.device(), t.raw(), t.field(), t.page()))
                                .toList());
    }

    @PostMapping("/instruments")
    ModelAndView take(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        Optional<Live.Device> device = live.showing(form.text("code"));
        if (device.isEmpty()) {
            form.problem("code", "problem.instruments.code", "read", form.text("code"));
            return page(me, form);
        }
        Pairs.Pair pair = pairs.take(me, device.get().name(), device.get().boot());
        device.get().say().accept(FrameText.framed("pair " + pair.token()));
        return new ModelAndView("redirect:/instruments");
    }

    @PostMapping("/instruments/{id}/put-down")
    String putDown(@Me Person me, @PathVariable String id) {
        if (!pairs.putDown(me, id)) {
            throw new NotHere();
        }
        return "redirect:/instruments";
    }

    /** What waits for this person; nothing at all for one who has no instrument in hand. */
    @GetMapping("/instruments/now")
    ModelAndView now(@Me Person me) {
        List<InHand> inHand = inHand(me);
        List<Came> came = inbox.waiting(me).stream()
                .map(w -> new Came(w.id(), w.device(), w.kind().toLowerCase(Locale.ROOT), w.raw()))
                .toList();
        return new ModelAndView("instruments :: bar")
                .addObject("inHand", inHand)
                .addObject("came", came);
    }

    @PostMapping("/instruments/readings/{id}/taken")
    ResponseEntity<Void> taken(@Me Person me, @PathVariable String id, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        String field = form.text("field");
        Matcher page = OF_A_STAY.matcher(form.text("page"));
        boolean here = page.matches()
                && jobs.find(me.shop(), UUID.fromString(page.group(1))).isPresent();
        Inbox.Became became = new Inbox.Became(
                Optional.of(form.text("into"))
                        .filter(into -> ID.matcher(into).matches())
                        .map(UUID::fromString),
                here ? page.group() : "",
                field.substring(0, Math.min(field.length(), LONGEST)));
        return done(me, id, true, became);
    }

    @PostMapping("/instruments/readings/{id}/refused")
    ResponseEntity<Void> refused(@Me Person me, @PathVariable String id) {
        return done(me, id, false, new Inbox.Became(Optional.empty(), "", ""));
    }

    private ResponseEntity<Void> done(Person me, String id, boolean taken, Inbox.Became became) {
        if (!id.matches("\\d{1,18}")) {
            throw new NotHere();
        }
        inbox.done(me, Long.parseLong(id), taken, became);
        return new ResponseEntity<>(HttpStatus.NO_CONTENT);
    }

    private List<InHand> inHand(Person me) {
        return pairs.of(me).stream()
                .map(pair -> {
                    Optional<Live.Device> device = live.find(pair.device(), pair.boot());
                    boolean silent = device.isEmpty() || live.silent(device.get());
                    boolean low = device.isPresent() && device.get().low();
                    String key = silent ? "instruments.silent" : low ? "instruments.low" : "instruments.heard";
                    return new InHand(pair.token(), pair.device(), silent || low ? "look" : "clear", words.say(key));
                })
                .toList();
    }
}
