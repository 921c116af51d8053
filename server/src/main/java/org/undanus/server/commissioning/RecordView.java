package org.undanus.server.commissioning;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.audit.Agreement;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.ReReadPlan;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Severity;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;
import org.undanus.server.commissioning.RecordMapper.DocumentRow;
import org.undanus.server.commissioning.RecordMapper.QuestionRow;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.view.CaseFile;
import org.undanus.view.FoundView;

/**
 * A record with what does not fit together.
 *
 * @param found everything that was checked, doubts first; empty for a crew as long as it is not released
 * @param readAgain in walking order, within the minutes asked for
 */
record RecordView(
        String id,
        String installationId,
        String reference,
        String title,
        String building,
        String crew,
        String signedBy,
        LocalDate day,
        Optional<String> coldest,
        Optional<String> warmest,
        boolean released,
        int version,
        List<ClaimView> values,
        List<PaperView> documents,
        List<FoundView> found,
        List<ReReadLine> readAgain,
        List<QuestionView> questions) {

    record BoxView(String document, int page, double left, double top, double width, double height) {}

    /**
     * @param own what others read on the line; empty where nobody did
     * @param agreement how the two stand to each other; empty where nobody read it or the crew may not see it yet
     * @param doubted whether a doubt rests on it
     */
    record ClaimView(
            String id,
            String point,
            String component,
            String title,
            String typed,
            Optional<String> readAt,
            Optional<String> instrument,
            Optional<String> own,
            Optional<Agreement> agreement,
            boolean doubted,
            Optional<BoxView> box) {}

    /** @param pages of a PDF, to be shown one by one; empty where it is a picture */
    record PaperView(
            String id,
            String name,
            String mediaType,
            int bytes,
            Optional<Integer> pages,
            String addedBy,
            Instant addedAt) {}

    record QuestionView(
            String id,
            String check,
            String subject,
            String question,
            String askedBy,
            Instant askedAt,
            Optional<String> answer,
            Optional<String> answeredBy,
            Optional<Instant> answeredAt,
            List<String> readings) {}

    /** @param why what was found there */
    record ReReadLine(String point, String component, String title, Severity stake, String why, String station) {}

    /** What is kept of a record, and what was found in it. */
    record Material(
            CommissioningRecords.Audited audited,
            List<ClaimRow> claims,
            List<DocumentRow> papers,
            List<QuestionRow> questions) {}

    /**
     * @param sees whether what was found may be seen
     * @param minutes there are for reading lines again
     */
    static RecordView of(Material from, boolean sees, Wording wording, int minutes) {
        CommissioningRecords.Audited audited = from.audited();
        RecordRow row = audited.row();
        CaseFile file = audited.file();
        Evidence own = CommissioningRecords.own(file);
        List<Found> found = sees
                ? audited.found().stream()
                        .sorted(Comparator.comparingInt(RecordView::rank))
                        .toList()
                : List.of();
        List<ReReadLine> again = sees
                ? ReReadPlan.of(
                                file.facts(),
                                audited.record(),
                                own,
                                file.rules(),
                                audited.found(),
                                Duration.ofSeconds(minutes * 60.0))
                        .stream()
                        .map(line -> again(line, file, wording))
                        .toList()
                : List.of();
        QuantityFormat format = QuantityFormat.of(wording.units());
        return new RecordView(
                row.id(),
                row.installationId(),
                file.header().reference(),
                file.header().title(),
                file.header().building(),
                file.header().crew(),
                row.signedBy(),
                row.recordedOn(),
                Optional.ofNullable(row.coldest()).map(k -> format.format(Dimension.TEMPERATURE.of(k))),
                Optional.ofNullable(row.warmest()).map(k -> format.format(Dimension.TEMPERATURE.of(k))),
                row.released(),
                row.version(),
                from.claims().stream()
                        .map(claim -> claim(claim, file, own, found, wording))
                        .toList(),
                from.papers().stream().map(RecordView::paper).toList(),
                found.stream()
                        .map(each -> FoundView.of(each, subject(file, each.subject()), wording))
                        .toList(),
                again,
                from.questions().stream()
                        .map(asked -> question(asked, file, wording))
                        .toList());
    }

    /** Doubts first, then what is consistent, then what nothing can be told of. */
    private static int rank(Found found) {
        return found.doubtful() ? 0 : found.doubt().isPresent() ? 1 : 2;
    }

    private static ReReadLine again(ReReadPlan.Line line, CaseFile file, Wording wording) {
        Point point = RecordLines.point(line.key().point()).orElseThrow();
        return new ReReadLine(
                line.key().point(),
                line.key().component(),
                point.titled(subject(file, line.key().component())).in(wording),
                line.stake(),
                Text.of(
                                "{check}: {because}",
                                line.because().about().title(),
                                line.because().because())
                        .in(wording),
                line.key().point().split("\\.")[0]);
    }

    private static ClaimView claim(ClaimRow row, CaseFile file, Evidence own, List<Found> found, Wording wording) {
        PointKey key = new PointKey(row.point(), row.component());
        Optional<Point> point = RecordLines.point(row.point()).map(file.facts()::asked);
        Optional<String> read = own.latest(key).map(reading -> shown(reading, wording));
        return new ClaimView(
                row.id(),
                row.point(),
                row.component(),
                point.map(p -> p.titled(subject(file, row.component())).in(wording))
                        .orElse(row.point()),
                point.map(p -> p.said(row.typed())).orElse(row.typed()),
                Optional.ofNullable(row.claimedAt()).map(at -> at.replace('T', ' ')),
                Optional.ofNullable(row.instrument()),
                read,
                read.filter(any -> !found.isEmpty()).map(any -> Agreement.of(key, found)),
                found.stream().filter(Found::doubtful).anyMatch(each -> each.on()
                        .contains(key)),
                Optional.ofNullable(row.documentId()).map(drawn -> box(row)));
    }

    /** What a unit or part is called. */
    private static String subject(CaseFile file, String id) {
        return file.facts().subject(id).map(Subject::title).orElse("");
    }

    static PaperView paper(DocumentRow row) {
        return new PaperView(
                row.id(),
                row.name(),
                row.mediaType(),
                row.bytes(),
                Optional.ofNullable(row.pages()),
                row.addedBy(),
                row.addedAt());
    }

    static QuestionView question(QuestionRow row, CaseFile file, Wording wording) {
        List<String> ids = row.readingIds();
        return new QuestionView(
                row.id(),
                row.checkId(),
                row.subject(),
                row.question(),
                row.askedBy(),
                row.askedAt(),
                Optional.ofNullable(row.answer()),
                Optional.ofNullable(row.answeredBy()),
                Optional.ofNullable(row.answeredAt()),
                file.evidence().readings().stream()
                        .filter(reading -> ids.contains(reading.id().toString()))
                        .map(reading -> Text.of(
                                        "{line}: {reading}",
                                        RecordLines.point(reading.key().point())
                                                .map(point -> point.titled(subject(
                                                        file, reading.key().component())))
                                                .orElseGet(() ->
                                                        Text.plain(reading.key().point())),
                                        shown(reading, wording))
                                .in(wording))
                        .toList());
    }

    /** In the reader's units where it is a quantity, else as it was said. */
    private static String shown(Reading reading, Wording wording) {
        return reading.value().in(wording).orElseGet(() -> reading.said().in(wording));
    }

    static BoxView box(ClaimRow row) {
        return new BoxView(row.documentId(), row.page(), row.boxLeft(), row.boxTop(), row.boxWidth(), row.boxHeight());
    }
}
