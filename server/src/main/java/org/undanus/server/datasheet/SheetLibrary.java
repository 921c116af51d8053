package org.undanus.server.datasheet;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.DataSheets;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import tools.jackson.databind.json.JsonMapper;

/** The data sheets there are. Read once; a sheet that is kept never changes. */
@Service
public class SheetLibrary {
    private final SheetMapper mapper;
    private final Journal journal;
    private final JsonMapper json;
    private volatile DataSheets read;

    SheetLibrary(SheetMapper mapper, Journal journal, JsonMapper json) {
        this.mapper = mapper;
        this.journal = journal;
        this.json = json;
    }

    public DataSheets sheets() {
        DataSheets known = read;
        if (known == null) {
            known = DataSheets.of(records().stream().map(SheetRecord::sheet).toList());
            read = known;
        }
        return known;
    }

    public List<SheetRecord> records() {
        return mapper.all().stream()
                .map(content -> json.readValue(content, SheetRecord.class))
                .toList();
    }

    /** The sheets of these models, as files carry them. */
    public List<SheetRecord> recordsOf(List<String> models) {
        DataSheets all = sheets();
        List<String> exact = models.stream()
                .flatMap(m -> all.of(m).stream())
                .map(DataSheet::model)
                .toList();
        return records().stream().filter(sheet -> exact.contains(sheet.model())).toList();
    }

    /**
     * Keeps sheets; those already kept word for word are passed over.
     *
     * @throws ConflictException when a model is kept with other figures
     */
    @Transactional
    public void add(List<SheetRecord> sheets, String by, Instant at) {
        for (SheetRecord sheet : sheets) {
            sheet.sheet();
            String content = json.writeValueAsString(sheet);
            String kept = mapper.find(sheet.model());
            if (kept == null) {
                mapper.insert(sheet.model(), content);
                journal.write(at, by, "data-sheet.added", sheet.model(), Map.of("content", content));
            } else if (!json.readValue(kept, SheetRecord.class).equals(sheet)) {
                throw new ConflictException(
                        "A different data sheet of " + sheet.model() + " is already kept. Nothing was changed.",
                        sheet,
                        json.readValue(kept, SheetRecord.class));
            }
        }
        read = null;
    }
}
