package org.undanus.core.station.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.LineContents;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Tube;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
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
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.LinearDensity;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * What was added and taken out is what the measured lines ask for: Δm = k·(ΣL − L₀), k by plate or sheet, else what the liquid
 * line holds. Most makers charge for lines up to L₀ and have nothing taken out of shorter ones; where one does, they have a surplus:
 * one school has it recovered, the other accepts it within the maker's shortest lines.
 */
final class ChargeByLength implements Requirement {
    private static final SchoolTopic.School RECOVER = new SchoolTopic.School("recover", "Surplus is recovered");
    private static final SchoolTopic.School ACCEPT =
            new SchoolTopic.School("accept", "Surplus is accepted within the maker's lengths");
    private static final SchoolTopic TOPIC =
            new SchoolTopic("charge.short-lines", "Lines shorter than the charge is for", List.of(RECOVER, ACCEPT));
    private static final LimitKey ADDED =
            new LimitKey("charge.by-length", Dimension.MASS, "Charge added for the lines");
    private static final double GRAM = 0.001;
    static final Setting TOLERANCE = new Setting(
            "charge.tolerance", Dimension.RATIO, "How far the charge may be from what it should be, of all of it");
    static final Setting WARM = new Setting(
            "charge.liquid-temperature", Dimension.TEMPERATURE, "Liquid line, where its contents are computed");
    static final About ABOUT = About.of(
                    "charge.by-length",
                    Station.CHARGE,
                    Scope.SPLIT_OUTDOOR_UNIT,
                    "Charge suits the lines",
                    Severity.PERFORMANCE)
            .sources("The maker's charge for other lengths: k·(L − L₀)")
            .limits(ADDED)
            .settings(Stream.concat(Stream.of(TOLERANCE, WARM, Trim.WAIT), CycleSettings.ALL.stream())
                    .toArray(Setting[]::new))
            .schools(TOPIC);

    @Override
    public About about() {
        return ABOUT;
    }

    /**
     * What the lines ask for beyond the factory charge.
     *
     * @param added kg; under zero where they are shorter
     * @param length of all lines together, m
     * @param each kg/m
     * @param how it was told
     */
    record Asked(Uncertain added, double length, double precharged, double each, String how) {}

    /** Empty where lines, factory length or contents are not known. */
    static Optional<Asked> asked(Examination x) {
        List<Subject> lines = lines(x);
        List<TubeRun> runs = lines.stream()
                .flatMap(set -> x.at(set).listed(LinePoints.RUN, TubeRun.class).stream())
                .toList();
        Optional<Double> port =
                x.sheet().flatMap(sheet -> sheet.value(SheetValue.PORT_LENGTH)).map(Quantity::si);
        Optional<Double> precharged = port.or(() -> x.number(PlatePoints.PRECHARGED_LENGTH));
        Optional<Double> plate = x.number(PlatePoints.EXTRA_CHARGE);
        Optional<Double> each = plate.or(() -> contents(x, lines));
        double shorter = x.number(PlatePoints.REDUCED_CHARGE).orElse(0.0);
        if (runs.size() < lines.size() || runs.isEmpty() || precharged.isEmpty() || each.isEmpty()) {
            return Optional.empty();
        }
        double length = runs.stream().mapToDouble(TubeRun::length).sum();
        // what one port has too much does not reach the lines of another
        double charged = port.map(atPort -> runs.stream()
                        .mapToDouble(run -> Math.max(run.length(), atPort))
                        .sum())
                .orElse(length);
        double free = port.map(atPort -> atPort * runs.size()).orElse(precharged.get());
        Accuracy tape = x.rules().accuracy(InstrumentKind.TAPE);
        Uncertain added = Propagation.through(
                in -> LineContents.addedCharge(in[0], free, each.get(), shorter),
                new Uncertain(charged, tape.standardUncertainty(length, tape.resolution()) * Math.sqrt(runs.size())));
        return Optional.of(new Asked(
                added,
                length,
                free,
                charged > free ? each.get() : shorter,
                charged <= free
                        ? "lines no longer than the charge is for: what the maker has taken out"
                        : how(plate.isPresent(), port.isPresent())));
    }

    private static String how(boolean given, boolean byPort) {
        if (byPort) {
            return given ? "by plate or sheet, port by port" : "what the liquid line holds: ρ·π·d²/4, port by port";
        }
        return given ? "by plate or sheet" : "what the liquid line holds: ρ·π·d²/4";
    }

    /** Those of this outdoor unit. */
    private static List<Subject> lines(Examination x) {
        return x.facts().subjects(Scope.LINE_SET).stream()
                .filter(set -> set.joins().contains(x.subject().id()))
                .toList();
    }

    private static Optional<Double> contents(Examination x, List<Subject> lines) {
        Optional<Tube> tube = lines.stream()
                .flatMap(set -> x.at(set).number(LinePoints.LIQUID).flatMap(Tube::of).stream())
                .findFirst();
        return tube.flatMap(liquid -> x.refrigerant(PlatePoints.REFRIGERANT)
                .map(r -> r.saturation()
                                .liquidDensity(Temperature.ofKelvin(x.rules().number(WARM)))
                        * liquid.bore()));
    }

    /** What was added, less what was taken out, kg; empty where nothing was read. */
    static Optional<Uncertain> added(Examination x) {
        Optional<Value.Measured> in = x.measured(UnitPoints.ADDED_CHARGE);
        Optional<Value.Measured> out = x.measured(ChargePoints.TAKEN_OUT);
        if (in.isEmpty() && out.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(Propagation.through(v -> v[0] - v[1], weighed(x, in), weighed(x, out)));
    }

    /** A mass out of a record was weighed as well as the rule book's scale weighs, at best. */
    private static Uncertain weighed(Examination x, Optional<Value.Measured> read) {
        double mass = read.map(m -> m.quantity().si()).orElse(0.0);
        Accuracy scale = x.rules().accuracy(InstrumentKind.SCALE);
        double least = mass == 0 ? 0 : scale.standardUncertainty(mass, scale.resolution());
        return new Uncertain(
                mass,
                Math.max(least, read.map(Value.Measured::standardUncertainty).orElse(0.0)));
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Asked> asked = asked(x);
        if (asked.isEmpty()) {
            return unknown(x);
        }
        Asked lines = asked.get();
        Finding finding = x.finding()
                .step("All lines together", Length.ofMetres(lines.length))
                .step("Length the charge is for", Length.ofMetres(lines.precharged))
                .step("For each length", lines.how, LinearDensity.ofKilogramsPerMetre(lines.each), "")
                .step("The lines ask for", "k·(ΣL − L₀)", Mass.ofKilograms(lines.added.value()), "");
        boolean surplus = lines.added.value() < 0;
        if (surplus && x.by(ACCEPT)) {
            return accepted(x, finding, lines);
        }
        Optional<Uncertain> added = added(x);
        if (added.isEmpty()) {
            return x.notShown(
                    List.of(surplus ? ChargePoints.TAKEN_OUT : UnitPoints.ADDED_CHARGE),
                    surplus
                            ? Text.of(
                                    "{added} too much is in it for these lines.",
                                    Mass.ofKilograms(-lines.added.value()))
                            : lines.added.value() > 0
                                    ? Text.of(
                                            "These lines ask for {added} more.", Mass.ofKilograms(lines.added.value()))
                                    : Text.of(
                                            "The factory charge is for lines up to {precharged}: nothing is added or taken out.",
                                            Length.ofMetres(lines.precharged)));
        }
        return compared(x, finding, lines, added.get());
    }

    private static Judgement unknown(Examination x) {
        boolean byPort =
                x.sheet().flatMap(sheet -> sheet.value(SheetValue.PORT_LENGTH)).isPresent();
        List<Point> missing = new ArrayList<>(byPort ? List.of() : x.missing(PlatePoints.PRECHARGED_LENGTH));
        for (Subject set : lines(x)) {
            missing.addAll(x.at(set).missing(LinePoints.RUN));
        }
        return missing.isEmpty()
                ? x.noSheetTells("the charge for each length of these lines", "Add the outdoor unit's data sheet.")
                : x.notShown(missing.subList(0, 1));
    }

    private static Judgement accepted(Examination x, Finding finding, Asked lines) {
        Optional<Double> shortest = x.number(PlatePoints.MINIMUM_LINE_LENGTH);
        if (shortest.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("Neither plate nor sheet tells how short the lines may be."),
                    "Ask the maker how short they may be with the factory charge in it.");
        }
        finding.step("Shortest lines by the maker", Length.ofMetres(shortest.get()));
        return lines.length >= shortest.get()
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of(
                                "The maker accepts the factory charge down to {shortest}.",
                                Length.ofMetres(shortest.get())),
                        "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of(
                                "{added} too much is in it, and the lines are shorter than the maker accepts.",
                                Mass.ofKilograms(-lines.added.value())),
                        Text.of(
                                "Recover {added}, or run the lines longer as the maker asks.",
                                Mass.ofKilograms(-lines.added.value())));
    }

    private static Judgement compared(Examination x, Finding finding, Asked lines, Uncertain added) {
        double whole = x.number(PlatePoints.CHARGE).orElse(0.0) + Math.max(0, lines.added.value());
        double tolerance = whole * x.rules().number(TOLERANCE);
        String source = x.rules().setting(TOLERANCE).source();
        double asked = lines.added.value();
        List<Limit> limits = new ArrayList<>(x.rules().limits(ADDED));
        limits.add(side(x, Bound.AT_LEAST, asked - tolerance, lines, source));
        limits.add(side(x, Bound.AT_MOST, asked + tolerance, lines, source));
        Comparison held = finding.hold(ADDED, added, GRAM, limits).orElseThrow();
        double departure = added.value() - asked;
        Mass off = Mass.ofKilograms(Math.abs(departure));
        boolean over = departure > 0;
        return finding.conclude(
                held.verdict(),
                held.verdict() == Verdict.FAILS
                        ? Text.of(
                                over
                                        ? "{off} more is in it than the lines ask for."
                                        : "{off} less is in it than the lines ask for.",
                                off)
                        : finding.room(),
                SameRefrigerantCharged.another(x)
                        .or(() -> SoundCycle.anotherCause(x))
                        .orElseGet(() -> over
                                ? Trim.recover(x, off)
                                : Text.of("Weigh in {off} as the maker says, never over the room's limit.", off)));
    }

    private static Limit side(Examination x, Bound bound, double kilograms, Asked lines, String source) {
        return new Limit(x.rules().computed(), bound, Mass.ofKilograms(kilograms), source)
                .within(lines.added.standardUncertainty());
    }
}
