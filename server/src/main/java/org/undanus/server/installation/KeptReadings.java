package org.undanus.server.installation;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.words.Text;
import org.undanus.server.installation.InstallationMapper.ReadingRow;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;

/** Keeps readings: they are only ever added. */
@Service
public class KeptReadings {

    private static final int ASKED_AT_ONCE = 500;

    private final InstallationMapper mapper;
    private final CaseRows rows;
    private final Journal journal;

    KeptReadings(InstallationMapper mapper, CaseRows rows, Journal journal) {
        this.mapper = mapper;
        this.rows = rows;
        this.journal = journal;
    }

    /** On which visit each reading was taken, counted from 0. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> visitNumbers(CaseFile.Header header) {
        List<String> order = header.visits().stream().map(CaseFile.Visit::id).toList();
        return mapper.readings(header.id()).stream()
                .collect(Collectors.toMap(row -> UUID.fromString(row.id()), row -> order.indexOf(row.visitId())));
    }

    /** Where a reading of this id has been kept: the installation's id and the reading. */
    @Transactional(readOnly = true)
    public Optional<Map.Entry<String, Reading>> keptReading(UUID id) {
        return Optional.ofNullable(mapper.reading(id.toString()))
                .flatMap(row -> rows.reading(row, mapper.visit(row.visitId()).stage())
                        .map(reading -> Map.entry(row.installationId(), reading)));
    }

    /** Those of these ids that a reading is kept under. */
    @Transactional(readOnly = true)
    public Set<String> keptAmong(List<String> ids) {
        Set<String> kept = new HashSet<>();
        for (int from = 0; from < ids.size(); from += ASKED_AT_ONCE) {
            kept.addAll(mapper.readingsAmong(ids.subList(from, Math.min(ids.size(), from + ASKED_AT_ONCE))));
        }
        return kept;
    }

    /**
     * Keeps a reading.
     *
     * @param by who brought it in, which the journal keeps; the reading itself keeps who it says took it, and when
     * @throws UnsuitableException where the visit is sealed; what a crew answers afterwards stands beside the seal
     */
    @Transactional
    public void keep(Reading reading, CaseFile.Header header, String by) {
        header.visit().sealedAs().filter(number -> !reading.byCrew()).ifPresent(number -> {
            throw new UnsuitableException(
                    "visit",
                    Text.of(
                            "This visit is sealed as {number}. Begin a re-visit to read again. Nothing was saved.",
                            number));
        });
        Optional<Value.Measured> measured =
                reading.value() instanceof Value.Measured m ? Optional.of(m) : Optional.empty();
        ReadingRow row = new ReadingRow(
                reading.id().toString(),
                header.id(),
                header.visitId(),
                reading.key().point(),
                reading.key().component(),
                reading.typed(),
                measured.map(m -> m.quantity().si()).orElse(null),
                measured.map(Value.Measured::standardUncertainty).orElse(null),
                measured.map(Value.Measured::resolution).orElse(null),
                reading.unit(),
                reading.instrument().orElse(null),
                reading.grade(),
                reading.by(),
                reading.at(),
                reading.byCrew() ? true : null);
        mapper.insertReading(row);
        journal.write(by, "reading.added", row.id(), row);
    }
}
