package org.undanus.server.journal;

import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How an earlier version journalled a row, made of how this one does. A row is journalled by the names of its record's
 * components: whoever renames, adds or takes away one says here how it was before, and folders of that time stay sound.
 */
@FunctionalInterface
public interface EarlierForm {

    /** @param row as it is journalled now; changed to what was written then */
    void asThen(ObjectNode row);

    /** Before a component was there. */
    static EarlierForm without(String component) {
        return row -> row.remove(component);
    }

    /** While a component had another name. */
    static EarlierForm named(String now, String then) {
        return row -> {
            Map<String, JsonNode> all = new LinkedHashMap<>();
            row.properties()
                    .forEach(each -> all.put(each.getKey().equals(now) ? then : each.getKey(), each.getValue()));
            row.removeAll();
            row.setAll(all);
        };
    }

    /** This one, and one that is older still. */
    default EarlierForm and(EarlierForm older) {
        return row -> {
            asThen(row);
            older.asThen(row);
        };
    }
}
