package org.undanus.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Site;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;

/** One full judgement of a wall split with every line read, both schools of everything, and what it is made of. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class JudgeBench {
    private static final String OUTDOOR = "outdoor-1";
    private static final String INDOOR = "indoor-1";

    Case facts;
    Evidence evidence;
    RuleBook rules;
    private String yaml;

    @Setup
    public void fill() {
        yaml = ShippedRuleBooks.demo().get(0);
        rules = RuleBookReader.read(yaml, Walk.vocabulary());
        DataSheet sheet = new DataSheet(
                "Ondrel",
                "WS-12",
                "Ondrel 4410, edition 3",
                Optional.of("R32"),
                Optional.empty(),
                Map.of(Face.FRONT, Length.ofMetres(0.6), Face.BACK, Length.ofMetres(0.1)),
                Map.of(),
                Map.of(),
                Map.of(SheetValue.MASS, Mass.ofKilograms(39)),
                Optional.of(new DataSheet.VoltageRange(Voltage.ofVolts(197), Voltage.ofVolts(253))),
                Optional.empty(),
                Optional.empty(),
                List.of(DataSheet.Pair.rated(
                        "WS-12 I",
                        Optional.of(Power.ofWatts(3517)),
                        Optional.of(VolumeFlow.ofCubicMetresPerSecond(0.198)),
                        Optional.of(Ratio.ofFraction(0.76)))),
                List.of(),
                List.of());
        facts = new Case(
                new Site("Lido changing house", Length.ofMetres(640)),
                List.of(
                        new Component(OUTDOOR, Component.Kind.OUTDOOR, "Outdoor unit", true),
                        new Component(INDOOR, Component.Kind.INDOOR_WALL, "Wall unit", false)),
                DataSheets.of(List.of(sheet)),
                LocalDate.of(2026, 9, 1));
        evidence = Evidence.of(readings());
    }

    private List<Reading> readings() {
        List<Reading> readings = new ArrayList<>();
        for (String[] line : LINES) {
            Point point = Walk.point(line[0]).orElseThrow();
            var understood = Entry.understand(facts.asked(point), line[2], rules.accuracy(point.instrument()));
            readings.add(new Reading(
                    new UUID(0, readings.size()),
                    new PointKey(line[0], line[1]),
                    line[2],
                    understood.value(),
                    understood.unit(),
                    Optional.empty(),
                    Grade.WITNESSED,
                    "inspector",
                    Instant.EPOCH,
                    Stage.FINAL));
        }
        return readings;
    }

    @Benchmark
    public List<Judgement> judgeOneInstallation() {
        return Walk.judge().judge(facts, evidence, rules);
    }

    @Benchmark
    public FieldNotation.Understood readFeetAndInches() {
        return FieldNotation.parse("3' 4-1/2\"", Dimension.LENGTH);
    }

    @Benchmark
    public RuleBook readRuleBook() {
        return RuleBookReader.read(yaml, Walk.vocabulary());
    }

    private static final String[][] LINES = {
        {"plate.legible", OUTDOOR, "yes"},
        {"plate.maker", OUTDOOR, "Ondrel"},
        {"plate.model", OUTDOOR, "WS-12"},
        {"plate.serial", OUTDOOR, "OW260314"},
        {"plate.manufactured", OUTDOOR, "2026-03"},
        {"plate.refrigerant", OUTDOOR, "R32"},
        {"plate.rated-voltage", OUTDOOR, "208 V"},
        {"plate.upper-rated-voltage", OUTDOOR, "230 V"},
        {"plate.phases", OUTDOOR, "1"},
        {"plate.minimum-circuit-ampacity", OUTDOOR, "12 A"},
        {"plate.maximum-overcurrent-device", OUTDOOR, "20 A"},
        {"plate.compressor-current", OUTDOOR, "9 A"},
        {"plate.fan-current", OUTDOOR, "0.6 A"},
        {"plate.legible", INDOOR, "yes"},
        {"plate.model", INDOOR, "WS-12 I"},
        {"plate.serial", INDOOR, "OI260301"},
        {"plate.manufactured", INDOOR, "2026-02"},
        {"plate.refrigerant", INDOOR, "R32"},
        {"siting.outdoor-clearance-front", OUTDOOR, "41 in"},
        {"siting.outdoor-clearance-back", OUTDOOR, "7 in"},
        {"siting.outdoor-clearance-left", OUTDOOR, "14 in"},
        {"siting.outdoor-clearance-right", OUTDOOR, "31 in"},
        {"siting.outdoor-clearance-above", OUTDOOR, "6 ft 2 in"},
        {"siting.indoor-clearance-left", INDOOR, "9 in"},
        {"siting.indoor-clearance-right", INDOOR, "11-1/2 in"},
        {"siting.indoor-clearance-above", INDOOR, "5 in"},
        {"siting.indoor-height", INDOOR, "7 ft 1 in"},
        {"siting.neighbour-face", OUTDOOR, "no other unit near"},
        {"siting.discharge-free", OUTDOOR, "yes"},
        {"siting.support", OUTDOOR, "wall bracket"},
        {"siting.support-capacity", OUTDOOR, "400 lb"},
        {"siting.base-height", OUTDOOR, "35 in"},
        {"siting.heats-in-winter", OUTDOOR, "yes"},
        {"siting.base-tilt", OUTDOOR, "0.4 %"},
        {"siting.indoor-throw", INDOOR, "14 ft"},
        {"siting.drain-outlet-height", INDOOR, "85 in"},
        {"siting.drain-exit-height", INDOOR, "80 in"},
        {"siting.drain-run", INDOOR, "11 ft"},
        {"access.place", PointKey.SYSTEM, "attic"},
        {"access.opening-width", PointKey.SYSTEM, "22 in"},
        {"access.opening-height", PointKey.SYSTEM, "54 in"},
        {"access.working-depth", OUTDOOR, "40 in"},
        {"mounting.hole-inner-height", INDOOR, "80-1/4 in"},
        {"mounting.hole-outer-height", INDOOR, "79-5/8 in"},
        {"mounting.wall-thickness", INDOOR, "9-1/2 in"},
        {"mounting.cabinet-tilt", INDOOR, "0.5 %"},
        {"electrical.device-rating", OUTDOOR, "15 A"},
        {"electrical.device-type", OUTDOOR, "C"},
        {"electrical.conductor-size", OUTDOOR, "12 AWG"},
        {"electrical.conductor-material", OUTDOOR, "copper"},
        {"electrical.insulation-rating", OUTDOOR, "90"},
        {"electrical.ambient", OUTDOOR, "104 °F"},
        {"electrical.bundled-conductors", OUTDOOR, "2"},
        {"electrical.disconnect-present", OUTDOOR, "yes"},
        {"electrical.disconnect-rating", OUTDOOR, "30 A"},
        {"electrical.disconnect-distance", OUTDOOR, "6 ft 4 in"},
        {"electrical.disconnect-visible", OUTDOOR, "yes"},
        {"electrical.disconnect-height", OUTDOOR, "5 ft"},
        {"electrical.loop-impedance", OUTDOOR, "0.4 ohm"},
        {"electrical.standing-voltage", OUTDOOR, "236.4 V"},
        {"electrical.running-voltage", OUTDOOR, "231.9 V"},
        {"electrical.running-current", OUTDOOR, "7.4 A"},
        {"operation.mode", PointKey.SYSTEM, "cooling"},
        {"operation.run-time", PointKey.SYSTEM, "26 min"},
        {"running.outdoor-dry-bulb", PointKey.SYSTEM, "86.0 °F"},
        {"running.return-dry-bulb", INDOOR, "75.4 °F"},
        {"running.return-wet-bulb", INDOOR, "63.1 °F"},
        {"running.supply-earlier", INDOOR, "54.2 °F"},
        {"running.supply-dry-bulb", INDOOR, "54.0 °F"},
    };
}
