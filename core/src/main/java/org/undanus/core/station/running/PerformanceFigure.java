package org.undanus.core.station.running;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Airflow;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * Capacity over the outdoor temperature: the sheet's line for the mode that was run, and what was measured today within its
 * uncertainty. Outdoor air in °C to the right, capacity in kW upwards.
 */
final class PerformanceFigure {
    private static final double KILO = 1000;
    private static final double TICK = 10;
    private static final double MARGIN = 4;
    private static final double OVER = 1.15;

    private final Examination x;
    private final Judgements judgements;
    private final DataSheet.Mode mode;
    private final DataSheet.Pair pair;

    private PerformanceFigure(Examination x, Judgements judgements, DataSheet.Mode mode, DataSheet.Pair pair) {
        this.x = x;
        this.judgements = judgements;
        this.mode = mode;
        this.pair = pair;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.components().stream()
                .filter(Component::hasCoil)
                .flatMap(component -> draw(facts, evidence, rules, judgements, component).stream())
                .toList();
    }

    private static Optional<Drawing> draw(
            Case facts, Evidence evidence, RuleBook rules, Judgements judgements, Component unit) {
        Examination x = Examination.of(facts, evidence, rules, HeatingCapacity.ABOUT, unit);
        DataSheet.Mode mode = x.chosen(OperationPoints.MODE)
                .filter(OperationPoints.HEATING::equals)
                .map(heating -> DataSheet.Mode.HEATING)
                .orElse(DataSheet.Mode.COOLING);
        return facts.outdoorUnit()
                .flatMap(outdoor -> x.at(outdoor).sheet())
                .flatMap(sheet -> x.written(PlatePoints.MODEL).flatMap(sheet::pairWith))
                .filter(pair -> row(pair, mode).size() > 1)
                .map(pair -> new PerformanceFigure(x, judgements, mode, pair).drawing());
    }

    /** The table's entries for one indoor state, from cold to warm. */
    private static List<DataSheet.Capacity> row(DataSheet.Pair pair, DataSheet.Mode mode) {
        List<DataSheet.Capacity> all =
                pair.capacities().stream().filter(entry -> entry.mode() == mode).toList();
        return all.stream()
                .filter(entry -> entry.indoor().equals(all.get(0).indoor()))
                .sorted((one, other) ->
                        Double.compare(one.outdoor().si(), other.outdoor().si()))
                .toList();
    }

    private Drawing drawing() {
        List<DataSheet.Capacity> row = row(pair, mode);
        Optional<Temperature> outdoors = x.measured(AirPoints.OUTDOOR).map(read -> (Temperature) read.quantity());
        Optional<Uncertain> measured = measured();
        double most = Stream.concat(
                                row.stream().map(entry -> entry.total().si()),
                                measured.stream().map(watts -> watts.value() + watts.expanded()))
                        .mapToDouble(watts -> watts / KILO)
                        .max()
                        .orElseThrow()
                * OVER;
        double coldest = Stream.concat(row.stream().map(DataSheet.Capacity::outdoor), outdoors.stream())
                .mapToDouble(Temperature::celsius)
                .min()
                .orElseThrow();
        double warmest = Stream.concat(row.stream().map(DataSheet.Capacity::outdoor), outdoors.stream())
                .mapToDouble(Temperature::celsius)
                .max()
                .orElseThrow();
        double low = Math.floor((coldest - MARGIN) / TICK) * TICK;
        double high = Math.ceil((warmest + MARGIN) / TICK) * TICK;
        Drawing.Builder chart = Drawing.of(
                Text.of(
                        mode == DataSheet.Mode.HEATING ? "{unit}, capacity in heating" : "{unit}, capacity in cooling",
                        x.unit().title()),
                Frame.stretched(low - (high - low) / 8, -most / 8, high, most));
        axes(chart, low, high, most);
        List<Place> line = new ArrayList<>();
        row.forEach(entry ->
                line.add(Place.of(entry.outdoor().celsius(), entry.total().si() / KILO)));
        chart.line(Role.CURVE, line).aside(Text.of("the sheet"), line.get(0), Side.ABOVE, Side.LEFT);
        Meaning meaning = Meaning.of(
                judgements,
                mode == DataSheet.Mode.HEATING ? HeatingCapacity.ABOUT : CoolingCapacity.ABOUT,
                x.unit().id());
        outdoors.ifPresent(t -> today(chart, t, measured, most, meaning));
        return chart.spoken(Text.of(
                "Capacity over the outdoor temperature: the sheet's line, and {measured} at {outdoors} today: {standing}",
                measured.map(watts -> (Object) Power.ofWatts(watts.value())).orElse("nothing measured"),
                outdoors.map(t -> (Object) t).orElse("a temperature not read"),
                meaning.said()));
    }

    private static void axes(Drawing.Builder chart, double low, double high, double most) {
        double step = Math.pow(10, Math.floor(Math.log10(most)));
        double grid = most / step < 3 ? step / 2 : step;
        for (double kilowatts = 0; kilowatts <= most; kilowatts += grid) {
            chart.line(kilowatts == 0 ? Role.OUTLINE : Role.GRID, Place.of(low, kilowatts), Place.of(high, kilowatts));
            if (kilowatts > 0) {
                chart.words(
                        Text.of("{kilowatts}", Power.ofWatts(kilowatts * KILO)),
                        Place.of(low, kilowatts),
                        Weight.QUIET,
                        Side.LEFT);
            }
        }
        for (double celsius = low; celsius <= high; celsius += TICK) {
            chart.line(Role.OUTLINE, Place.of(celsius, 0), Place.of(celsius, -most / 60))
                    .words(
                            Text.of("{celsius}", Temperature.ofCelsius(celsius)),
                            Place.of(celsius, -most / 60),
                            Weight.QUIET,
                            Side.BELOW);
        }
    }

    private static void today(
            Drawing.Builder chart, Temperature outdoors, Optional<Uncertain> measured, double most, Meaning meaning) {
        PointKey line = new PointKey(AirPoints.OUTDOOR.id(), Subject.SYSTEM.id());
        double across = outdoors.celsius();
        chart.line(Role.ASKED, meaning.on(line), Place.of(across, 0), Place.of(across, most))
                .words(
                        Text.of("today {outdoors}", outdoors),
                        Place.of(across, most * 0.95),
                        Weight.PLAIN,
                        Side.RIGHT,
                        Side.LEFT);
        measured.ifPresent(watts -> chart.line(
                        Role.READ,
                        meaning.on(line),
                        Place.of(across, Math.max(0, watts.value() - watts.expanded()) / KILO),
                        Place.of(across, (watts.value() + watts.expanded()) / KILO))
                .dot(Role.READ, Place.of(across, watts.value() / KILO), line)
                .words(
                        Text.of("measured {watts}", Power.ofWatts(watts.value())),
                        Place.of(across, watts.value() / KILO),
                        Weight.STRONG,
                        meaning.on(line),
                        Side.RIGHT,
                        Side.LEFT));
    }

    /** Heat moved today, W; empty where airflow or air were not read. */
    private Optional<Uncertain> measured() {
        if (ThinAir.at(x).isPresent()
                || Airflow.of(x, x.unit()).agreed().isEmpty()
                || !x.has(AirPoints.RETURN_DRY_BULB)
                || !x.has(AirPoints.SUPPLY_DRY_BULB)) {
            return Optional.empty();
        }
        return mode == DataSheet.Mode.HEATING
                ? Optional.of(SheetHeating.given(x)).filter(watts -> watts.value() >= 0)
                : CoolingCapacity.taken(x);
    }
}
