package org.undanus.core.audit;

import java.util.List;
import java.util.function.Function;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.installation.Case;
import org.undanus.core.rules.RuleBook;

/** Holds a record against physics, against itself and against what others read. */
public final class Auditor {
    private static final List<Check> CHECKS = List.of(
            new PlateAgainstSheet(),
            new NamedInstruments(),
            new NamedStandards(),
            new FinerThanInstrument(),
            new OrderOfWork(),
            new PressureHold(),
            ReadingScatter.ofPressure(),
            new HoldCovered(),
            new PullDownTime(),
            ReadingScatter.ofVacuum(),
            new ChargeAgainstLength(),
            new WeatherOfDay(),
            new RunningAgainstClock(),
            new BarometerAgainstHeight(),
            SaturationArithmetic.low(),
            DifferenceArithmetic.superheat(),
            SaturationArithmetic.high(),
            DifferenceArithmetic.subcooling(),
            DifferenceArithmetic.split(),
            new HeatFlowsDown(),
            new AirflowAgainstStatic(),
            new SplitAgainstAirflow(),
            new EnergyBalance(),
            new PowerOfCurrent(),
            new CondensateAgainstAir(),
            new AgainstOwn());

    private Auditor() {}

    /** What it checks. */
    public static List<AboutCheck> abouts() {
        return CHECKS.stream().map(Check::about).toList();
    }

    /**
     * Every check of one record, in the order of the work; doubtful are those that stay so among all of them together.
     *
     * @param own what others read of the installation
     * @param rules where they leave the rate of false alarms open, nothing is doubted
     */
    public static List<Found> audit(Case facts, CommissioningRecord record, Evidence own, RuleBook rules) {
        AuditedRecord paper = new AuditedRecord(facts, record, own, rules);
        List<Found> all =
                CHECKS.stream().flatMap(check -> check.check(paper).stream()).toList();
        return Screening.screened(all, rules, Function.identity(), Found::with);
    }
}
