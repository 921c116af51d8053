package org.undanus.core.judgement;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Function;
import org.undanus.core.rules.Setting;

/** What is at stake when a requirement fails. */
public enum Severity {
    SAFETY("safety"),
    DAMAGE("damage"),
    PERFORMANCE("performance"),
    RECORD("record");

    private final String title;

    Severity(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** A setting for each, most at stake first. */
    static Map<Severity, Setting> each(Function<Severity, Setting> setting) {
        Map<Severity, Setting> all = new EnumMap<>(Severity.class);
        for (Severity severity : values()) {
            all.put(severity, setting.apply(severity));
        }
        return Collections.unmodifiableMap(all);
    }
}
