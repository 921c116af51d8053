package org.undanus.core.installation;

import java.util.Collection;
import java.util.List;
import java.util.Optional;

/** The library of data sheets a case is judged with. */
public record DataSheets(List<DataSheet> sheets) {
    public static final DataSheets NONE = new DataSheets(List.of());

    public DataSheets {
        sheets = List.copyOf(sheets);
    }

    public static DataSheets of(Collection<DataSheet> sheets) {
        return new DataSheets(List.copyOf(sheets));
    }

    /** The sheet of a model, however its name is spaced. */
    public Optional<DataSheet> of(String model) {
        return sheets.stream().filter(s -> ModelName.same(s.model(), model)).findFirst();
    }
}
