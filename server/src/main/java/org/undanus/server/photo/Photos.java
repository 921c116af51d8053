package org.undanus.server.photo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.correction.Correction;
import org.undanus.server.correction.Corrections;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.Journal;
import org.undanus.server.photo.PhotoMapper.MarksRow;
import org.undanus.server.photo.PhotoMapper.PhotoRow;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Moment;
import org.undanus.server.upload.PdfPages;
import org.undanus.server.work.Gate;
import org.undanus.view.CaseFile;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The photos there are, and the papers that hang on lines as photos do. None is ever changed. */
@Service
public class Photos {

    /** What a photo hangs on: a line, a unit or a correction. */
    public record Hook(Optional<String> point, Optional<String> component, Optional<String> correction) {}

    /**
     * Who hung it and when.
     *
     * @param takenAt where it is known otherwise than from the file
     */
    public record Origin(String by, Instant at, Optional<Instant> takenAt) {}

    /** A picture to show or hand out. */
    public record Picture(String mediaType, byte[] content) {}

    /** Of one photo's file. */
    public static final long MOST_BYTES = 12 * 1024 * 1024L;

    private static final TypeReference<List<PhotoMark>> MARKS = new TypeReference<>() {};
    private static final int MOST_MARKS = 20;
    private static final int DECODED_AT_ONCE = 2;
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Clock clock;
    private final Gate gate = new Gate(DECODED_AT_ONCE, PATIENCE);
    private final PhotoMapper mapper;
    private final CaseFiles cases;
    private final Corrections corrections;
    private final Journal journal;
    private final JsonMapper json;

    Photos(
            Clock clock,
            PhotoMapper mapper,
            CaseFiles cases,
            Corrections corrections,
            Journal journal,
            JsonMapper json) {
        this.clock = clock;
        this.json = json;
        this.mapper = mapper;
        this.cases = cases;
        this.corrections = corrections;
        this.journal = journal;
    }

    /** All of an installation, oldest first. */
    @Transactional(readOnly = true)
    public List<Photo> of(CaseFile file) {
        String installation = file.header().id();
        Map<String, MarksRow> drawn =
                mapper.marksOf(installation).stream().collect(Collectors.toMap(MarksRow::photoId, Function.identity()));
        return mapper.of(installation).stream()
                .map(row -> photo(row, drawn.get(row.id())))
                .toList();
    }

    /**
     * Keeps a photo.
     *
     * @throws UnsuitableException when it cannot be taken or hangs on nothing
     */
    @Transactional
    public Photo keep(CaseFile file, Hook hook, byte[] content, Person person, Origin origin) {
        requireHook(hook, file);
        PhotoFile read =
                gate.through(() -> PhotoFile.of(content, file.facts().site().zone()));
        if (read.mediaType().equals(PhotoFile.PDF) && hook.point().isEmpty()) {
            throw new UnsuitableException(
                    "photo", "A PDF hangs on a line; here a JPEG or PNG picture can. Nothing was saved.");
        }
        Instant kept = origin.at().truncatedTo(ChronoUnit.MILLIS);
        PhotoRow row = new PhotoRow(
                UUID.randomUUID().toString(),
                file.header().id(),
                hook.point().orElse(null),
                hook.component().orElse(null),
                hook.correction().orElse(null),
                read.sha256(),
                read.mediaType(),
                read.width(),
                read.height(),
                read.takenAt().or(origin::takenAt).orElse(null),
                read.position().map(PhotoFile.Position::latitude).orElse(null),
                read.position().map(PhotoFile.Position::longitude).orElse(null),
                origin.by(),
                kept);
        mapper.insert(row, read.content(), read.thumbnail());
        journal.write(person.name(), "photo.added", row.id(), row.state(read.content(), read.thumbnail()));
        return photo(row);
    }

    /**
     * Hangs a photo that somebody takes or drops now.
     *
     * @throws ConflictException where it would hang on a correction that has ended
     * @throws UnsuitableException when it cannot be taken or hangs on nothing
     */
    @Transactional
    public Photo hang(CaseFile file, Hook hook, byte[] content, Person person) {
        hook.correction().ifPresent(id -> corrections.requireOpen(id, file));
        return keep(file, hook, content, person, new Origin(person.name(), clock.instant(), Optional.empty()));
    }

    private void requireHook(Hook hook, CaseFile file) {
        if (hook.correction().isPresent()) {
            String wanted = hook.correction().get();
            if (corrections.of(file).stream().map(Correction::id).noneMatch(wanted::equals)) {
                throw new NotFoundException("This installation has no such correction.");
            }
            return;
        }
        String component = hook.component()
                .orElseThrow(
                        () -> new UnsuitableException("component", "A photo hangs on a line, a unit or a correction."));
        if (hook.point().isPresent()) {
            file.line(new PointKey(hook.point().get(), component))
                    .orElseThrow(() -> new NotFoundException("This installation has no such line."));
        } else if (file.facts().subject(component).isEmpty()) {
            throw new NotFoundException("This installation has no such unit.");
        }
    }

    /**
     * Draws arrows and circles over a photo, in place of those before; the picture itself stays.
     *
     * @param version of those that were seen, 0 for none
     * @throws ConflictException where somebody drew others meanwhile
     */
    @Transactional
    public Photo mark(String id, List<PhotoMark> marks, int version, Person person) {
        PhotoRow row = visible(id, person);
        cases.openForWriting(row.installationId(), person);
        if (marks.size() > MOST_MARKS || !marks.stream().allMatch(PhotoMark::within)) {
            throw new UnsuitableException(
                    "marks",
                    Text.of(
                            "At most {mostMarks} arrows and circles, all within the picture. Nothing was saved.",
                            MOST_MARKS));
        }
        if (photo(row).marksVersion() != version) {
            throw new ConflictException(
                    "Someone drew on this photo meanwhile. Nothing was saved; look at theirs first.",
                    marks,
                    photo(row));
        }
        MarksRow drawn = new MarksRow(
                id, version + 1, json.writeValueAsString(marks), person.name(), Moment.kept(clock.instant()));
        mapper.insertMarks(drawn);
        journal.write(person.name(), "photo-marks.drawn", drawn.subject(), drawn);
        return photo(row);
    }

    private PhotoRow visible(String id, Person person) {
        PhotoRow row = mapper.find(id);
        if (row == null) {
            throw new NotFoundException("There is no such photo.");
        }
        cases.open(row.installationId(), person);
        return row;
    }

    /** Of all of an installation's files together, in bytes. */
    @Transactional(readOnly = true)
    public long bytes(CaseFile file) {
        return mapper.bytes(file.header().id());
    }

    /**
     * What is seen of it: the picture, or a page of the paper.
     *
     * @param withPosition whether what the camera wrote stays in
     * @param page of a paper, from 1
     * @throws NotFoundException where a paper has no such page
     */
    @Transactional(readOnly = true)
    public Picture picture(String id, boolean withPosition, int page, Person person) {
        Picture kept = file(id, withPosition, person);
        return kept.mediaType().equals(PhotoFile.PDF)
                ? new Picture("image/png", gate.through(() -> PdfPages.png(kept.content(), page)))
                : kept;
    }

    /**
     * The file as it came in.
     *
     * @param withPosition whether what the camera wrote stays in
     */
    @Transactional(readOnly = true)
    public Picture file(String id, boolean withPosition, Person person) {
        visible(id, person);
        PhotoMapper.Picture kept = mapper.content(id);
        return new Picture(
                kept.mediaType(), withPosition ? kept.content() : withoutPosition(kept.content(), kept.mediaType()));
    }

    /** Whether something with this digest was taken as a photo. */
    @Transactional(readOnly = true)
    public boolean holds(String sha256) {
        return mapper.holds(sha256);
    }

    /** What was taken as a photo with this digest, as it came in; whoever asks has seen to it that it may be seen. */
    @Transactional(readOnly = true)
    public Optional<byte[]> ofDigest(String sha256) {
        return Optional.ofNullable(mapper.ofDigest(sha256)).map(PhotoMapper.Picture::content);
    }

    /** A picture without what its camera wrote about the place; anything else as it is. */
    public static byte[] withoutPosition(byte[] content, String mediaType) {
        return mediaType.startsWith("image/") ? WithoutPosition.of(content, mediaType) : content;
    }

    @Transactional(readOnly = true)
    public Picture thumbnail(String id, Person person) {
        visible(id, person);
        PhotoMapper.Picture kept = mapper.thumbnail(id);
        return new Picture(kept.mediaType(), kept.content());
    }

    /** A thumbnail for paper: what was drawn over the photo is drawn into it. */
    @Transactional(readOnly = true)
    public Picture marked(Photo photo, Person person) {
        Picture plain = thumbnail(photo.id(), person);
        return photo.marks().isEmpty()
                ? plain
                : new Picture(plain.mediaType(), DrawnMarks.over(plain.content(), photo.marks()));
    }

    private Photo photo(PhotoRow row) {
        return photo(row, mapper.marks(row.id()));
    }

    /** @param drawn the marks that stand on it, null for none */
    private Photo photo(PhotoRow row, MarksRow drawn) {
        return new Photo(
                row.id(),
                Optional.ofNullable(row.point()),
                Optional.ofNullable(row.component()),
                Optional.ofNullable(row.correctionId()),
                row.sha256(),
                row.mediaType(),
                row.width(),
                row.height(),
                Optional.ofNullable(row.takenAt()),
                row.latitude() != null,
                row.addedBy(),
                row.addedAt(),
                drawn == null ? List.of() : json.readValue(drawn.marks(), MARKS),
                drawn == null ? 0 : drawn.version());
    }
}
