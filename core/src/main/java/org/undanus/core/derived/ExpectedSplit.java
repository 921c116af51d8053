package org.undanus.core.derived;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Step;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The split this pair of units should show at this site: rating from the sheet's listing of the pair, else from the plate,
 * gaps filled from the rule book; then {@link CoolingCoil}.
 *
 * @param airflow taken for the expectation, m³/s; with its uncertainty where it was measured
 * @param source what the expectation is computed from, as its authority is named
 * @param tolerance of airflow, a share
 */
public record ExpectedSplit(
        CoolingCoil coil,
        Uncertain airflow,
        double tolerance,
        AbsolutePressure atmosphere,
        String source,
        List<Step> steps) {

    public static final Setting TOLERANCE =
            new Setting("running.airflow-tolerance", Dimension.RATIO, "Airflow tolerance behind the expected band");
    private static final Setting AIRFLOW_PER_TON = new Setting(
            "running.airflow-per-ton",
            Dimension.VOLUME_FLOW,
            "Airflow per ton of refrigeration where the sheet gives none");
    private static final Setting SENSIBLE_RATIO = new Setting(
            "running.sensible-ratio", Dimension.RATIO, "Sensible ratio at rating where the sheet gives none");
    private static final Setting PER_WET_BULB = new Setting(
            "running.capacity-per-wet-bulb", Dimension.RATIO, "Capacity per K of entering wet bulb above rating");
    private static final Setting PER_OUTDOOR =
            new Setting("running.capacity-per-outdoor", Dimension.RATIO, "Capacity per K of outdoor air above rating");
    private static final Setting FLOW_FIXED = new Setting(
            "running.capacity-flow-fixed", Dimension.RATIO, "Share of capacity that does not follow airflow");
    private static final double TON = 3516.853;

    public static Setting[] settings() {
        return new Setting[] {
            TOLERANCE,
            AIRFLOW_PER_TON,
            SENSIBLE_RATIO,
            PER_WET_BULB,
            PER_OUTDOOR,
            FLOW_FIXED,
            Airflow.FAN_TABLE,
            Airflow.GRID_METHOD
        };
    }

    /**
     * Empty where no rated capacity is known.
     *
     * @throws CoolingCoil.ImpossibleRating when the rating contradicts itself
     */
    public static Optional<ExpectedSplit> of(Examination x) {
        Optional<Component> outdoor = x.facts().outdoorUnit();
        Optional<DataSheet> sheet = outdoor.flatMap(unit -> x.at(unit).sheet());
        Optional<DataSheet.Pair> pair =
                x.written(PlatePoints.MODEL).flatMap(model -> sheet.flatMap(s -> s.pairWith(model)));
        Optional<Quantity> onPlate = outdoor.flatMap(
                unit -> x.at(unit).measured(PlatePoints.COOLING_CAPACITY).map(Value.Measured::quantity));
        String document = sheet.map(DataSheet::document).orElse("");
        Optional<Quantity> listed = pair.flatMap(DataSheet.Pair::cooling).map(Quantity.class::cast);
        return listed.or(() -> onPlate)
                .map(capacity -> of(x, pair, capacity, listed.isPresent() ? document : "Nameplate", document));
    }

    private static ExpectedSplit of(
            Examination x, Optional<DataSheet.Pair> pair, Quantity capacity, String capacitySource, String document) {
        List<Step> steps = new ArrayList<>();
        steps.add(Step.of(
                "Rated cooling capacity", "", Text.of("{capacity}", Power.ofWatts(capacity.si())), capacitySource));

        Optional<VolumeFlow> sheetFlow = pair.flatMap(DataSheet.Pair::airflow);
        double ratedFlow =
                sheetFlow.map(VolumeFlow::si).orElseGet(() -> x.rules().number(AIRFLOW_PER_TON) * capacity.si() / TON);
        steps.add(Step.of(
                "Rated airflow",
                sheetFlow.isPresent() ? "" : "rule book figure per ton",
                VolumeFlow.ofCubicMetresPerSecond(ratedFlow),
                sheetFlow.isPresent()
                        ? document
                        : x.rules().setting(AIRFLOW_PER_TON).source()));

        Optional<Ratio> sheetRatio = pair.flatMap(DataSheet.Pair::sensibleRatio);
        double ratio = sheetRatio.map(Ratio::si).orElseGet(() -> x.rules().number(SENSIBLE_RATIO));
        steps.add(Step.of(
                "Sensible ratio at rating",
                "",
                Ratio.ofFraction(ratio),
                sheetRatio.isPresent()
                        ? document
                        : x.rules().setting(SENSIBLE_RATIO).source()));

        Airflow found = Airflow.of(x, x.unit());
        Optional<Uncertain> measured = found.agreed();
        Uncertain airflow = measured.orElse(Uncertain.exact(ratedFlow));
        steps.add(new Step(
                Text.of("Airflow taken"),
                measured.isPresent()
                        ? Text.of("measured here, {methods}", found.named())
                        : found.estimates().isEmpty()
                                ? Text.of("as rated, by volume")
                                : Text.of("as rated: {methods} disagree, and none of them is taken", found.named()),
                Amount.of(Dimension.VOLUME_FLOW, airflow, 0),
                Text.empty()));
        AbsolutePressure atmosphere = x.facts().site().atmosphere();
        steps.add(Step.of("Air pressure at the site", "standard atmosphere", atmosphere, "ISO 2533"));

        CoolingCoil coil = new CoolingCoil(
                new CoolingCoil.Rating(capacity.si(), ratedFlow, ratio),
                new CoolingCoil.Slopes(
                        x.rules().number(PER_WET_BULB),
                        x.rules().number(PER_OUTDOOR),
                        x.rules().number(FLOW_FIXED)));
        return new ExpectedSplit(
                coil,
                airflow,
                x.rules().number(TOLERANCE),
                atmosphere,
                pair.isPresent() ? document : "Nameplate",
                List.copyOf(steps));
    }

    /** Whether the airflow taken is one the coil model describes. */
    public boolean describesAirflow() {
        return coil.describes(airflow.value());
    }

    /** The airflow taken as a share of itself: one, with the uncertainty it was measured with. */
    public Uncertain share() {
        return new Uncertain(1, airflow.standardUncertainty() / airflow.value());
    }

    /** Expected split in K; temperatures in kelvin, airflow as a share of the expected. */
    public double split(double dryBulb, double wetBulb, double outdoor, double share) {
        MoistAir entering = entering(dryBulb, wetBulb);
        return entering.dryBulb().celsius()
                - coil.leaving(entering, outdoor - Temperature.ZERO_CELSIUS, share * airflow.value());
    }

    /** By how much this air has the coil's surface warmer than at the rating point, K; temperatures in kelvin. */
    public double surfaceOverRated(double dryBulb, double wetBulb, double outdoor) {
        return coil.surfaceOverRated(entering(dryBulb, wetBulb), outdoor - Temperature.ZERO_CELSIUS, airflow.value());
    }

    /** The share of its rated airflow at which this coil would supply air so warm, temperatures in K: see {@link CoolingCoil#explainingShare}. */
    public OptionalDouble explainingShare(double dryBulb, double wetBulb, double outdoor, double supply) {
        return coil.explainingShare(
                entering(dryBulb, wetBulb),
                outdoor - Temperature.ZERO_CELSIUS,
                airflow.value(),
                supply - Temperature.ZERO_CELSIUS);
    }

    private MoistAir entering(double dryBulb, double wetBulb) {
        return MoistAir.ofWetBulb(
                Temperature.ofKelvin(dryBulb), Temperature.ofKelvin(Math.min(wetBulb, dryBulb)), atmosphere);
    }
}
