package abbex.app.measure;

import abbex.app.arrive.VehicleFacts;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.rules.OwnPoint;
import abbex.app.rules.Rules;
import abbex.core.figure.Place;
import abbex.core.heights.PointMethod;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import abbex.core.vehicle.Whole;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Points that the shop names itself: a splitter, a hitch, a shock's eye. */
@Controller
class PointController {
    private static final int LONGEST = 40;
    /** More than anybody would read at one vehicle (ours). */
    private static final int MOST = 20;

    private final MeasurePages pages;
    private final Rules rules;
    private final Words words;

    PointController(MeasurePages pages, Rules rules, Words words) {
        this.pages = pages;
        this.rules = rules;
        this.words = words;
    }

    /** Where a point may lie. */
    enum Where {
        CORNERS(Corner.LF, Corner.RF, Corner.RR, Corner.LR),
        FRONT(Corner.LF, Corner.RF),
        REAR(Corner.RR, Corner.LR),
        ONE();

        private final List<Corner> corners;

        Where(Corner... corners) {
            this.corners = List.of(corners);
        }

        List<Place> of(VehicleKind kind) {
            return corners.isEmpty() ? List.of(Whole.VEHICLE) : kind.called(corners);
        }
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/points")
    ModelAndView name(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            @RequestParam Map<String, String> parameters) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        VehicleFacts vehicle = opened.job().vehicle();
        Form form = new Form(me, words, parameters);
        String name = form.named("pointName", LONGEST, "problem.point.name");
        if (opened.own().size() >= MOST) {
            form.problem("pointName", "problem.point.many", "most", Integer.toString(MOST));
        }
        if (opened.own().stream().anyMatch(p -> p.name().equalsIgnoreCase(name))) {
            form.problem("pointName", "problem.point.there", "name", name);
        }
        if (!form.fits()) {
            return pages.page(me, opened, MeasurePages.chosen(opened, parameters.get("method")), null, form, "measure");
        }
        rules.name(
                me,
                name,
                vehicle.kind(),
                "ALL".equals(parameters.get("pointFor")) ? null : vehicle.id(),
                where(parameters.get("pointWhere")).of(vehicle.kind()),
                !"NO".equals(parameters.get("pointTyre")),
                List.of("NO", "SIDEWAYS").indexOf(form.text("pointFloor")) < 0,
                "SIDEWAYS".equals(form.text("pointFloor")));
        List<PointMethod> own =
                pages.open(me, id, sheetId, against).all().rules().points(vehicle.kind(), vehicle.id());
        return to(opened, own.get(own.size() - 1).code());
    }

    /** It is offered no more; what was read there stays on its sheets. */
    @PostMapping("/jobs/{id}/sheets/{sheetId}/points/{code}/withdraw")
    ModelAndView withdraw(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @PathVariable String code,
            @RequestParam(required = false) @Nullable UUID against) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        OwnPoint point = opened.all().rules().points().stream()
                .filter(p -> p.way().code().equals(code))
                .findFirst()
                .orElseThrow(NotHere::new);
        rules.withdraw(me, point);
        return to(opened, "");
    }

    private static ModelAndView to(MeasurePages.Opened opened, String round) {
        String query = (round.isEmpty() ? "" : "&method=" + round) + opened.keep();
        return new ModelAndView("redirect:/jobs/" + opened.job().id() + "/sheets/"
                + opened.sheet().row().id() + (query.isEmpty() ? "" : "?" + query.substring(1)));
    }

    private static Where where(@Nullable String text) {
        for (Where where : Where.values()) {
            if (where.name().equals(text)) {
                return where;
            }
        }
        return Where.CORNERS;
    }
}
