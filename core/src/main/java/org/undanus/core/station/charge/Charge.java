package org.undanus.core.station.charge;

import static org.undanus.core.station.charge.ChargePoints.CAPS;
import static org.undanus.core.station.charge.ChargePoints.CRACKED;
import static org.undanus.core.station.charge.ChargePoints.ENTERED;
import static org.undanus.core.station.charge.ChargePoints.JOINT;
import static org.undanus.core.station.charge.ChargePoints.LABEL;
import static org.undanus.core.station.charge.ChargePoints.VALVES;

import java.util.List;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.words.Text;

/** What station 12 asks and judges. */
public final class Charge {
    private static final String CODE = "ISO 5149-2 and EN 378-2, charging and leak search; check the adopted edition";
    private static final String RECOVERY =
            "ISO 11650 and local law: refrigerant is recovered by licensed people; check what is adopted";
    private static final String PRACTICE = "Common practice of charging; the maker's instructions govern";

    private Charge() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.CHARGE,
                        points(),
                        List.of(
                                recovered(),
                                cracked(),
                                valves(),
                                Observed.that(
                                        Station.CHARGE,
                                        CAPS,
                                        Severity.DAMAGE,
                                        PRACTICE,
                                        "The caps are on and tight.",
                                        "A cap is missing or loose: stems and cores seep.",
                                        "Put each cap on with its seal, and tighten it as the maker says."),
                                new SecondSearch(),
                                joint(),
                                new SameRefrigerantCharged(),
                                new ChargeByLength(),
                                new WeighedCharge(),
                                new ChargedAsLiquid(),
                                entered(),
                                Observed.that(
                                        Station.CHARGE,
                                        LABEL,
                                        Severity.RECORD,
                                        CODE,
                                        "The label tells what is in it.",
                                        "Whoever opens it next does not know what and how much is in it.",
                                        "Write refrigerant, factory charge, added and total on the label, to last."),
                                new SubcoolingTrim(),
                                new SuperheatTrim(),
                                new SoundCycle()))
                .with(StationPlan.Aid.MACHINE)
                .drawnBy(CycleFigure::draw)
                .after(
                        Station.EVACUATION,
                        "Refrigerant that is let into what leaks or is wet cannot be taken back out of it.");
    }

    private static List<Point> points() {
        return Stream.of(
                        List.of(
                                ChargePoints.RECOVERED,
                                ChargePoints.RECOVERED_BY,
                                CRACKED,
                                VALVES,
                                CAPS,
                                ChargePoints.SEARCH,
                                ChargePoints.SEARCH_STATE,
                                ChargePoints.SEARCH_AIR,
                                JOINT,
                                ChargePoints.REFRIGERANT,
                                UnitPoints.ADDED_CHARGE,
                                ChargePoints.TAKEN_OUT,
                                ChargePoints.CYLINDER_BEFORE,
                                ChargePoints.CYLINDER_AFTER,
                                ChargePoints.AS_LIQUID,
                                ENTERED,
                                LABEL,
                                ChargePoints.COMPRESSOR),
                        OperationPoints.all(),
                        List.of(
                                AirPoints.OUTDOOR,
                                ChargePoints.BAROMETER,
                                ChargePoints.SENSOR,
                                ChargePoints.LIQUID_PRESSURE,
                                ChargePoints.LIQUID_TEMPERATURE,
                                ChargePoints.SUCTION_PRESSURE,
                                ChargePoints.SUCTION_TEMPERATURE,
                                AirPoints.RETURN_DRY_BULB,
                                AirPoints.RETURN_WET_BULB,
                                AirPoints.SUPPLY_DRY_BULB,
                                AirPoints.OUTDOOR_LEAVING,
                                ChargePoints.DISCHARGE_TEMPERATURE,
                                ChargePoints.DRIER_DROP,
                                ChargePoints.REST_PRESSURE,
                                ChargePoints.REST_TEMPERATURE))
                .flatMap(List::stream)
                .toList();
    }

    private static Requirement recovered() {
        return Requirement.of(
                About.of(
                                "charge.recovered",
                                Station.CHARGE,
                                Scope.REPLACEMENT,
                                "Old charge recovered and noted",
                                Severity.RECORD)
                        .sources(RECOVERY)
                        .needs(ChargePoints.RECOVERED, ChargePoints.RECOVERED_BY)
                        .cautions(ChargePoints.RECOVERED.caution()),
                x -> x.finding()
                        .step(
                                ChargePoints.RECOVERED.title(),
                                x.need(ChargePoints.RECOVERED).quantity())
                        .step(
                                ChargePoints.RECOVERED_BY.title(),
                                x.written(ChargePoints.RECOVERED_BY).orElseThrow())
                        .conclude(
                                Verdict.MEETS,
                                Text.of(
                                        "{need} by {recoveredBy}.",
                                        x.need(ChargePoints.RECOVERED).quantity(),
                                        x.written(ChargePoints.RECOVERED_BY).orElseThrow()),
                                ""));
    }

    private static Answered cracked() {
        return Answered.of(Station.CHARGE, CRACKED, Severity.DAMAGE, PRACTICE)
                .when(ChargePoints.STOOD, Verdict.MEETS, "It was let in a little first, and the pressure stood.", "")
                .when(
                        ChargePoints.FELL,
                        Verdict.FAILS,
                        "The pressure fell after the first crack: it leaks.",
                        "Shut the valve, recover the little that is in it, and find the leak under nitrogen.")
                .when(
                        ChargePoints.NOT_WATCHED,
                        Verdict.NOT_SHOWN,
                        "Nobody watched the gauge before all of the charge was let in.",
                        "Judge by the second leak search.");
    }

    private static Answered valves() {
        return Answered.of(Station.CHARGE, VALVES, Severity.DAMAGE, PRACTICE)
                .when(ChargePoints.IN_ORDER, Verdict.MEETS, "Both valves are open to the stop.", "")
                .when(ChargePoints.OTHER_ORDER, Verdict.MEETS, "Both valves are open to the stop.", "")
                .when(
                        ChargePoints.HALF_OPEN,
                        Verdict.FAILS,
                        "A valve that is not open to its stop throttles, and leaks at its stem.",
                        "Open it to its stop, without force, and put its cap on.");
    }

    private static Answered joint() {
        return Answered.of(Station.CHARGE, JOINT, Severity.DAMAGE, CODE)
                .when(ChargePoints.DRY, Verdict.MEETS, "Nothing was found at this joint.", "")
                .when(
                        ChargePoints.LEAKS,
                        Verdict.FAILS,
                        "This joint leaks refrigerant.",
                        "Recover the charge, make the joint again, and repeat pressure test and evacuation.")
                .when(
                        ChargePoints.NONE,
                        Verdict.NOT_SHOWN,
                        "This joint was not searched under refrigerant.",
                        "Search it twice, before it is insulated.");
    }

    private static Answered entered() {
        return Answered.of(Station.CHARGE, ENTERED, Severity.DAMAGE, PRACTICE)
                .when(
                        ChargePoints.INTO_LIQUID,
                        Verdict.MEETS,
                        "It went into the liquid line with the machine at rest.",
                        "")
                .when(
                        ChargePoints.THROTTLED,
                        Verdict.MEETS,
                        "It was throttled, and boiled before it came to the compressor.",
                        "")
                .when(
                        ChargePoints.UNTHROTTLED,
                        Verdict.FAILS,
                        "Liquid was let into the suction side: it breaks valves and washes out oil.",
                        "Ask how much, and have the compressor's current and sound looked at closely.")
                .when(
                        ChargePoints.NOT_KNOWN,
                        Verdict.NOT_SHOWN,
                        "Nobody knows where the charge went in.",
                        "Ask whoever charged it.");
    }
}
