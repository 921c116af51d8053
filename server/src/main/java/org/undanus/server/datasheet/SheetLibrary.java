package org.undanus.server.datasheet;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.words.Text;
import org.undanus.server.datasheet.SheetMapper.SheetRow;
import org.undanus.server.installation.CaseMaterial;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.store.Remembered;
import tools.jackson.databind.json.JsonMapper;

/** The data sheets there are. A sheet that is kept never changes; the newest version of a model is judged by. */
@Service
public class SheetLibrary implements CaseMaterial.Sheets {

    /** A sheet with its number among those of its model. */
    public record Version(SheetRecord sheet, int version, String addedBy, Instant addedAt) {}

    private final SheetMapper mapper;
    private final RefrigerantStore refrigerants;
    private final Journal journal;
    private final JsonMapper json;
    private final Remembered<DataSheets> sheets = new Remembered<>(
            () -> DataSheets.of(newest().stream().map(v -> v.sheet().sheet()).toList()));

    SheetLibrary(SheetMapper mapper, RefrigerantStore refrigerants, Journal journal, JsonMapper json) {
        this.refrigerants = refrigerants;
        this.mapper = mapper;
        this.journal = journal;
        this.json = json;
    }

    /** The newest sheet of every model. */
    @Override
    public DataSheets sheets() {
        return sheets.get();
    }

    /** The newest sheets with some put in the place of their models', as they would stand if they were kept. */
    public DataSheets sheetsWith(List<SheetRecord> others) {
        Map<String, DataSheet> sheets = new LinkedHashMap<>();
        newest().forEach(v -> sheets.put(v.sheet().model(), v.sheet().sheet()));
        others.forEach(other -> sheets.put(other.model(), checked(other)));
        return DataSheets.of(List.copyOf(sheets.values()));
    }

    /** @throws UnsuitableException naming what cannot be read, contradicts itself or is not known here */
    private DataSheet checked(SheetRecord sheet) {
        sheet.require(refrigerants.known());
        return sheet.sheet();
    }

    /** The newest version of every model, by model. */
    public List<Version> newest() {
        Map<String, Version> newest = new LinkedHashMap<>();
        mapper.all().forEach(row -> newest.put(row.model(), version(row)));
        return List.copyOf(newest.values());
    }

    /**
     * Every version of a model, oldest first.
     *
     * @throws NotFoundException when there is none
     */
    public List<Version> versions(String model) {
        List<Version> versions = mapper.of(model).stream().map(this::version).toList();
        if (versions.isEmpty()) {
            throw new NotFoundException(Text.of("There is no data sheet of {model}.", model));
        }
        return versions;
    }

    private Version version(SheetRow row) {
        return new Version(
                json.readValue(row.content(), SheetRecord.class), row.version(), row.addedBy(), row.addedAt());
    }

    /** The newest sheets of these models, as files carry them. */
    public List<SheetRecord> recordsOf(List<String> models) {
        DataSheets all = sheets();
        List<String> exact = models.stream()
                .flatMap(m -> all.of(m).stream())
                .map(DataSheet::model)
                .toList();
        return newest().stream()
                .map(Version::sheet)
                .filter(sheet -> exact.contains(sheet.model()))
                .toList();
    }

    /**
     * Keeps sheets of models that are new; those already kept word for word, in any version, are passed over.
     *
     * @throws ConflictException when a model is kept with other figures
     */
    @Transactional
    public void add(List<SheetRecord> added, String by, Instant at) {
        for (SheetRecord sheet : added) {
            checked(sheet);
            List<SheetRow> kept = mapper.of(sheet.model());
            if (kept.isEmpty()) {
                keep(sheet, 1, by, at);
            } else if (kept.stream().noneMatch(row -> version(row).sheet().equals(sheet))) {
                throw new ConflictException(
                        Text.of(
                                "A different data sheet of {model} is already saved. Nothing was changed.",
                                sheet.model()),
                        sheet,
                        version(kept.get(kept.size() - 1)).sheet());
            }
        }
    }

    /**
     * Keeps sheets as the newest of their models; those that are the newest already are passed over.
     *
     * @return the models that have a new version
     */
    @Transactional
    public List<String> revise(List<SheetRecord> revisions, String by, Instant at) {
        List<String> revised = new ArrayList<>();
        for (SheetRecord sheet : revisions) {
            checked(sheet);
            List<SheetRow> kept = mapper.of(sheet.model());
            boolean same = !kept.isEmpty()
                    && version(kept.get(kept.size() - 1)).sheet().equals(sheet);
            if (!same) {
                keep(sheet, kept.size() + 1, by, at);
                revised.add(sheet.model());
            }
        }
        return revised;
    }

    private void keep(SheetRecord sheet, int version, String by, Instant at) {
        String content = json.writeValueAsString(sheet);
        SheetRow row = new SheetRow(sheet.model(), version, content, by, at);
        sheets.changes();
        mapper.insert(row);
        journal.write(by, "data-sheet.added", row.subject(), row);
    }
}
