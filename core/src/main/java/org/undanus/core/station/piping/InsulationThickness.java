package org.undanus.core.station.piping;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Sweating;
import org.undanus.core.derived.Tube;
import org.undanus.core.derived.TubeRun.Around;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.ThermalConductivity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The suction line's insulation is thick enough, piece by piece, not to sweat in the air about it. The colder of both lines with
 * the larger diameter asks for most, so the liquid line is safe in the same insulation.
 */
final class InsulationThickness implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("piping.insulation-thickness", Dimension.LENGTH, "Insulation of the worst piece");
    static final Setting INSIDE =
            new Setting("piping.suction-temperature", Dimension.TEMPERATURE, "Temperature of the suction line");
    static final Setting COEFFICIENT = new Setting(
            "piping.surface-coefficient", Dimension.COUNT, "Surface coefficient, watts per square metre and kelvin");
    private static final Setting USUAL_CONDUCTIVITY = new Setting(
            "piping.insulation-conductivity", Dimension.THERMAL_CONDUCTIVITY, "Conductivity where none is known");

    /** Design air of a place. */
    private record Design(Setting air, Setting dewPoint) {
        private static Design of(String place, String title) {
            return new Design(
                    Setting.usefulOfPlace(
                            "piping.design-air-" + place, Dimension.TEMPERATURE, "Humid air " + title + ", dry bulb"),
                    Setting.usefulOfPlace(
                            "piping.design-dew-point-" + place,
                            Dimension.TEMPERATURE,
                            "Humid air " + title + ", dew point"));
        }
    }

    private static final Map<Around, Design> DESIGN = Map.of(
            Around.INDOORS, Design.of("indoors", "indoors"),
            Around.ATTIC, Design.of("attic", "in an attic"),
            Around.OUTDOORS, Design.of("outdoors", "outdoors"));

    static final About ABOUT = About.of(
                    "piping.insulation-thickness",
                    Station.PIPING,
                    Scope.LINE_SET,
                    "Insulation thick enough not to sweat",
                    Severity.DAMAGE)
            .sources("ASHRAE Fundamentals, insulation of cold pipes", "Data sheet, lines")
            .needs(LinePoints.RUN)
            .limits(LIMIT)
            .settings(settings());

    private static Setting[] settings() {
        List<Setting> all = new ArrayList<>(List.of(INSIDE, COEFFICIENT, USUAL_CONDUCTIVITY));
        for (Around place : List.of(Around.INDOORS, Around.ATTIC, Around.OUTDOORS)) {
            all.add(DESIGN.get(place).air);
            all.add(DESIGN.get(place).dewPoint);
        }
        return all.toArray(Setting[]::new);
    }

    /** Air about a piece, K. */
    private record Air(double dryBulb, double dewPoint) {}

    /** @param needed and found in metres */
    record Worst(Piece piece, double found, double needed, double conductivity, Air air) {
        double lack() {
            return needed - found;
        }
    }

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Run run = Run.of(x);
        Optional<Tube> tube = run.suction();
        if (tube.isEmpty()) {
            return x.notShown(List.of(LinePoints.SUCTION));
        }
        Optional<Double> otherwise = elsewhere(x);
        Optional<Worst> worst = Optional.empty();
        for (Piece piece : run.tubes().pieces()) {
            if (!piece.kind().hasLength() || piece.around() == Around.UNDERGROUND) {
                continue;
            }
            Optional<Air> air = air(x, piece.around());
            if (air.isEmpty()) {
                return x.notShown(
                        List.of(PipingPoints.AIR_TEMPERATURE, PipingPoints.AIR_HUMIDITY),
                        Text.of(
                                "The rule book has no design air for the piece {around}.",
                                piece.around().title()));
            }
            double k = conductivity(x, piece);
            double needed = Sweating.thickness(
                    air.get().dryBulb,
                    air.get().dewPoint,
                    x.rules().number(INSIDE),
                    tube.get().outer() / 2,
                    k,
                    x.rules().number(COEFFICIENT));
            Optional<Double> found = piece.insulation().or(() -> otherwise);
            if (found.isEmpty()) {
                return x.at(x.indoor().orElseThrow())
                        .notShown(
                                List.of(LinePoints.INSULATION),
                                Text.of(
                                        "Part {part} needs {needed} in air of {dryBulb} with a dew point of {dewPoint}.",
                                        piece.part() + 1,
                                        new AtLeast(Length.ofMetres(needed)),
                                        Temperature.ofKelvin(air.get().dryBulb),
                                        Temperature.ofKelvin(air.get().dewPoint)));
            }
            Worst here = new Worst(piece, found.get(), needed, k, air.get());
            if (worst.isEmpty() || here.lack() > worst.get().lack()) {
                worst = Optional.of(here);
            }
        }
        return worst.isEmpty()
                ? x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("All of it lies underground."), "")
                : held(x, tube.get(), worst.get());
    }

    private static Judgement held(Examination x, Tube tube, Worst worst) {
        Finding finding = x.finding()
                .step(
                        "Worst piece",
                        "",
                        Text.of(
                                "part {part}, {around}",
                                worst.piece.part() + 1,
                                worst.piece.around().title()),
                        "")
                .step("Air there", Temperature.ofKelvin(worst.air.dryBulb))
                .step("Dew point there", Temperature.ofKelvin(worst.air.dewPoint))
                .step("Conductivity", ThermalConductivity.ofWattsPerMetreKelvin(worst.conductivity))
                .step(
                        "Surface as it is",
                        "(Ta − Ts)·h·ro = k·(Ts − Ti)/ln(ro/ri)",
                        Temperature.ofKelvin(Sweating.ofTube(
                                worst.air.dryBulb,
                                x.rules().number(INSIDE),
                                tube.outer() / 2,
                                worst.found,
                                worst.conductivity,
                                x.rules().number(COEFFICIENT))),
                        ABOUT.sources().get(0));
        List<Limit> limits = x.outdoor()
                .map(unit -> x.at(unit).limits(LIMIT, SheetLimit.atLeast(SheetValue.LINE_INSULATION)))
                .orElseGet(() -> new ArrayList<>(x.rules().limits(LIMIT)));
        limits.add(new Limit(
                x.rules().computed(), Bound.AT_LEAST, Length.ofMetres(worst.needed), "Dew point of the air there"));
        double u = worst.found == 0
                ? 0
                : x.rules().accuracy(InstrumentKind.CALIPER).standardUncertainty(worst.found, 0);
        Comparison held =
                finding.hold(LIMIT, new Uncertain(worst.found, u), 0, limits).orElseThrow();
        double target = held.binding().limit().value().si();
        return finding.conclude(
                held.verdict(),
                held.verdict() == Verdict.FAILS
                        ? Text.of(
                                "Part {part}, {around}: {room} It sweats.",
                                worst.piece.part() + 1,
                                worst.piece.around().title(),
                                finding.room())
                        : finding.room(),
                Text.of(
                        "Insulate part {part} {target} thick or more.",
                        worst.piece.part() + 1,
                        new AtLeast(Length.ofMetres(target))));
    }

    /** What the run does not say of its insulation: as read where the bundle goes through the wall, m. */
    private static Optional<Double> elsewhere(Examination x) {
        return x.indoor().flatMap(unit -> x.at(unit).number(LinePoints.INSULATION));
    }

    private static double conductivity(Examination x, Piece piece) {
        return piece.conductivity()
                .or(() -> x.number(PipingPoints.CONDUCTIVITY))
                .orElseGet(() -> x.rules().number(USUAL_CONDUCTIVITY));
    }

    /** Design air of the place; today's where that is moister, or where the book has none. */
    private static Optional<Air> air(Examination x, Around place) {
        Design design = DESIGN.get(place);
        Optional<Air> designed = x.rules().decides(design.air) && x.rules().decides(design.dewPoint)
                ? Optional.of(new Air(x.rules().number(design.air), x.rules().number(design.dewPoint)))
                : Optional.empty();
        Optional<Air> today = today(x);
        return designed.filter(d -> today.isEmpty() || d.dewPoint >= today.get().dewPoint)
                .or(() -> today);
    }

    private static Optional<Air> today(Examination x) {
        Optional<Double> dry = x.number(PipingPoints.AIR_TEMPERATURE);
        Optional<Double> humidity = x.number(PipingPoints.AIR_HUMIDITY);
        if (dry.isEmpty()
                || humidity.isEmpty()
                || !MoistAir.describes(x.facts().site().atmosphere())) {
            return Optional.empty();
        }
        try {
            MoistAir air = MoistAir.ofRelativeHumidity(
                    Temperature.ofKelvin(dry.get()),
                    humidity.get(),
                    x.facts().site().atmosphere());
            return Optional.of(new Air(dry.get(), air.dewPoint().si()));
        } catch (IllegalArgumentException outsideTheFormulas) {
            return Optional.empty();
        }
    }
}
