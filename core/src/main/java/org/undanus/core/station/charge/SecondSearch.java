package org.undanus.core.station.charge;

import static org.undanus.core.station.charge.ChargePoints.SEARCH;
import static org.undanus.core.station.charge.ChargePoints.SEARCH_AIR;
import static org.undanus.core.station.charge.ChargePoints.SEARCH_STATE;

import java.util.List;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The second leak search, under refrigerant, could find a leak: at rest in warm weather, when both sides stand under pressure; in
 * cold weather while it runs in heating, when the lines to the rooms do.
 */
final class SecondSearch implements Requirement {
    private static final Setting WARM = new Setting(
            "charge.search-warm", Dimension.TEMPERATURE, "Air from which a leak search at rest finds leaks");
    private static final About ABOUT = About.of(
                    "charge.second-search",
                    Station.CHARGE,
                    Scope.OUTDOOR_UNIT,
                    "Searched for leaks under refrigerant",
                    Severity.DAMAGE)
            .sources("SAE J1628, use of leak detectors; saturation pressure at the air's temperature")
            .needs(SEARCH)
            .settings(WARM);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Option how = x.chosen(SEARCH).orElseThrow();
        Finding finding = x.finding().step(SEARCH.title(), how);
        if (how.equals(ChargePoints.NONE)) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("No joint was searched under refrigerant."),
                    "Search every joint, port and core, twice, before it is insulated and covered.");
        }
        if (how.equals(ChargePoints.ONCE)) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("It was searched once: a draught or a quick tip misses a leak."),
                    "Search every joint a second time, slowly, the tip below and along it.");
        }
        List<Point> missing = x.missing(SEARCH_STATE);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Option state = x.chosen(SEARCH_STATE).orElseThrow();
        finding.step(SEARCH_STATE.title(), state);
        if (state.equals(ChargePoints.COOLING)) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("In cooling the suction side stands at low pressure: its leaks hardly show."),
                    "Search it again at rest in warm weather, or in heating.");
        }
        if (state.equals(ChargePoints.HEATING)) {
            return finding.conclude(
                    Verdict.MEETS, Text.of("In heating the lines to the rooms stand under high pressure."), "");
        }
        List<Point> air = x.missing(SEARCH_AIR);
        if (!air.isEmpty()) {
            return x.notShown(air);
        }
        Value.Measured read = x.need(SEARCH_AIR);
        var warm = x.rules().setting(WARM);
        finding.step(SEARCH_AIR.title(), read.quantity()).step("Warm enough from", "", warm.value(), warm.source());
        return read.quantity().si() >= warm.value().si()
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of("At rest in {read} both sides stand under pressure.", read.quantity()),
                        "")
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("At rest in {read} the pressure is low: a small leak does not show.", read.quantity()),
                        "Search it again while it runs in heating.");
    }
}
