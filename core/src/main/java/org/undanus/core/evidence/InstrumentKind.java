package org.undanus.core.evidence;

/** The kinds of instrument a reading is taken with. Their default accuracy is rule book data. */
public enum InstrumentKind {
    READ_OFF("read off"),
    TAPE("tape"),
    LEVEL("level"),
    SOUND_METER("sound meter"),
    GAUGE("gauge"),
    THERMOMETER("thermometer"),
    PSYCHROMETER("psychrometer"),
    VOLTMETER("voltmeter"),
    CLAMP_METER("clamp meter"),
    LOOP_TESTER("loop tester"),
    FLOW_HOOD("flow hood"),
    CLOCK("clock");

    private final String title;

    InstrumentKind(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** The name rule books and files use: {@code clamp-meter}. */
    public String key() {
        return title.replace(' ', '-');
    }
}
