package abbex.app.instruments;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.instrument.FrameText;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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
    private final Live live;
    private final Pairs pairs;
    private final Inbox inbox;
    private final Words words;

    InstrumentsController(Live live, Pairs pairs, Inbox inbox, Words words) {
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

    @GetMapping("/instruments")
    ModelAndView page(@Me Person me) {
        return page(me, Form.blank(me, words));
    }

    private ModelAndView page(Person me, Form form) {
        return form.on(new ModelAndView("instruments")).addObject("inHand", inHand(me));
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
    ResponseEntity<Void> taken(@Me Person me, @PathVariable String id) {
        return done(me, id, true);
    }

    @PostMapping("/instruments/readings/{id}/refused")
    ResponseEntity<Void> refused(@Me Person me, @PathVariable String id) {
        return done(me, id, false);
    }

    private ResponseEntity<Void> done(Person me, String id, boolean taken) {
        if (!id.matches("\\d{1,18}")) {
            throw new NotHere();
        }
        inbox.done(me, Long.parseLong(id), taken);
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
