package org.undanus.server.toolcase;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Instrument;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import tools.jackson.databind.json.JsonMapper;

/** The instruments there are. Read once; an instrument that is kept never changes. */
@Service
public class Toolcase {
    private final InstrumentMapper mapper;
    private final Journal journal;
    private final JsonMapper json;
    private volatile Map<String, Instrument> read;

    Toolcase(InstrumentMapper mapper, Journal journal, JsonMapper json) {
        this.mapper = mapper;
        this.journal = journal;
        this.json = json;
    }

    public List<Instrument> instruments() {
        return List.copyOf(byId().values());
    }

    public Optional<Instrument> find(String id) {
        return Optional.ofNullable(byId().get(id));
    }

    private Map<String, Instrument> byId() {
        Map<String, Instrument> known = read;
        if (known == null) {
            known = records().stream()
                    .map(InstrumentRecord::instrument)
                    .collect(Collectors.toMap(Instrument::id, Function.identity(), (a, b) -> a, LinkedHashMap::new));
            read = known;
        }
        return known;
    }

    public List<InstrumentRecord> records() {
        return mapper.all().stream()
                .map(content -> json.readValue(content, InstrumentRecord.class))
                .toList();
    }

    /**
     * Keeps instruments; those already kept word for word are passed over.
     *
     * @throws ConflictException when one is kept with other figures
     */
    @Transactional
    public void add(List<InstrumentRecord> instruments, String by, Instant at) {
        for (InstrumentRecord instrument : instruments) {
            instrument.instrument();
            String content = json.writeValueAsString(instrument);
            String kept = mapper.find(instrument.id());
            if (kept == null) {
                mapper.insert(instrument.id(), content);
                journal.write(at, by, "instrument.added", instrument.id(), Map.of("content", content));
            } else if (!json.readValue(kept, InstrumentRecord.class).equals(instrument)) {
                throw new ConflictException(
                        "A different instrument " + instrument.id() + " is already kept. Nothing was changed.",
                        instrument,
                        json.readValue(kept, InstrumentRecord.class));
            }
        }
        read = null;
    }
}
