package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.station.Walk;

/** Two hundred runs with what they mean: a wrong placement is worse than a refused one. */
class SpokenCorpusTest {
    private static final int WHOLE_AT_LEAST = 190;

    private record Run(String station, String said, Map<String, String> truth, List<String> left) {}

    private static List<Run> runs() throws IOException {
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(
                SpokenCorpusTest.class.getResourceAsStream("spoken-runs.txt"), StandardCharsets.UTF_8))) {
            return reader.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split(" \\| "))
                    .map(parts -> {
                        Map<String, String> truth = new LinkedHashMap<>();
                        List<String> left = new ArrayList<>();
                        for (String each : parts[2].split("; ")) {
                            if (each.startsWith("? ")) {
                                left.add(each.substring(2));
                            } else {
                                truth.put(each.split("=")[0], each.split("=")[1]);
                            }
                        }
                        return new Run(parts[0], parts[1], truth, left);
                    })
                    .toList();
        }
    }

    private static List<SpokenRun.Line> lines(String station) {
        Station named = Arrays.stream(Station.values())
                .filter(each -> each.key().equals(station))
                .findFirst()
                .orElseThrow();
        return Walk.plan(named).map(StationPlan::points).orElseThrow().stream()
                .flatMap(point -> switch (point.scope()) {
                    case OUTDOOR_UNIT, SPLIT_OUTDOOR_UNIT, REFRIGERANT_UNIT, POWERED_UNIT, UNIT ->
                        Stream.of(new SpokenRun.Line(point, "outdoor", "Outdoor unit"));
                    case INDOOR_UNIT, SPLIT_UNIT, COIL_UNIT, AIR_UNIT, WALL_UNIT ->
                        Stream.of(new SpokenRun.Line(point, "indoor", "Wall unit"));
                    case SYSTEM, REFRIGERANT_SYSTEM -> Stream.of(new SpokenRun.Line(point, PointKey.SYSTEM, ""));
                    default -> Stream.<SpokenRun.Line>empty();
                })
                .toList();
    }

    private static String inHand(String station) {
        return station.equals("running") ? "indoor" : "outdoor";
    }

    /** What two texts come to on a line is the same, however they are written. */
    private static boolean means(Point point, String one, String other) {
        Value a = Entry.understand(point, one, Accuracy.EXACT).value();
        Value b = Entry.understand(point, other, Accuracy.EXACT).value();
        return a instanceof Value.Measured x && b instanceof Value.Measured y
                ? Math.abs(x.quantity().si() - y.quantity().si())
                        <= 1e-9 * Math.abs(x.quantity().si())
                : a.equals(b);
    }

    @Test
    void nothingIsPlacedWrongAndNearlyAllOfItIsPlaced() throws IOException {
        int whole = 0;
        int readings = 0;
        List<String> wrong = new ArrayList<>();
        List<String> refused = new ArrayList<>();
        List<Run> runs = runs();
        for (Run run : runs) {
            SpokenRun.Heard heard = SpokenRun.hear(run.said, lines(run.station), inHand(run.station), Map.of());
            readings += run.truth.size();
            for (SpokenRun.Placed placed : heard.placed()) {
                String truth = run.truth.get(placed.line().point().id());
                if (truth == null || !means(placed.line().point(), placed.typed(), truth)) {
                    wrong.add(run.said + " -> " + placed.line().point().id() + "=" + placed.typed());
                }
            }
            if (heard.placed().size() == run.truth.size() && heard.left().size() == run.left.size()) {
                whole++;
            } else {
                refused.add(run.said + " -> left " + heard.left());
            }
        }
        assertThat(runs).hasSize(200);
        assertThat(wrong).as("placed wrong, of %s readings", readings).isEmpty();
        assertThat(whole).as("runs that went in whole; not: %s", refused).isGreaterThanOrEqualTo(WHOLE_AT_LEAST);
    }
}
