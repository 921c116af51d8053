package org.undanus.server.datasheet;

import java.util.List;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;

/** A file of data sheets, as it goes out and comes in. */
public record SheetFile(String format, List<SheetRecord> dataSheets) {
    static final String FORMAT = "undanus-data-sheets/1";

    /**
     * Its sheets, each of which can be one.
     *
     * @throws UnsuitableException where the file is none of sheets, or a sheet of it lacks or contradicts something
     */
    public List<SheetRecord> sound() {
        if (!FORMAT.equals(format)) {
            throw new UnsuitableException(
                    "format", Text.of("This reads {format}. The file says something else.", FORMAT));
        }
        if (dataSheets == null || dataSheets.isEmpty() || dataSheets.contains(null)) {
            throw new UnsuitableException("dataSheets", "The file holds no data sheet, or an empty place among them.");
        }
        dataSheets.forEach(SheetRecord::sheet);
        return dataSheets;
    }
}
