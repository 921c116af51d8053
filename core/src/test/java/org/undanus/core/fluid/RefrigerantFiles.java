package org.undanus.core.fluid;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.undanus.core.numeric.Csv;

/** Files of refrigerants that do not exist, for tests. */
public final class RefrigerantFiles {
    private RefrigerantFiles() {}

    /** What is known of one that ships, under another name. */
    public static String like(String like, String name) {
        Map<String, String> identity = Csv.read(Refrigerant.class, "refrigerants.csv").stream()
                .filter(row -> row.get("refrigerant").equals(like))
                .findFirst()
                .orElseThrow();
        Map<String, Map<String, String>> heat = Csv.read(Refrigerant.class, "refrigerant-enthalpy.csv").stream()
                .filter(row -> row.get("refrigerant").equals(like))
                .collect(Collectors.toMap(row -> row.get("t_C"), row -> row));
        List<String> lines = new ArrayList<>(List.of(String.join(",", RefrigerantFile.columns())));
        for (Map<String, String> row : Csv.read(Refrigerant.class, "refrigerant-saturation.csv")) {
            if (row.get("refrigerant").equals(like) && heat.containsKey(row.get("t_C"))) {
                lines.add(RefrigerantFile.columns().stream()
                        .map(column -> column.equals("refrigerant")
                                ? name
                                : row.getOrDefault(
                                        column,
                                        heat.get(row.get("t_C"))
                                                .getOrDefault(column, identity.getOrDefault(column, ""))))
                        .collect(Collectors.joining(",")));
            }
        }
        return String.join("\n", lines) + "\n";
    }
}
