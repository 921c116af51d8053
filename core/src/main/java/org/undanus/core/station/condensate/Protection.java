package org.undanus.core.station.condensate;

import static org.undanus.core.station.condensate.DrainPoints.BELOW;
import static org.undanus.core.station.condensate.DrainPoints.SECONDARY;
import static org.undanus.core.station.condensate.DrainPoints.SWITCH_STOPS;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.CondensateRate;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.derived.TubeRun.Around;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Mounting;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.LiquidFlow;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.words.Text;

/** What keeps water from doing harm: a second way out, a switch, insulation, and a place for meltwater. */
final class Protection {
    private Protection() {}

    /** Heat it takes to turn ice to vapour, J/kg: the most frost that heat taken from air can leave. ASHRAE Fundamentals. */
    private static final double SUBLIMING = 2.834e6;

    static final SchoolTopic.School COMPRESSOR =
            new SchoolTopic.School("compressor", "The switch cuts the compressor only, the fan keeps air moving");
    static final SchoolTopic.School ALL =
            new SchoolTopic.School("all", "The switch cuts all control power, failure is noticed");
    private static final SchoolTopic STOPS =
            new SchoolTopic("condensate.float-switch", "What a float switch stops", List.of(COMPRESSOR, ALL));

    static final Requirement SECOND = Requirement.of(
            About.of(
                            "condensate.secondary",
                            Station.CONDENSATE,
                            Scope.DRAIN_RUN,
                            "Secondary overflow protection where a leak does harm",
                            Severity.DAMAGE)
                    .sources("Mechanical code, auxiliary and secondary drains; check the adopted edition")
                    .needs(BELOW, SECONDARY),
            Protection::second);

    static final Requirement SWITCH = Requirement.of(
            About.of(
                            "condensate.float-switch",
                            Station.CONDENSATE,
                            Scope.DRAIN_RUN,
                            "Float switch stops the machine",
                            Severity.DAMAGE)
                    .sources("Mechanical code, water-level detection; practice differs in what it stops")
                    .needs(SECONDARY, SWITCH_STOPS)
                    .schools(STOPS)
                    .cautions(SWITCH_STOPS.caution()),
            Protection::stops);

    static final Requirement INSULATION = Requirement.of(
            About.of(
                            "condensate.insulation",
                            Station.CONDENSATE,
                            Scope.DRAIN_RUN,
                            "Insulated outside the conditioned space",
                            Severity.DAMAGE)
                    .sources("Mechanical code, condensate drains; common practice; check the adopted edition")
                    .needs(DrainPoints.RUN),
            Protection::insulated);

    static final Requirement ELBOW = Requirement.of(
            About.of(
                            "condensate.outdoor-elbow",
                            Station.CONDENSATE,
                            Scope.OUTDOOR_UNIT,
                            "Elbow and hose under a bracket",
                            Severity.DAMAGE)
                    .sources("Data sheet, outdoor drain; common practice")
                    .needs(DrainPoints.HEATS),
            Protection::elbow);

    private static Judgement second(Examination x) {
        Option below = x.chosen(BELOW).orElseThrow();
        Option second = x.chosen(SECONDARY).orElseThrow();
        Finding finding = x.finding().step(BELOW.title(), below).step(SECONDARY.title(), second);
        boolean none = second.equals(DrainPoints.NONE);
        if (below.equals(DrainPoints.NOTHING_HARMED)) {
            return finding.conclude(
                    Verdict.DOES_NOT_APPLY, Text.of("A leak would harm nothing here: none is asked for."), "");
        }
        boolean precious = below.equals(DrainPoints.VALUABLES);
        boolean catches = second.equals(DrainPoints.DRAINED_PAN) || second.equals(DrainPoints.SWITCHED_PAN);
        if (precious && !none && !catches) {
            return finding.conclude(
                    Verdict.REFER,
                    Text.of(
                            "Below lie {below}: whether {article} is enough without a pan is not for us to say.",
                            below,
                            article(second)),
                    "Ask the owner and the authority; a pan under the unit and its joints catches what a switch does not see.");
        }
        return finding.conclude(
                none ? Verdict.FAILS : Verdict.MEETS,
                none
                        ? Text.of("A blocked drain would run onto {below}.", below)
                        : Text.of("There is {article} against a blocked drain.", article(second)),
                "Install a float switch, a second drain, or a secondary pan with its own drain.");
    }

    private static String article(Option thing) {
        return "a " + thing.words();
    }

    private static Judgement stops(Examination x) {
        Option stopped = x.chosen(SWITCH_STOPS).orElseThrow();
        boolean wanted = stopped.equals(x.by(COMPRESSOR) ? DrainPoints.COMPRESSOR_ONLY : DrainPoints.CONTROL_POWER);
        Finding finding = x.finding().step(SWITCH_STOPS.title(), stopped);
        if (stopped.equals(DrainPoints.NOTHING_STOPPED)) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Nothing stopped: the switch guards nothing."),
                    "A licensed person wires it into the control circuit; then lift it again.");
        }
        return finding.conclude(
                wanted ? Verdict.MEETS : Verdict.FAILS,
                Text.of(
                        wanted
                                ? "It stopped what this rule book wants stopped: {stopped}."
                                : "It stopped {stopped}; this rule book wants it otherwise.",
                        stopped),
                x.by(COMPRESSOR)
                        ? "A licensed person wires it to break the compressor's control only, so that the fan keeps the coil from freezing."
                        : "A licensed person wires it to break all control power, so that somebody notices.");
    }

    private static Judgement insulated(Examination x) {
        TubeRun run = x.listed(DrainPoints.RUN, TubeRun.class).orElseThrow();
        List<Piece> cold = run.pieces().stream()
                .filter(piece -> piece.kind().hasLength() && piece.around() == Around.ATTIC)
                .toList();
        if (cold.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("None of it runs through an attic or void."), "");
        }
        Optional<Piece> unsaid =
                cold.stream().filter(piece -> piece.insulation().isEmpty()).findFirst();
        Optional<Piece> bare = cold.stream()
                .filter(piece -> piece.insulation().filter(t -> t == 0).isPresent())
                .findFirst();
        if (bare.isPresent()) {
            return x.finding()
                    .conclude(
                            Verdict.FAILS,
                            Text.of(
                                    "Part {part} lies bare in the attic: it sweats onto the ceiling.",
                                    bare.get().part() + 1),
                            Text.of(
                                    "Insulate part {part}, joints too.",
                                    bare.get().part() + 1));
        }
        if (unsaid.isPresent()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of(
                                    "The run does not say how part {part} is insulated.",
                                    unsaid.get().part() + 1),
                            "Write insulated and how thick, or bare, at that part of the run.");
        }
        return x.finding().conclude(Verdict.MEETS, Text.of("What runs through attic or void is insulated."), "");
    }

    private static Judgement elbow(Examination x) {
        if (!x.affirmed(DrainPoints.HEATS).orElseThrow()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("It does not heat: there is no meltwater."), "");
        }
        Optional<Option> support = x.chosen(UnitPoints.SUPPORT);
        if (support.filter(on -> !on.equals(Mounting.WALL_BRACKET.option())).isPresent()) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("It does not hang on a bracket."), "");
        }
        Optional<Boolean> fitted = x.affirmed(DrainPoints.ELBOW);
        Text water = meltwater(x)
                .map(flow -> Text.of("Up to {flow} of meltwater must get away.", flow))
                .orElse(Text.empty());
        if (support.isEmpty() || fitted.isEmpty()) {
            return x.notShown(List.of(support.isEmpty() ? UnitPoints.SUPPORT : DrainPoints.ELBOW), water);
        }
        return x.finding()
                .step(DrainPoints.ELBOW.title(), fitted.get() ? "yes" : "no")
                .conclude(
                        fitted.get() ? Verdict.MEETS : Verdict.FAILS,
                        Text.of(
                                fitted.get()
                                        ? "Elbow and hose lead its meltwater to a drain."
                                        : "Meltwater drips from the bracket and freezes on what lies below."),
                        Text.of("Fit the elbow, plugs and hose from its bag and lead them to a drain. {water}", water));
    }

    /** The most frost there can be: all heat taken from the air left as ice, no more than the rated heating capacity. */
    static Optional<LiquidFlow> meltwater(Examination x) {
        return x.outdoor()
                .flatMap(unit -> x.at(unit).number(PlatePoints.HEATING_CAPACITY))
                .map(heat -> LiquidFlow.ofCubicMetresPerSecond(heat / SUBLIMING / CondensateRate.WATER));
    }
}
