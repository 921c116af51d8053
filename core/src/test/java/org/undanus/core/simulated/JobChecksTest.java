package org.undanus.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.audit.AboutCheck;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.JobFound;
import org.undanus.core.audit.JobsAuditor;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Point;
import org.undanus.core.quantity.Length;

/** Records of a crew beside each other: honest ones, doctored ones, and too few to tell. */
class JobChecksTest {
    private static final Point LIQUID =
            RecordLines.point("charge.liquid-pressure").orElseThrow();

    private static List<RecordedJob> crew(int jobs) {
        Random random = new Random(11);
        return new ArrayList<>(IntStream.range(0, jobs)
                .mapToObj(i -> new RecordedJob(
                        random,
                        CaseFixture.PLATE_BOOK,
                        "J-" + i,
                        "Building " + i,
                        "Crew",
                        "Fitter",
                        LocalDateTime.of(2026, 6, 1, 7, 30).plusDays(2L * i),
                        "R32",
                        Length.ofMetres(640),
                        RecordedJob.Writer.TENTHS))
                .toList());
    }

    private static List<JobFound> audit(List<RecordedJob> jobs) {
        List<CommissioningRecord> records =
                jobs.stream().map(RecordedJob::record).toList();
        return JobsAuditor.audit(records, records, CaseFixture.PLATE_BOOK);
    }

    private static List<JobFound> doubts(List<JobFound> found, String check) {
        return found.stream()
                .filter(each ->
                        each.found().doubtful() && each.found().about().id().equals(check))
                .toList();
    }

    @Test
    void anHonestCrewIsLeftAlone() {
        List<JobFound> found = audit(crew(20));
        assertThat(found)
                .extracting(each -> each.found().about().id())
                .contains("jobs.same-readings", "jobs.same-times", "jobs.copied-course", "jobs.small-spread");
        assertThat(found).noneMatch(each -> each.found().doubtful());
    }

    @Test
    void ofTooFewNothingIsTold() {
        assertThat(audit(crew(1))).isEmpty();
        assertThat(doubts(audit(crew(4)), "jobs.same-readings")).isEmpty();
        assertThat(JobsAuditor.audit(List.of(), List.of(), CaseFixture.PLATE_BOOK))
                .isEmpty();
    }

    @Test
    void aCopiedRecordIsFoundWithTheOneItIsOf() {
        List<RecordedJob> jobs = crew(12);
        Doctoring.COPIED.apply(jobs.get(8), jobs.get(3), new Random(1));
        assertThat(doubts(audit(jobs), "jobs.same-readings"))
                .extracting(each -> each.record().orElseThrow().reference() + " "
                        + each.other().orElseThrow().reference())
                .containsExactly("J-8 J-3");
        assertThat(audit(jobs))
                .as("the earlier one was not written from the later")
                .filteredOn(each -> each.found().outcome() == Found.Consistency.SOURCE)
                .extracting(each -> each.record().orElseThrow().reference())
                .containsExactly("J-3");
    }

    @Test
    void theSameLengthsOfTimeOnAnotherJobAreFound() {
        List<RecordedJob> jobs = crew(20);
        long days = ChronoUnit.DAYS.between(
                jobs.get(2).time(RecordLines.STARTED).toLocalDate(),
                jobs.get(9).time(RecordLines.STARTED).toLocalDate());
        List.of(
                        RecordLines.TEST_BEGUN,
                        RecordLines.TEST_ENDED,
                        RecordLines.PUMP_ON,
                        RecordLines.VACUUM_ENDED,
                        RecordLines.OPENED,
                        RecordLines.STARTED)
                .forEach(step -> jobs.get(9).retime(step, jobs.get(2).time(step).plusDays(days)));
        JobFound nearest = audit(jobs).stream()
                .filter(each -> each.found().about().id().equals("jobs.same-times")
                        && each.record().orElseThrow().reference().equals("J-9"))
                .findFirst()
                .orElseThrow();
        assertThat(nearest.other().orElseThrow().reference()).isEqualTo("J-2");
        assertThat(nearest.found().because().toString()).startsWith("5 of 5 lengths of time");
    }

    @Test
    void aCourseOfAnotherJobIsLaidOverIt() {
        List<RecordedJob> jobs = crew(12);
        Doctoring.SCALED_COURSE.apply(jobs.get(0), jobs.get(5), new Random(1));
        JobFound found = doubts(audit(jobs), "jobs.copied-course").get(0);
        assertThat(found.found().overlay().orElseThrow().firstOf()).isIn("J-0", "J-5");
        assertThat(found.found().overlay().orElseThrow().secondOf()).isIn("J-0", "J-5");
    }

    @Test
    void onePersonIsNotInTwoBuildings() {
        List<RecordedJob> jobs = crew(6);
        Doctoring.TWO_PLACES.apply(jobs.get(1), jobs.get(4), new Random(1));
        assertThat(doubts(audit(jobs), "jobs.two-places"))
                .extracting(each -> each.record().orElseThrow().reference())
                .containsExactlyInAnyOrder("J-1", "J-4");
    }

    @Test
    void aLineThatFollowsTheWeatherButNeverChangesIsFound() {
        List<RecordedJob> jobs = crew(8);
        jobs.forEach(job -> job.rewrite(LIQUID, "340 psig"));
        assertThat(doubts(audit(jobs), "jobs.small-spread")).singleElement().satisfies(each -> assertThat(
                        each.found().because().toString())
                .startsWith("Liquid line, pressure: on 8 jobs"));
    }

    @Test
    void lastDigitsThatAreChosenAreFoundAndFivesAreAHabit() {
        List<RecordedJob> jobs = crew(60);
        Random random = new Random(3);
        jobs.forEach(job -> job.rewrite(
                LIQUID,
                String.format(
                        Locale.ROOT, "%d psig", 300 + 10 * random.nextInt(9) + (random.nextInt(4) == 0 ? 3 : 7))));
        assertThat(doubts(audit(jobs), "jobs.last-digits"))
                .extracting(each -> each.found().because().toString())
                .anyMatch(words -> words.startsWith("Liquid line, pressure: of 60 numbers"));
        jobs.forEach(job -> job.rewrite(LIQUID, String.format(Locale.ROOT, "%d psig", 300 + 5 * random.nextInt(17))));
        assertThat(doubts(audit(jobs), "jobs.last-digits")).isEmpty();
    }

    @Test
    void everyCheckHasItsWords() {
        assertThat(JobsAuditor.abouts())
                .extracting(AboutCheck::id)
                .doesNotHaveDuplicates()
                .allSatisfy(id -> assertThat(id).startsWith("jobs."));
        assertThat(JobsAuditor.abouts()).allSatisfy(about -> {
            assertThat(about.innocent()).isNotEmpty();
            assertThat(about.cannot()).isNotBlank();
            assertThat(about.sources()).isNotEmpty();
        });
    }
}
