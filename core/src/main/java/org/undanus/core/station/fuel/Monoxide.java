package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.FLUE_MONOXIDE;
import static org.undanus.core.station.fuel.FuelPoints.FLUE_OXYGEN;
import static org.undanus.core.station.fuel.FuelPoints.ROOM_MONOXIDE;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Concentration;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Carbon monoxide in flue and room. */
public final class Monoxide {
    private Monoxide() {}

    /** Oxygen of air, as instruments for flue gas take it. */
    private static final double OXYGEN_OF_AIR = 0.209;

    private static final Setting THIN = new Setting(
            "fuel.thin-sample", Dimension.RATIO, "Most that the oxygen cell may leave open of the air-free figure");
    private static final String SHUT_OFF =
            "Shut it off; a licensed person looks at gas pressure, air, burner and heat exchanger.";

    private static final LimitKey FLUE_LIMIT =
            new LimitKey("fuel.flue-carbon-monoxide", Dimension.CONCENTRATION, "Carbon monoxide, air-free");
    private static final LimitKey ROOM_LIMIT =
            new LimitKey("fuel.room-carbon-monoxide", Dimension.CONCENTRATION, "Carbon monoxide in the room");
    private static final LimitKey STOP_LIMIT =
            new LimitKey("fuel.stop-carbon-monoxide", Dimension.CONCENTRATION, "Carbon monoxide at which all leave");
    private static final String STOP =
            "Leave now, everybody. Ventilate on the way out, shut off the fuel from outside if that is safe, call the emergency number. Nobody goes back in before it is declared safe.";

    static final Requirement FLUE = Requirement.of(
            About.of(
                            "fuel.flue-carbon-monoxide",
                            Station.FUEL,
                            Scope.FUEL_UNIT,
                            "Carbon monoxide in the flue, air-free",
                            Severity.SAFETY)
                    .sources("CO · 20.9/(20.9 − O2); limits of appliance standards")
                    .needs(FLUE_MONOXIDE)
                    .limits(FLUE_LIMIT)
                    .settings(THIN)
                    .cautions(FuelPoints.MONOXIDE),
            Monoxide::flue);

    static final Requirement ROOM = Requirement.of(
            About.of(
                            "fuel.room-carbon-monoxide",
                            Station.FUEL,
                            Scope.FUEL_UNIT,
                            "Carbon monoxide in the room",
                            Severity.SAFETY)
                    .sources("Field practice of combustion safety tests")
                    .needs(ROOM_MONOXIDE)
                    .limits(ROOM_LIMIT)
                    .cautions(FuelPoints.MONOXIDE),
            x -> room(
                    x,
                    ROOM_LIMIT,
                    "Ventilate and look for the cause before anything else: flue, draft, burner, other fires in the house."));

    static final Requirement LEAVE = Requirement.of(
            About.of(
                            "fuel.stop-carbon-monoxide",
                            Station.FUEL,
                            Scope.FUEL_UNIT,
                            "Room safe to stay in",
                            Severity.SAFETY)
                    .sources("Field practice of combustion safety tests")
                    .needs(ROOM_MONOXIDE)
                    .limits(STOP_LIMIT)
                    .cautions(FuelPoints.MONOXIDE)
                    .stopping(),
            x -> room(x, STOP_LIMIT, STOP));

    /** Ratio of carbon monoxide without the air that dilutes it: CO·20.9/(20.9 − O2). */
    public static double airFree(double monoxide, double oxygen) {
        return monoxide * OXYGEN_OF_AIR / (OXYGEN_OF_AIR - oxygen);
    }

    private static Judgement flue(Examination x) {
        List<Limit> limits = x.rules().limits(FLUE_LIMIT);
        Optional<Value.Measured> oxygen = x.measured(FLUE_OXYGEN);
        if (limits.isEmpty()) {
            return x.finding().nobodyLimits();
        }
        return oxygen.isEmpty() || tooThin(x, oxygen.get().uncertain())
                ? asShown(x, oxygen, limits)
                : byAirFree(x, oxygen.get().uncertain(), limits);
    }

    /** Whether the oxygen cell leaves more open than the rule book lets it; a cell of which nothing is known leaves all open. */
    private static boolean tooThin(Examination x, Uncertain oxygen) {
        double from = OXYGEN_OF_AIR - oxygen.value();
        return oxygen.standardUncertainty() == 0
                || oxygen.expanded() >= x.rules().number(THIN) * from;
    }

    /** What shows is the least that the air-free figure can be: over the limit it fails at any oxygen, under it nothing is shown. */
    private static Judgement asShown(Examination x, Optional<Value.Measured> oxygen, List<Limit> limits) {
        Value.Measured shown = x.need(FLUE_MONOXIDE);
        Finding finding = x.finding().step("Carbon monoxide, as shown", shown.quantity());
        Comparison held = finding.hold(FLUE_LIMIT, shown.uncertain(), shown.resolution(), limits)
                .orElseThrow();
        if (held.verdict() == Verdict.FAILS) {
            return finding.conclude(
                    Verdict.FAILS, finding.room().then(Text.of("Air-free it is more still.")), SHUT_OFF);
        }
        if (oxygen.isEmpty()) {
            return x.notShown(List.of(FLUE_OXYGEN));
        }
        Value.Measured read = oxygen.get();
        Amount share = Amount.of(Dimension.RATIO, read.uncertain(), read.resolution());
        return x.finding()
                .step("Carbon monoxide, as shown", shown.quantity())
                .step(FLUE_OXYGEN.title(), "", Text.of("{share}", share), "")
                .conclude(
                        Verdict.NOT_SHOWN,
                        read.quantity().si() >= OXYGEN_OF_AIR
                                ? Text.of("That is as much oxygen as in air, or more: the probe draws no flue gas.")
                                : Text.of(
                                        "The sample is too thin: at {share} of oxygen it is mostly air, and what the oxygen cell leaves open decides.",
                                        share),
                        "Shut it off until it is shown. Zero the analyser outdoors, set the probe in undiluted flue gas and read both again.");
    }

    private static Judgement byAirFree(Examination x, Uncertain oxygen, List<Limit> limits) {
        Uncertain free = Propagation.through(
                in -> airFree(Math.max(0, in[0]), in[1]), x.need(FLUE_MONOXIDE).uncertain(), oxygen);
        Finding finding = x.finding()
                .step("Carbon monoxide, as shown", x.need(FLUE_MONOXIDE).quantity())
                .step("Oxygen", Ratio.ofFraction(oxygen.value()))
                .step("Air-free", "CO · 20.9/(20.9 − O2)", Concentration.ofParts(free.value()), "");
        Comparison held = finding.hold(FLUE_LIMIT, free, 0, limits).orElseThrow();
        double most = held.binding().limit().value().si();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "{shutOff} At this oxygen no more than {most} may show.",
                        SHUT_OFF,
                        Concentration.ofParts(most / airFree(1, oxygen.value()))));
    }

    private static Judgement room(Examination x, LimitKey key, String remedy) {
        Value.Measured read = x.need(ROOM_MONOXIDE);
        Finding finding = x.finding();
        Optional<Comparison> held =
                finding.hold(key, read.uncertain(), read.resolution(), x.rules().limits(key));
        return held.isEmpty()
                ? finding.nobodyLimits()
                : finding.conclude(held.get().verdict(), finding.room(), remedy);
    }
}
