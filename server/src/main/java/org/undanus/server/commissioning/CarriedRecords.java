package org.undanus.server.commissioning;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.CarriedRecord.CarriedBox;
import org.undanus.server.commissioning.CarriedRecord.CarriedQuestion;
import org.undanus.server.commissioning.CarriedRecord.CarriedValue;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;
import org.undanus.server.commissioning.RecordMapper.DocumentRow;
import org.undanus.server.commissioning.RecordMapper.QuestionRow;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.commissioning.RecordPapers.Box;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Moment;
import org.undanus.server.upload.ArrivedFile;
import org.undanus.server.upload.KeptFile;
import org.undanus.view.CaseFile;

/** Hands the records of an installation to a case file, and takes them from one. */
@Service
public class CarriedRecords {
    private final RecordMapper mapper;
    private final CommissioningRecords records;
    private final RecordPapers recordPapers;
    private final RecordQuestions recordQuestions;
    private final Clock clock;

    CarriedRecords(
            RecordMapper mapper,
            CommissioningRecords records,
            RecordPapers recordPapers,
            RecordQuestions recordQuestions,
            Clock clock) {
        this.clock = clock;
        this.mapper = mapper;
        this.records = records;
        this.recordPapers = recordPapers;
        this.recordQuestions = recordQuestions;
    }

    /** A record with the papers it stands on. */
    public record WithPapers(CarriedRecord record, List<KeptFile> papers) {}

    /** Those of an installation, oldest first. */
    @Transactional(readOnly = true)
    public List<WithPapers> of(CaseFile file) {
        return records.of(file).stream()
                .map(row -> {
                    List<DocumentRow> papers = mapper.documents(row.id());
                    return new WithPapers(
                            carried(row, papers.stream().map(DocumentRow::id).toList(), file),
                            papers.stream().map(DocumentRow::kept).toList());
                })
                .toList();
    }

    @Transactional(readOnly = true)
    public byte[] content(KeptFile paper) {
        return mapper.content(paper.id()).content();
    }

    private CarriedRecord carried(RecordRow row, List<String> papers, CaseFile file) {
        return new CarriedRecord(
                row.signedBy(),
                row.recordedOn(),
                Optional.ofNullable(row.coldest()).map(CarriedRecords::kelvin),
                Optional.ofNullable(row.warmest()).map(CarriedRecords::kelvin),
                row.broughtBy(),
                row.broughtAt(),
                Optional.of(row.released()).filter(told -> told),
                mapper.claims(row.id()).stream()
                        .map(claim -> new CarriedValue(
                                Optional.of(claim.id()),
                                claim.point(),
                                Optional.of(claim.component()).filter(name -> !name.isEmpty()),
                                CommissioningRecords.kept(claim, file),
                                Optional.ofNullable(claim.claimedAt()),
                                Optional.ofNullable(claim.instrument()),
                                Optional.ofNullable(claim.documentId())
                                        .map(paper -> new CarriedBox(
                                                papers.indexOf(paper) + 1,
                                                claim.page(),
                                                claim.boxLeft(),
                                                claim.boxTop(),
                                                claim.boxWidth(),
                                                claim.boxHeight()))))
                        .toList(),
                Optional.of(mapper.questions(row.id()).stream()
                                .map(CarriedRecords::carried)
                                .toList())
                        .filter(asked -> !asked.isEmpty()));
    }

    private static String kelvin(double si) {
        return Dimension.TEMPERATURE.of(si).si() + " K";
    }

    private static CarriedQuestion carried(QuestionRow row) {
        return new CarriedQuestion(
                row.checkId(),
                Optional.of(row.subject()).filter(name -> !name.isEmpty()),
                row.question(),
                row.askedBy(),
                row.askedAt(),
                Optional.ofNullable(row.answer()),
                Optional.ofNullable(row.answeredBy()),
                Optional.ofNullable(row.answeredAt()),
                Optional.of(row.readingIds()).filter(read -> !read.isEmpty()));
    }

    /**
     * Takes a record as another system kept it. The readings that came with it are in the file themselves; where the file was
     * written without papers, the boxes on them stay behind too.
     *
     * @param papers of this record, in their order
     * @throws UnsuitableException naming what cannot be taken
     */
    @Transactional
    public void keep(CaseFile file, CarriedRecord carried, List<ArrivedFile> papers, Person person) {
        if (carried.signedBy() == null
                || carried.day() == null
                || carried.broughtBy() == null
                || carried.broughtAt() == null
                || carried.values() == null
                || holdsNothing(carried.values(), value -> value.point() == null || value.typed() == null)) {
            throw new UnsuitableException(
                    "records",
                    "A record needs signedBy, day, broughtBy, broughtAt and values, each value its point and typed.");
        }
        String id = UUID.randomUUID().toString();
        UnderstoodSheet understood = UnderstoodSheet.of(sheet(carried, file), id, file, LocalDate.now(clock));
        List<ClaimRow> claims = new ArrayList<>();
        for (int index = 0; index < carried.values().size(); index++) {
            String own =
                    carried.values().get(index).id().map(CarriedRecords::uuid).orElse(null);
            if (own != null && mapper.claim(own) != null) {
                throw new UnsuitableException("records", "A value with this id is already saved.");
            }
            claims.add(
                    own == null
                            ? understood.claims().get(index)
                            : understood.claims().get(index).as(own));
        }
        records.keep(
                new RecordRow(
                        id,
                        file.header().id(),
                        understood.signedBy(),
                        understood.day(),
                        understood.weather().coldest(),
                        understood.weather().warmest(),
                        carried.broughtBy(),
                        Moment.kept(carried.broughtAt()),
                        carried.released().orElse(false),
                        1),
                claims,
                person);
        List<String> kept = papers.stream()
                .map(paper -> recordPapers.keep(id, paper, person).id())
                .toList();
        for (int index = 0; index < claims.size() && !kept.isEmpty(); index++) {
            ClaimRow claim = claims.get(index);
            carried.values()
                    .get(index)
                    .box()
                    .ifPresent(box -> recordPapers.box(claim, Optional.of(box(box, kept)), person));
        }
        for (CarriedQuestion question : carried.questions().orElse(List.of())) {
            keep(id, question, person);
        }
    }

    private static <T> boolean holdsNothing(List<T> all, Predicate<T> gap) {
        return all.stream().anyMatch(each -> each == null || gap.test(each));
    }

    private static RecordSheet sheet(CarriedRecord carried, CaseFile file) {
        List<RecordSheet.Row> rows = new ArrayList<>();
        for (CarriedValue value : carried.values()) {
            rows.add(new RecordSheet.Row(
                    rows.size() + 1,
                    value.point(),
                    value.component().orElse(""),
                    value.typed(),
                    value.readAt(),
                    value.instrument()));
        }
        return new RecordSheet(
                file.header().reference(),
                carried.signedBy(),
                carried.day().toString(),
                carried.coldest(),
                carried.warmest(),
                rows);
    }

    private static Box box(CarriedBox box, List<String> papers) {
        if (box.paper() < 1 || box.paper() > papers.size()) {
            throw new UnsuitableException("records", Text.of("A record has no paper number {paper}.", box.paper()));
        }
        return new Box(papers.get(box.paper() - 1), box.page(), box.left(), box.top(), box.width(), box.height());
    }

    private void keep(String record, CarriedQuestion question, Person person) {
        if (question == null
                || question.check() == null
                || question.question() == null
                || question.askedBy() == null
                || question.askedAt() == null
                || question.answer().isPresent() != question.answeredBy().isPresent()
                || question.answer().isPresent() != question.answeredAt().isPresent()) {
            throw new UnsuitableException(
                    "records",
                    "A question needs check, question, askedBy and askedAt, an answer answeredBy and answeredAt.");
        }
        recordQuestions.keep(
                new QuestionRow(
                        UUID.randomUUID().toString(),
                        record,
                        question.check(),
                        question.subject().orElse(""),
                        question.question(),
                        question.askedBy(),
                        Moment.kept(question.askedAt()),
                        question.answer().orElse(null),
                        question.answeredBy().orElse(null),
                        question.answeredAt().map(Moment::kept).orElse(null),
                        String.join(" ", question.readings().orElse(List.of()))),
                person);
    }

    private static String uuid(String text) {
        try {
            return UUID.fromString(text).toString();
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("records", "An id is a UUID.");
        }
    }
}
