package org.undanus.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
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
import org.undanus.core.evidence.Grade;
import org.undanus.core.geometry.Bundle;
import org.undanus.core.geometry.Footprint;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.geometry.SmallestMove;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.quantity.Length;

/** The smallest move of three units, all short of room, among fifty posts of four corners; and four things packed. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class MoveBench {
    private static final int POSTS = 50;
    private static final DataSheet.Size CABINET =
            new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.3), Length.ofMetres(0.6));

    private SitePlan plan;
    private double sizes;

    @Setup
    public void draw() {
        Random random = new Random(7);
        List<SitePlan.Feature> features = new ArrayList<>();
        features.add(rectangle("yard", SitePlan.Kind.AREA, 0, 0, 14, 12));
        for (int i = 0; i < POSTS; i++) {
            features.add(rectangle(
                    "post-" + i,
                    SitePlan.Kind.OBSTACLE,
                    random.nextDouble() * 13.5,
                    random.nextDouble() * 11.5,
                    0.1 + random.nextDouble() * 0.4,
                    0.1 + random.nextDouble() * 0.4));
        }
        List<SitePlan.PlacedUnit> units = List.of(
                new SitePlan.PlacedUnit("a", 5, 5, 270, 0.1, Optional.of(CABINET)),
                new SitePlan.PlacedUnit("b", 5.3, 5.2, 90, 0.1, Optional.of(CABINET)),
                new SitePlan.PlacedUnit("c", 5.6, 4.9, 0, 0.1, Optional.of(CABINET)));
        plan = new SitePlan(features, units, List.of(), Grade.WITNESSED, Optional.empty());
    }

    private static SitePlan.Feature rectangle(
            String id, SitePlan.Kind kind, double x, double y, double width, double height) {
        return new SitePlan.Feature(
                id,
                kind,
                "",
                List.of(
                        new SitePlan.Vertex(x, y),
                        new SitePlan.Vertex(x + width, y),
                        new SitePlan.Vertex(x + width, y + height),
                        new SitePlan.Vertex(x, y + height)),
                true,
                0,
                2);
    }

    @Benchmark
    public SmallestMove.Result threeUnitsAmongTwoHundredCorners() {
        Footprint.Reach reach = new Footprint.Reach(0.6, 0.1, 0.3, 0.3);
        Map<String, SmallestMove.Asked> asked = new LinkedHashMap<>();
        for (String id : List.of("a", "b", "c")) {
            asked.put(id, new SmallestMove.Asked(reach, 0.5, reach, Map.of()));
        }
        return new SmallestMove(new PlanGeometry(plan, Map.of()), asked, false).find();
    }

    /** Sizes differ each time: a bundle that is known is not packed again. */
    @Benchmark
    public Bundle fourThingsPacked() {
        sizes += 1e-9;
        return Bundle.of(List.of(0.008 + sizes, 0.014, 0.012, 0.006));
    }
}
