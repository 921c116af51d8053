package org.undanus.core.quantity;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Reads the plain tables that ship beside a class: a heading row, then rows; no quoting, no escapes. */
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
            BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
            String[] heading = reader.readLine().split(",", -1);
            List<Map<String, String>> rows = new ArrayList<>();
            for (String line = reader.readLine(); line != null; line = reader.readLine()) {
                String[] cells = line.split(",", -1);
                if (cells.length != heading.length) {
                    throw new IllegalStateException(file + " row " + (rows.size() + 2) + " does not fit its heading");
                }
                Map<String, String> row = new LinkedHashMap<>();
                for (int i = 0; i < cells.length; i++) {
                    row.put(heading[i].strip(), cells[i].strip());
                }
                rows.add(row);
            }
            return rows;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
