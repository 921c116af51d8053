package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.HEATER_CURRENT;
import static org.undanus.core.derived.AirPoints.HEATER_VOLTAGE;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Every element of the strip heat draws: its current, brought to the plate's voltage, is the plate's. Whatever the season. */
final class StripHeat implements Requirement {
    private static final LimitKey SHARE =
            new LimitKey("running.strip-heat", Dimension.RATIO, "Strip heat, current of the plate's");
    private static final double COARSE = 0.01;
    private static final About ABOUT = About.of(
                    "running.strip-heat",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Strip heat draws what its plate says",
                    Severity.PERFORMANCE)
            .sources("A resistance draws in proportion to its voltage: I = I_plate·U/U_plate")
            .needs(RunningPoints.BACKUP)
            .limits(SHARE)
            .cautions(HEATER_CURRENT.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (x.chosen(RunningPoints.BACKUP).orElseThrow().equals(RunningPoints.NOT_FITTED)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("There is no back-up heat."), "");
        }
        Optional<Subject> ducts = x.facts()
                .subject(Subject.Kind.DUCT_SYSTEM.key() + "-" + x.unit().id());
        if (ducts.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("It has no ducts that a strip heater sits in."), "");
        }
        Examination in = x.at(ducts.get());
        List<Point> read = in.missing(HEATER_CURRENT, HEATER_VOLTAGE);
        if (!read.isEmpty()) {
            return in.notShown(read);
        }
        List<Point> plate = x.missing(PlatePoints.HEATER_CURRENT, PlatePoints.RATED_VOLTAGE);
        if (!plate.isEmpty()) {
            return x.notShown(plate);
        }
        Value.Measured current = in.need(HEATER_CURRENT);
        Value.Measured voltage = in.need(HEATER_VOLTAGE);
        double rated = x.need(PlatePoints.RATED_VOLTAGE).quantity().si();
        double full = x.need(PlatePoints.HEATER_CURRENT).quantity().si();
        if (full == 0) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("By its plate it has no strip heat."), "");
        }
        Uncertain share =
                Propagation.through(v -> v[0] / (full * v[1] / rated), current.uncertain(), voltage.uncertain());
        Finding finding = x.finding()
                .step(HEATER_CURRENT.title(), current.quantity())
                .step(HEATER_VOLTAGE.title(), voltage.quantity())
                .step(
                        "Heat",
                        "U·I",
                        Power.ofWatts(
                                current.quantity().si() * voltage.quantity().si()),
                        "")
                .step("On the plate", x.need(PlatePoints.HEATER_CURRENT).quantity());
        return finding.compare(
                SHARE,
                share,
                COARSE,
                x.rules().limits(SHARE),
                Text.of("A licensed electrician looks for an element, link or sequencer that does not close."));
    }
}
