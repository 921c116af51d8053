package org.undanus.core.judgement;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Function;
import org.undanus.core.rules.Setting;

/** What is at stake when a requirement fails. */
public enum Severity {
    SAFETY("safety", "safety"),
    DAMAGE("damage", "damage"),
    PERFORMANCE("performance", "performance"),
    RECORD("record", "record");

    private final String key;
    private final String title;

    Severity(String key, String title) {
        this.key = key;
        this.title = title;
    }

    /** The name that rule books use; it never changes. */
    public String key() {
        return key;
    }

    public String title() {
        return title;
    }

    /** A setting for each, most at stake first. */
    public static Map<Severity, Setting> each(Function<Severity, Setting> setting) {
        Map<Severity, Setting> all = new EnumMap<>(Severity.class);
        for (Severity severity : values()) {
            all.put(severity, setting.apply(severity));
        }
        return Collections.unmodifiableMap(all);
    }
}
