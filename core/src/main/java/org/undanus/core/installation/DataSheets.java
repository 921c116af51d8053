package org.undanus.core.installation;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The library of data sheets a case is judged with. Immutable; asked for a sheet at every other point of a judgement. */
public final class DataSheets {
    public static final DataSheets NONE = of(List.of());

    private final Map<String, DataSheet> byModel;

    private DataSheets(Map<String, DataSheet> byModel) {
        this.byModel = byModel;
    }

    /** Of two sheets of one model the first is taken. */
    public static DataSheets of(Collection<DataSheet> sheets) {
        Map<String, DataSheet> byModel = new LinkedHashMap<>();
        sheets.forEach(sheet -> byModel.putIfAbsent(ModelName.bare(sheet.model()), sheet));
        return new DataSheets(byModel);
    }

    public List<DataSheet> sheets() {
        return List.copyOf(byModel.values());
    }

    /** The sheet of a model, however its name is spaced. */
    public Optional<DataSheet> of(String model) {
        return Optional.ofNullable(byModel.get(ModelName.bare(model)));
    }
}
