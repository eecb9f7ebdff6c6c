package abbex.app.arrive;

import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.people.Person;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Deleting a customer: what goes is seen before it goes. */
@Controller
class CustomerController {
    private final Jobs jobs;
    private final Customers customers;
    private final JobHeads heads;

    CustomerController(Jobs jobs, Customers customers, JobHeads heads) {
        this.jobs = jobs;
        this.customers = customers;
        this.heads = heads;
    }

    @GetMapping("/jobs/{id}/blank-customer")
    ModelAndView look(@Me Person me, @PathVariable UUID id) {
        Job job = own(me, id);
        List<Customers.Written> written = customers.written(job);
        ModelAndView page = new ModelAndView("customer");
        page.addObject("head", heads.head(me.shop(), id, "arrive", Reader.of(me)));
        page.addObject("job", job);
        page.addObject(
                "found", written.stream().filter(Customers.Written::found).toList());
        page.addObject("others", written.stream().filter(w -> !w.found()).toList());
        page.addObject("stays", customers.otherStays(job));
        return page;
    }

    @PostMapping("/jobs/{id}/blank-customer")
    String delete(@Me Person me, @PathVariable UUID id, @RequestParam(required = false) List<String> gone) {
        customers.delete(me, own(me, id), gone == null ? Set.of() : Set.copyOf(gone));
        return "redirect:/jobs/" + id + "/arrive";
    }

    private Job own(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }
}
