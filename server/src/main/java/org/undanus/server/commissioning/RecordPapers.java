package org.undanus.server.commissioning;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;
import org.undanus.server.commissioning.RecordMapper.DocumentRow;
import org.undanus.server.commissioning.RecordMapper.DocumentState;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Digest;
import org.undanus.server.upload.ArrivedFile;
import org.undanus.server.upload.FileName;
import org.undanus.server.upload.PdfPages;
import org.undanus.server.upload.Upload;
import org.undanus.server.work.Gate;

/** The papers that commissioning records stand on, and where on them each value stands. */
@Service
class RecordPapers {
    private static final int MOST_DOCUMENTS = 20;
    private static final String PDF = "application/pdf";
    /** Pages drawn at once; a large one takes a second. */
    private static final int DRAWN_AT_ONCE = 2;

    private static final Duration PATIENCE = Duration.ofSeconds(20);

    /** Where a value stands on a document; shares of its page, from 0 to 1. */
    record Box(String document, int page, double left, double top, double width, double height) {
        private boolean within() {
            return page >= 1
                    && left >= 0
                    && top >= 0
                    && width > 0
                    && height > 0
                    && left + width <= 1
                    && top + height <= 1;
        }
    }

    private final Clock clock;
    private final RecordMapper mapper;
    private final CommissioningRecords records;
    private final CaseFiles cases;
    private final Journal journal;
    private final Gate gate = new Gate(DRAWN_AT_ONCE, PATIENCE);

    RecordPapers(Clock clock, RecordMapper mapper, CommissioningRecords records, CaseFiles cases, Journal journal) {
        this.clock = clock;
        this.mapper = mapper;
        this.records = records;
        this.cases = cases;
        this.journal = journal;
    }

    List<DocumentRow> of(String record) {
        return mapper.documents(record);
    }

    /**
     * Keeps the paper it stands on.
     *
     * @throws UnsuitableException where it is neither a picture nor a PDF
     */
    @Transactional
    DocumentRow attach(String id, String name, byte[] content, Person person) {
        records.visible(id, person);
        if (!person.inspects() && mapper.questions(id).stream().allMatch(each -> each.answer() != null)) {
            throw new NotAllowedException("A crew adds papers to answer a question; none is open.");
        }
        return keep(id, new ArrivedFile(name, content, person.name(), clock.instant()), person);
    }

    /** Keeps a paper as it came. */
    DocumentRow keep(String id, ArrivedFile paper, Person person) {
        byte[] content = paper.content();
        String called = FileName.clean(paper.name());
        if (mapper.documents(id).size() >= MOST_DOCUMENTS) {
            throw new UnsuitableException(
                    "file", Text.of("A record has {mostDocuments} documents at most.", MOST_DOCUMENTS));
        }
        String type = Upload.mediaType(content)
                .orElseThrow(() -> new UnsuitableException(
                        "file",
                        "A photo is a PNG or JPEG, or a PDF; this is none, by its content. Nothing was saved."));
        Integer pages = type.equals(PDF) ? gate.through(() -> PdfPages.count(content)) : null;
        DocumentRow row = new DocumentRow(
                UUID.randomUUID().toString(),
                id,
                called,
                type,
                Digest.sha256(content),
                content.length,
                pages,
                paper.addedBy(),
                paper.addedAt());
        mapper.insertDocument(row, content);
        journal.write(person.name(), "record-document.added", row.id(), new DocumentState(row, row.sha256()));
        return row;
    }

    /**
     * A page of a document as a picture.
     *
     * @param page from 1
     * @throws NotFoundException where it has no such page, or is a picture itself
     */
    byte[] page(String id, int page, Person person) {
        Content document = document(id, person);
        if (document.row().pages() == null) {
            throw new NotFoundException("A picture has no pages.");
        }
        return gate.through(() -> PdfPages.png(document.content(), page));
    }

    /** A document with its content. */
    record Content(DocumentRow row, byte[] content) {}

    @Transactional(readOnly = true)
    Content document(String id, Person person) {
        DocumentRow row = mapper.document(id);
        if (row == null) {
            throw new NotFoundException("There is no such document.");
        }
        records.visible(row.recordId(), person);
        return new Content(row, mapper.content(id).content());
    }

    /**
     * Draws the box round a value; empty takes it away.
     *
     * @throws ConflictException where the value has its box already
     */
    @Transactional
    ClaimRow box(String claim, Optional<Box> box, Person person) {
        CommissioningRecords.requireOffice(person);
        ClaimRow before = mapper.claim(claim);
        if (before == null) {
            throw new NotFoundException("There is no such value.");
        }
        cases.openForWriting(records.visible(before.recordId(), person).installationId(), person);
        return box(before, box, person);
    }

    ClaimRow box(ClaimRow before, Optional<Box> box, Person person) {
        if (box.isPresent() && before.documentId() != null) {
            throw new ConflictException(
                    "This value has its box already. Take that away first. Nothing was saved.",
                    "",
                    before.documentId());
        }
        box.ifPresent(drawn -> {
            DocumentRow document = mapper.document(drawn.document());
            if (document == null || !document.recordId().equals(before.recordId())) {
                throw new UnsuitableException("document", "This record has no such document. Nothing was saved.");
            }
            if (!drawn.within() || drawn.page() > (document.pages() == null ? 1 : document.pages())) {
                throw new UnsuitableException("box", "A box lies on a page, and has a size. Nothing was saved.");
            }
        });
        ClaimRow now = new ClaimRow(
                before.id(),
                before.recordId(),
                before.point(),
                before.component(),
                before.typed(),
                before.claimedAt(),
                before.instrument(),
                box.map(Box::document).orElse(null),
                box.map(Box::page).orElse(null),
                box.map(Box::left).orElse(null),
                box.map(Box::top).orElse(null),
                box.map(Box::width).orElse(null),
                box.map(Box::height).orElse(null));
        mapper.box(now);
        journal.write(person.name(), "claim.boxed", now.id(), now);
        return now;
    }
}
