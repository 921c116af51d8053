package org.undanus.core.station.condensate;

import static org.undanus.core.station.condensate.DrainPoints.CABINET;
import static org.undanus.core.station.condensate.DrainPoints.TRAP_DROP;
import static org.undanus.core.station.condensate.DrainPoints.TRAP_SEAL;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.CondensateRate;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * A cabinet through which the fan draws has a trap deep enough for its suction; others have none unless their sheet draws one. Drop
 * before the seal ≥ |Δp|/(ρ·g) + margin, seal ≥ a share of it.
 */
public final class Trap {
    private Trap() {}

    private static final double GRAVITY = 9.80665;
    private static final LimitKey DROP_LIMIT =
            new LimitKey("condensate.trap-drop", Dimension.LENGTH, "Height before the seal");
    private static final LimitKey SEAL_LIMIT =
            new LimitKey("condensate.trap-seal", Dimension.LENGTH, "Depth of the seal");
    private static final Setting MARGIN =
            new Setting("condensate.trap-margin", Dimension.LENGTH, "Height of a trap beyond the suction it holds");
    private static final Setting SHARE = new Setting(
            "condensate.trap-seal-share", Dimension.RATIO, "Depth of a trap's seal as a share of the height before it");
    private static final String SOURCE = "Mechanical code, condensate traps; common practice of coil makers";

    static final Requirement PRESENT = Requirement.of(
            About.of("condensate.trap", Station.CONDENSATE, Scope.DRAIN_RUN, "Trap where one belongs", Severity.DAMAGE)
                    .sources("Data sheet, drain", SOURCE)
                    .needs(CABINET, DrainPoints.RUN),
            Trap::present);

    static final Requirement DROP = Requirement.of(
            about("condensate.trap-drop", "Trap high enough", DROP_LIMIT, TRAP_DROP),
            x -> deep(x, TRAP_DROP, DROP_LIMIT, 1));

    static final Requirement SEAL = Requirement.of(
            about("condensate.trap-seal", "Trap's seal deep enough", SEAL_LIMIT, TRAP_SEAL),
            x -> deep(x, TRAP_SEAL, SEAL_LIMIT, x.rules().number(SHARE)));

    private static About about(String id, String title, LimitKey limit, Point point) {
        // the point's own condition says for which cabinets it is asked
        return About.of(id, Station.CONDENSATE, Scope.DRAIN_RUN, title, Severity.DAMAGE)
                .sources(SOURCE)
                .needs(CABINET)
                .limits(limit)
                .settings(MARGIN, SHARE);
    }

    /** Least height before the seal, m. @param suction Pa, as a positive number */
    public static double drop(double suction, double margin) {
        return suction / (CondensateRate.WATER * GRAVITY) + margin;
    }

    private static Judgement present(Examination x) {
        Option cabinet = x.chosen(CABINET).orElseThrow();
        TubeRun run = x.listed(DrainPoints.RUN, TubeRun.class).orElseThrow();
        int traps = run.count(TubeRun.Kind.TRAP);
        Optional<Length> drawn =
                x.at(x.indoor().orElseThrow()).sheet().flatMap(sheet -> sheet.length(SheetValue.TRAP_SEAL));
        boolean belongs = cabinet.equals(DrainPoints.DRAWN) || drawn.isPresent();
        Finding finding =
                x.finding().step(CABINET.title(), cabinet).step("Traps in the run", "", Text.of("{traps}", traps), "");
        if (traps > 1) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("{traps} traps in one drain: air locked between them holds the water.", traps),
                    Text.of("Take {traps} of them out.", traps - 1));
        }
        if (belongs && traps == 1) {
            Optional<TubeRun.Kind> bypass = Stream.of(TubeRun.Kind.VENT, TubeRun.Kind.PUMP)
                    .filter(open -> run.startsWith(open, TubeRun.Kind.TRAP))
                    .findFirst();
            if (bypass.isPresent()) {
                String open = bypass.get() == TubeRun.Kind.VENT ? "vent" : "pump";
                return finding.conclude(
                        Verdict.FAILS,
                        Text.of(
                                "A {open} stands before the trap: the fan draws air through it, and the trap holds nothing.",
                                open),
                        Text.of("Set the trap between the cabinet and the {open}.", open));
            }
        }
        if (belongs) {
            return finding.conclude(
                    traps == 1 ? Verdict.MEETS : Verdict.FAILS,
                    Text.of(
                            traps == 1
                                    ? "It has its trap."
                                    : cabinet.equals(DrainPoints.DRAWN)
                                            ? "The fan draws through this cabinet, and no trap holds the air back: water stands in the pan."
                                            : "The sheet draws a trap, and there is none."),
                    neededTrap(x, drawn));
        }
        return finding.conclude(
                traps == 0 ? Verdict.MEETS : Verdict.FAILS,
                Text.of(
                        traps == 0
                                ? "No trap, and none belongs there."
                                : "Positive pressure at the drain: trap as the maker says; elsewhere a trap only holds slime."),
                "Take the trap out and run the drain straight, unless the sheet shows one.");
    }

    private static Text neededTrap(Examination x, Optional<Length> drawn) {
        Optional<Double> needed = suction(x)
                .filter(any -> x.rules().decides(MARGIN))
                .map(s -> drop(Math.max(0, s.value()), x.rules().number(MARGIN)));
        return needed.map(height -> Text.of(
                        "Install a trap: {before} before the seal, and a seal of {seal} or more.",
                        new AtLeast(Length.ofMetres(height)),
                        new AtLeast(Length.ofMetres(height * x.rules().number(SHARE)))))
                .or(() -> drawn.map(seal -> Text.of("Install one with a seal of {seal}, as drawn.", seal)))
                .orElse(Text.of("Install a trap; read the static pressure after the coil to know how deep."));
    }

    /** What the cabinet draws at the pan, Pa: the static pressure after the coil, of the same unit's ducts. */
    static Optional<Uncertain> suction(Examination x) {
        return x.indoor()
                .flatMap(unit -> x.facts().subject(Subject.Kind.DUCT_SYSTEM.key() + "-" + unit.id()))
                .flatMap(ducts -> x.at(ducts).measured(AirPoints.STATIC_COIL))
                .map(Value.Measured::uncertain)
                .map(read -> new Uncertain(-read.value(), read.standardUncertainty()));
    }

    private static Judgement deep(Examination x, Point point, LimitKey key, double share) {
        if (!x.chosen(CABINET).orElseThrow().equals(DrainPoints.DRAWN)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("No fan draws on this drain."), "");
        }
        Optional<Uncertain> suction = suction(x);
        if (suction.isEmpty()) {
            return x.indoor()
                    .flatMap(unit -> x.facts().subject(Subject.Kind.DUCT_SYSTEM.key() + "-" + unit.id()))
                    .map(ducts -> x.at(ducts).notShown(List.of(AirPoints.STATIC_COIL)))
                    .orElseGet(() -> x.notShown(List.of(point)));
        }
        double needed =
                share * drop(Math.max(0, suction.get().value()), x.rules().number(MARGIN));
        if (!x.has(point)) {
            return x.notShown(
                    List.of(point),
                    Text.of(
                            "At {suction} of suction it must be {needed} at least.",
                            PressureDifference.ofPascals(suction.get().value()),
                            new AtLeast(Length.ofMetres(needed))));
        }
        Value.Measured found = x.need(point);
        List<Limit> limits = new ArrayList<>(x.rules().limits(key));
        limits.add(new Limit(
                        x.rules().practice(),
                        Bound.AT_LEAST,
                        Length.ofMetres(needed),
                        x.rules().setting(MARGIN).source())
                .within(share * suction.get().standardUncertainty() / (CondensateRate.WATER * GRAVITY)));
        Finding finding = x.finding()
                .step(
                        "Suction at the pan",
                        PressureDifference.ofPascals(suction.get().value()))
                .step("Needed", "|Δp|/(ρ·g) + margin, the seal a share of it", Length.ofMetres(needed), SOURCE);
        Comparison held =
                finding.hold(key, found.uncertain(), found.resolution(), limits).orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of("Install a trap with {lacking} more depth.", finding.lacking()));
    }
}
