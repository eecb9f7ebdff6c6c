package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.form.Form;
import abbex.app.people.Person;
import abbex.core.torque.Plausible;
import abbex.core.torque.ScrewThread;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.units.Torque;
import abbex.core.units.TorqueText;
import abbex.core.units.TorqueUnit;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What somebody writes down of a step: taken where it fits, else told by the form. */
@Component
class CardNotes {
    private static final int LONG = 300;

    /** Nothing on a vehicle that shows is longer (ours). */
    private static final Length LONGEST = Length.ofMm(1000);

    private final Cards cards;
    private final Specs specs;
    private final Tips tips;
    private final Photos photos;
    private final CardPresses presses;

    CardNotes(Cards cards, Specs specs, Tips tips, Photos photos, CardPresses presses) {
        this.presses = presses;
        this.tips = tips;
        this.photos = photos;
        this.cards = cards;
        this.specs = specs;
    }

    void take(Person by, Job job, CardStep step, Form form) {
        if (form.text("what").equals(CardAsks.SPEC)) {
            spec(by, job, step, form);
            return;
        }
        if (form.text("what").equals("TIP")) {
            String text = form.line("tip", LONG);
            if (text.isEmpty()) {
                form.problem("tip", "problem.fit.empty");
            } else if (form.fits()) {
                tips.add(by, job.vehicle(), client(form), step.step().id(), text);
            }
            return;
        }
        UUID client = client(form);
        Optional<CardPresses.Press> press = CardPresses.Press.of(form.text("what"));
        if (press.isPresent()) {
            presses.take(by, job, step, press.get(), form, client, typed(job, form));
        } else {
            written(by, job, step, form, client);
        }
        if (form.fits() && form.text("then").equals("done")) {
            presses.done(by, job, step, form, client, typed(job, form));
        }
    }

    private void written(Person by, Job job, CardStep step, Form form, UUID client) {
        Optional<Cards.What> what = Stream.of(Cards.What.values())
                .filter(w -> w.name().equals(form.text("what")))
                .findFirst();
        if (what.isEmpty()) {
            form.problem("what", "problem.choice.unknown", "read", form.text("what"));
            return;
        }
        note(by, job, step, what.get(), form)
                .filter(n -> form.fits())
                .ifPresent(n -> cards.add(by, job, client, typed(job, form), n));
    }

    /** The same sent twice is one row; another text from the same page is another. Who sends no name gets one of their own. */
    private static UUID client(Form form) {
        String text = form.text("client");
        return text.isEmpty()
                ? UUID.randomUUID()
                : UUID.nameUUIDFromBytes(sent(form).getBytes(StandardCharsets.UTF_8));
    }

    private Instant typed(Job job, Form form) {
        String ago = form.text("ago");
        return cards.typed(job, ago.matches("\\d{1,12}") ? Long.parseLong(ago) : 0);
    }

    private static String sent(Form form) {
        Map<String, String> all = new TreeMap<>(form.texts());
        all.keySet().removeAll(List.of("_csrf", "by", "ago"));
        return all.toString();
    }

    private Optional<Cards.Note> note(Person by, Job job, CardStep step, Cards.What what, Form form) {
        String item = form.text("item");
        return switch (what) {
            case TICKED -> ticked(job, step, form);
            case OPENED -> plain(what, step, "");
            case HELD -> held(step, item, form);
            case OTHERWISE -> otherwise(step, form);
            case CAPTURED -> captured(step, item, form);
            case PLACED -> placed(job, step, item, form);
            case TIGHTENED -> tightened(step, item, form);
            case MARKED ->
                fastener(step, item, form)
                        .map(f -> new Cards.Note(
                                what,
                                step.key(),
                                item,
                                by.likes().paint().map(Enum::name).orElse(""),
                                "",
                                0));
            case LOOSENED -> fastener(step, item, form).flatMap(f -> plain(what, step, item));
            case FOUND -> found(step, form);
            case ANSWERED -> answered(job, step, item, form);
        };
    }

    private static Optional<Cards.Note> plain(Cards.What what, CardStep step, String item) {
        return Optional.of(new Cards.Note(what, step.key(), item, "", "", 0));
    }

    /** Nothing is ticked before what it waits for: what the page showed may be old. */
    private Optional<Cards.Note> ticked(Job job, CardStep step, Form form) {
        List<Blocker> blockers = cards.of(job).state().blockers(step);
        if (!blockers.isEmpty()) {
            form.problem("what", "problem.fit.blocked", "count", Integer.toString(blockers.size()));
            return Optional.empty();
        }
        return plain(Cards.What.TICKED, step, "");
    }

    private static Optional<Cards.Note> held(CardStep step, String item, Form form) {
        boolean known = item.matches("\\d{1,2}")
                && Integer.parseInt(item) < step.step().allHolds().size();
        if (!known) {
            form.problem("what", "problem.choice.unknown", "read", item);
        }
        return known ? plain(Cards.What.HELD, step, item) : Optional.empty();
    }

    private static Optional<Cards.Note> otherwise(CardStep step, Form form) {
        String reason = form.line("reason", LONG);
        if (reason.isEmpty()) {
            form.problem("reason", "problem.answer.why");
        }
        return Optional.of(new Cards.Note(Cards.What.OTHERWISE, step.key(), "", reason, form.line("limit", LONG), 0));
    }

    private static Optional<Cards.Note> captured(CardStep step, String item, Form form) {
        Optional<Step.Capture> capture =
                step.step().captures().stream().filter(c -> c.id().equals(item)).findFirst();
        String field = "capture-" + item;
        if (capture.isEmpty()) {
            form.problem("what", "problem.choice.unknown", "read", item);
            return Optional.empty();
        }
        Optional<String> text = captured(capture.get().kind(), field, form);
        return text.map(t -> new Cards.Note(Cards.What.CAPTURED, step.key(), item, t, "", 0));
    }

    private static Optional<String> captured(Step.Capture.Kind kind, String field, Form form) {
        if (kind == Step.Capture.Kind.LENGTH) {
            return form.needed(field, TapeText.Allowed.ZERO_OR_MORE, LONGEST).map(form::raw);
        }
        String text = form.line(field, LONG);
        if (text.isEmpty()) {
            form.problem(field, "problem.fit.empty");
        } else if (kind == Step.Capture.Kind.WAY && !text.matches(CardAsks.WAYS)) {
            form.problem(field, "problem.fit.way", "read", text);
        } else if (kind == Step.Capture.Kind.HOLE && !text.matches("[1-9]")) {
            form.problem(field, "problem.fit.hole", "read", text);
        } else if (kind == Step.Capture.Kind.CLOCK && !text.matches("(1[0-2]|[1-9])([.]5)?")) {
            form.problem(field, "problem.fit.clock", "read", text);
        }
        return form.fits() ? Optional.of(text) : Optional.empty();
    }

    /** A photo stands for what is written down. */
    void photo(Person by, Job job, CardStep step, Form form, byte[] jpeg) {
        String item = form.text("item");
        boolean known = step.step().captures().stream()
                .anyMatch(c -> c.id().equals(item) && c.kind() == Step.Capture.Kind.PHOTO);
        if (!known) {
            form.problem("what", "problem.choice.unknown", "read", item);
            return;
        }
        UUID client = client(form);
        if (cards.stands(job, client)) {
            return;
        }
        UUID photo = photos.add(by, job, step.key(), jpeg);
        cards.add(
                by,
                job,
                client,
                typed(job, form),
                new Cards.Note(Cards.What.CAPTURED, step.key(), item, photo.toString(), "photo", 0));
    }

    private Optional<Cards.Note> placed(Job job, CardStep step, String item, Form form) {
        boolean known = cards.of(job).state().parts().stream()
                .anyMatch(part -> part.key().equals(item));
        Optional<BenchPart.Fate> fate = Stream.of(
                        BenchPart.Fate.HANDED_OVER,
                        BenchPart.Fate.BAGGED,
                        BenchPart.Fate.LEFT_OFF,
                        BenchPart.Fate.FITTED)
                .filter(f -> f.name().equals(form.text("fate")))
                .findFirst();
        if (!known || fate.isEmpty()) {
            form.problem("what", "problem.choice.unknown", "read", known ? form.text("fate") : item);
            return Optional.empty();
        }
        String reason = form.line("why", LONG);
        if (fate.get() == BenchPart.Fate.LEFT_OFF && reason.isEmpty()) {
            form.problem("why", "problem.answer.why");
        }
        return Optional.of(new Cards.Note(
                Cards.What.PLACED, step.key(), item, reason, fate.get().name(), 0));
    }

    private static Optional<Step.Fastener> fastener(CardStep step, String item, Form form) {
        Optional<Step.Fastener> fastener = step.step().fasteners().stream()
                .filter(f -> step.fastener(f).equals(item))
                .findFirst();
        if (fastener.isEmpty()) {
            form.problem("what", "problem.choice.unknown", "read", item);
        }
        return fastener;
    }

    private static Optional<TorqueText.Parsed.Taken> torque(Form form, String field) {
        String text = form.line(field, 80);
        TorqueText.Parsed parsed = TorqueText.parse(text);
        if (parsed instanceof TorqueText.Parsed.Taken taken) {
            return Optional.of(taken);
        }
        if (parsed instanceof TorqueText.Parsed.NoUnit none) {
            TorqueUnit unit = form.reader().unit().metric() ? TorqueUnit.NEWTON_METRE : TorqueUnit.POUND_FOOT;
            form.offering(field, text + " " + unit.symbol(), "problem.torque.unit", "read", none.number());
        } else {
            form.problem(field, "problem.torque", "read", text);
        }
        return Optional.empty();
    }

    private static Optional<Cards.Note> tightened(CardStep step, String item, Form form) {
        String field = "reading-" + item;
        return fastener(step, item, form)
                .flatMap(f -> torque(form, field))
                .filter(taken -> taken.least().equals(taken.most()) || one(form, field))
                .map(taken -> new Cards.Note(
                        Cards.What.TIGHTENED,
                        step.key(),
                        item,
                        form.text(field),
                        form.text("turned").equals("yes") ? "turned" : "",
                        taken.least().newtonMetres()));
    }

    private static boolean one(Form form, String field) {
        form.problem(field, "problem.torque.one", "read", form.text(field));
        return false;
    }

    private static Optional<Cards.Note> found(CardStep step, Form form) {
        String text = form.line("seen", LONG);
        if (text.isEmpty()) {
            form.problem("seen", "problem.fit.empty");
        }
        String answer = form.text("answer").matches("YES|NO|LATER") ? form.text("answer") : "";
        return Optional.of(new Cards.Note(Cards.What.FOUND, step.key(), answer, text, form.line("price", 40), 0));
    }

    /** What the customer says to what was found; what it is to cost may be said with it. */
    private Optional<Cards.Note> answered(Job job, CardStep step, String item, Form form) {
        boolean known = cards.of(job).entries().stream()
                .anyMatch(e ->
                        e.what() == Cards.What.FOUND && Long.toString(e.seq()).equals(item));
        if (!known || !form.text("answer").matches("YES|NO")) {
            form.problem("what", "problem.choice.unknown", "read", item + " " + form.text("answer"));
            return Optional.empty();
        }
        return Optional.of(
                new Cards.Note(Cards.What.ANSWERED, step.key(), item, form.text("answer"), form.line("price", 40), 0));
    }

    /** What a fastener is tightened to, with where that is from; what its thread cannot bear is asked about once. */
    private void spec(Person by, Job job, CardStep step, Form form) {
        Optional<Step.Fastener> fastener = fastener(step, form.text("item"), form);
        if (fastener.isEmpty()) {
            return;
        }
        String field = "spec-" + form.text("item");
        Optional<TorqueText.Parsed.Taken> taken = torque(form, field);
        TorqueSpec.Source source = form.choice("source", TorqueSpec.Source.values(), TorqueSpec.Source.FORUM);
        if (form.text("source").isEmpty()) {
            form.problem("source", "problem.fit.source");
        }
        OptionalDouble angle = form.text("angle").isEmpty() ? OptionalDouble.of(0) : form.number("angle", 0, 720);
        if (taken.isPresent() && !form.text("sure").equals("yes")) {
            bears(fastener.get(), taken.get().most(), field, form);
        }
        if (form.fits() && taken.isPresent() && angle.isPresent()) {
            specs.add(
                    by,
                    job.vehicle(),
                    Cards.specKey(step, fastener.get()),
                    form.text(field) + (angle.getAsDouble() > 0 ? " + " + form.text("angle") + "°" : ""),
                    new TorqueSpec(
                            taken.get().least(),
                            taken.get().most(),
                            angle.getAsDouble(),
                            source,
                            form.line("reference", 120)));
        }
    }

    private static void bears(Step.Fastener fastener, Torque torque, String field, Form form) {
        ScrewThread.read(fastener.thread())
                .map(thread -> Plausible.range(thread, Optional.empty()))
                .filter(range -> !range.holds(torque))
                .ifPresent(range -> form.problem(
                        field,
                        "problem.torque.bears",
                        "read",
                        form.text(field),
                        "thread",
                        fastener.thread(),
                        "least",
                        Long.toString(Math.round(range.least().newtonMetres())),
                        "most",
                        Long.toString(Math.round(range.most().newtonMetres()))));
    }
}
