package org.undanus.server.simulated;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.simulated.VirtualRun;

/** Packs of SenML as an instrument writes them. */
final class Packs {
    static final Sender VACUUM = new Sender("vacuum-1", "Pa");
    static final Sender GAUGE = new Sender("gauge-7", "Pa");
    static final Sender THERMOMETER = new Sender("thermo-4", "Cel");

    private Packs() {}

    /** What a probe of a running machine is called, and how its instrument sends it. */
    record Channel(VirtualRun.Probe probe, Sender sender, String name, double less) {}

    private static final double ZERO_CELSIUS = 273.15;

    private static Channel celsius(VirtualRun.Probe probe, String instrument, String name) {
        return new Channel(probe, new Sender(instrument, "Cel"), name, ZERO_CELSIUS);
    }

    private static Channel plain(VirtualRun.Probe probe, String instrument, String unit, String name) {
        return new Channel(probe, new Sender(instrument, unit), name, 0);
    }

    static final List<Channel> MACHINE = List.of(
            plain(VirtualRun.Probe.LOW_SIDE, "gauge-2", "Pa", "low_side"),
            plain(VirtualRun.Probe.HIGH_SIDE, "gauge-2", "Pa", "high_side"),
            celsius(VirtualRun.Probe.SUCTION_TUBE, "thermo-4", "suction_tube"),
            celsius(VirtualRun.Probe.LIQUID_TUBE, "thermo-4", "liquid_tube"),
            celsius(VirtualRun.Probe.RETURN_AIR, "thermo-4", "return_air"),
            celsius(VirtualRun.Probe.SUPPLY_AIR, "thermo-4", "supply_air"),
            celsius(VirtualRun.Probe.OUTDOOR_AIR, "thermo-4", "outdoor_air"),
            celsius(VirtualRun.Probe.RETURN_WET_BULB, "psychro-1", "return_wet_bulb"),
            celsius(VirtualRun.Probe.SUPPLY_WET_BULB, "psychro-1", "supply_wet_bulb"),
            plain(VirtualRun.Probe.COMPRESSOR_CURRENT, "clamp-3", "A", "compressor"),
            plain(VirtualRun.Probe.AIRFLOW, "hood-1", "m3/s", ""));

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

        /** One value of one of its channels. */
        String value(String channel, Shown shown) {
            return pack(
                    "{\"bn\":\"urn:undanus:" + instrument + "\",\"bu\":\"" + unit + "\"}",
                    String.format(
                            Locale.ROOT,
                            "{\"n\":\"%s\",\"t\":%.3f,\"v\":%.6f}",
                            channel.isEmpty() ? "" : ":" + channel,
                            seconds(shown.at),
                            shown.value));
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
