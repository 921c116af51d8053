package org.undanus.core.station.running;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.VolumeFlow;

/** A heat pump that was read while it ran steadily, with the sheet of its pair. */
final class HeatingFixture {
    /** Outdoor air in °C, heat and power in W; straight between. */
    static final double[][] MILD = {{-8, 3000, 1200}, {8, 5000, 1250}};

    static final double[][] COLD = {{-20, 2700, 1150}, {-8, 3800, 1200}, {8.33, 5000, 1250}, {15, 5400, 1260}};

    private HeatingFixture() {}

    static CaseFixture steady(String mode, String outdoor, String back, String supply) {
        return new CaseFixture()
                .accuracy(InstrumentKind.THERMOMETER, Accuracy.ofConstant(0.2))
                .accuracy(InstrumentKind.PSYCHROMETER, Accuracy.ofConstant(0.2))
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I")
                .indoor("operation.mode", mode)
                .indoor("operation.run-time", "22 min")
                .indoor("running.outdoor-dry-bulb", outdoor)
                .indoor("running.return-dry-bulb", back)
                .indoor("running.supply-earlier", supply)
                .indoor("running.supply-dry-bulb", supply);
    }

    static CaseFixture heating(double[][] table, Map<SheetValue, Quantity> values, String outdoor, String supply) {
        return steady("heating", outdoor, "20 °C", supply).sheets(sheet(table, values));
    }

    private static DataSheet sheet(double[][] table, Map<SheetValue, Quantity> values) {
        DataSheet plain = CaseFixture.outdoorSheet();
        for (Map.Entry<SheetValue, Quantity> each : values.entrySet()) {
            plain = plain.with(each.getKey(), each.getValue());
        }
        DataSheet.Pair pair = new DataSheet.Pair(
                "WS-12 I",
                Optional.empty(),
                Optional.of(VolumeFlow.ofCubicMetresPerSecond(0.2)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Arrays.stream(table)
                        .map(row -> new DataSheet.Capacity(
                                DataSheet.Mode.HEATING,
                                Temperature.ofCelsius(row[0]),
                                Temperature.ofCelsius(20),
                                Power.ofWatts(row[1]),
                                Optional.empty(),
                                Optional.of(row[2]).filter(watts -> watts > 0).map(Power::ofWatts)))
                        .toList(),
                List.of());
        return CaseFixture.listing(plain, List.of(pair), plain.fan());
    }
}
