package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.JobReceived;
import abbex.app.arrive.Jobs;
import abbex.app.page.JobHead;
import abbex.app.page.JobHeads;
import abbex.app.page.JobMark;
import abbex.app.page.JobMarks;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.core.heights.Stage;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** The head of a job's page, from its heights; and the first sheet of every job that is received. */
@Component
class HeadsFromSheets implements JobHeads {
    private final Jobs jobs;
    private final Sheets sheets;
    private final JobMarks marks;

    HeadsFromSheets(Jobs jobs, Sheets sheets, JobMarks marks) {
        this.marks = marks;
        this.jobs = jobs;
        this.sheets = sheets;
    }

    @EventListener
    void received(JobReceived received) {
        sheets.open(received.by(), received.job(), Stage.AS_ARRIVED, received.at());
    }

    @Override
    public JobHead head(UUID shop, UUID job, String station, Reader reader) {
        Job stay = jobs.find(shop, job).orElseThrow(NotHere::new);
        return head(stay, station, sheets.progress(shop, stay, reader), reader);
    }

    JobHead head(Job job, String station, Progress progress, Reader reader) {
        String kit = job.kit().isEmpty() ? "" : " · " + job.kit();
        String bay = job.where().bay().isEmpty() ? "" : job.where().bay() + " · ";
        String odometer = job.odometer().isEmpty() ? "" : job.odometer() + " · ";
        JobMark mark = marks.of(job.shop(), job.id(), reader);
        return new JobHead(
                job.id(),
                job.vehicle().plate(),
                job.vehicle().name() + kit,
                bay + odometer + (job.wish().isEmpty() ? job.customer() : "“" + job.wish() + "”"),
                Numerals.html(progress.summary()),
                station,
                progress.complete() ? 2 : progress.readings() > 0 ? 1 : 0,
                mark,
                next(mark, progress),
                job.vehicle().kind().singleTrack());
    }

    /** A card in hand goes on; then what stops the vehicle; then what its heights ask for. */
    private static JobHead.Next next(JobMark mark, Progress progress) {
        if (mark.work() != null) {
            return new JobHead.Next(mark.work().next(), mark.work().link());
        }
        boolean first = mark.mark().equals("stop")
                || progress.complete() && !mark.link().isEmpty();
        return first ? new JobHead.Next(mark.title(), mark.link()) : new JobHead.Next(progress.act(), progress.path());
    }
}
