package org.undanus.server.simulated;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.undanus.core.derived.Marks;

/** Packs of SenML as an instrument writes them. */
final class Packs {
    static final Sender VACUUM = new Sender("vacuum-1", "Pa");
    static final Sender GAUGE = new Sender("gauge-7", "Pa");
    static final Sender THERMOMETER = new Sender("thermo-4", "Cel");

    private Packs() {}

    /** @param unit of its values, as SenML names it */
    record Sender(String instrument, String unit) {
        String values(List<Shown> shown) {
            return pack(
                    "{\"bn\":\"urn:undanus:" + instrument + "\",\"bu\":\"" + unit + "\"}",
                    shown.stream()
                            .map(each ->
                                    String.format(Locale.ROOT, "{\"t\":%.3f,\"v\":%.4f}", seconds(each.at), each.value))
                            .collect(Collectors.joining(",")));
        }

        String done(Marks.Act act, Instant at) {
            return pack(
                    "{\"bn\":\"urn:undanus:" + instrument + "\"}",
                    String.format(Locale.ROOT, "{\"n\":\":done\",\"t\":%.3f,\"vs\":\"%s\"}", seconds(at), act.title()));
        }

        private static String pack(String base, String records) {
            return "[" + base + "," + records + "]";
        }

        private static double seconds(Instant at) {
            return at.toEpochMilli() / 1000.0;
        }
    }

    record Shown(Instant at, double value) {}
}
