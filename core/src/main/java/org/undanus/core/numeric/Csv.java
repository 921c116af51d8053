package org.undanus.core.numeric;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;

/** Reads the plain tables that ship beside a class: a heading row, then rows. */
public final class Csv {
    private Csv() {}

    /**
     * @param beside the class whose package holds the file
     * @throws IllegalStateException when the file is missing or a row does not fit the heading
     */
    public static List<Map<String, String>> read(Class<?> beside, String file) {
        try (InputStream in = beside.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException("No table " + file + " beside " + beside.getName());
            }
            return rows(new InputStreamReader(in, StandardCharsets.UTF_8));
        } catch (CsvParseException e) {
            throw new IllegalStateException(file + " does not fit its heading", e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The rows of a table that somebody brought.
     *
     * @throws CsvParseException when a row does not fit the heading
     */
    public static List<Map<String, String>> read(String table) {
        return rows(new StringReader(table));
    }

    private static List<Map<String, String>> rows(Reader table) {
        return CsvReader.builder().ofNamedCsvRecord(table).stream()
                .map(NamedCsvRecord::getFieldsAsMap)
                .toList();
    }
}
