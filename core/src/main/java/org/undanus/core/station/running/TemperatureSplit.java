package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.OUTDOOR;
import static org.undanus.core.derived.AirPoints.RETURN_DRY_BULB;
import static org.undanus.core.derived.AirPoints.RETURN_WET_BULB;
import static org.undanus.core.derived.AirPoints.SUPPLY_DRY_BULB;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.undanus.core.derived.CoolingCoil;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.Weather;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/**
 * The temperature split in cooling. By the psychrometric school: within the band that this coil should show in this air,
 * airflow being right within a tolerance. By the fixed-band school: inside a band of rule-of-thumb width. A split above
 * the band is questioned like one below it: it is the mark of starved airflow.
 */
final class TemperatureSplit implements Requirement {
    private static final SchoolTopic.School PSYCHROMETRIC =
            new SchoolTopic.School("psychrometric", "Psychrometric expectation");
    private static final SchoolTopic.School FIXED_BAND = new SchoolTopic.School("fixed-band", "Fixed band");
    private static final SchoolTopic TOPIC =
            new SchoolTopic("running.split", "How a temperature split is judged", List.of(PSYCHROMETRIC, FIXED_BAND));
    private static final LimitKey BAND =
            new LimitKey("running.split-band", Dimension.TEMPERATURE_DIFFERENCE, "Temperature split");
    private static final LimitKey SPLIT =
            new LimitKey("running.split", Dimension.TEMPERATURE_DIFFERENCE, "Temperature split");
    private static final LimitKey OUTDOOR_RANGE = new LimitKey(
            "running.split-outdoor-range", Dimension.TEMPERATURE, "Outdoor air in which a split says something");
    static final About ABOUT = About.of(
                    "running.split",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Temperature split, cooling",
                    Severity.PERFORMANCE)
            .sources("ASHRAE Fundamentals, Psychrometrics; apparatus dew point and bypass factor")
            .needs(OperationPoints.MODE)
            .limits(BAND, OUTDOOR_RANGE)
            .settings(ExpectedSplit.settings())
            .restingOn(SteadyOperation.ABOUT)
            .schools(TOPIC)
            .cautions(OUTDOOR.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.chosen(OperationPoints.MODE).orElseThrow().equals(OperationPoints.COOLING)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The machine was read in heating."), "");
        }
        Optional<Judgement> notYet = SteadyOperation.notYet(x);
        if (notYet.isPresent()) {
            return highAlready(x, notYet.get());
        }
        return x.by(PSYCHROMETRIC) ? psychrometric(x) : fixedBand(x);
    }

    /** A split only grows while a machine settles: one that is high too early is worth a word, though it shows nothing. */
    private static Judgement highAlready(Examination x, Judgement notYet) {
        if (!x.by(PSYCHROMETRIC)) {
            return notYet;
        }
        Judgement early = psychrometric(x);
        return early.comparison()
                .filter(c ->
                        early.verdict() == Verdict.FAILS && c.binding().limit().bound() == Bound.AT_MOST)
                .map(c -> x.finding()
                        .conclude(
                                Verdict.NOT_SHOWN,
                                Text.of(
                                        "{because} The split is high already: {measured}, and at most {binding} is expected.",
                                        notYet.because(),
                                        TemperatureDifference.ofKelvin(
                                                c.measured().value()),
                                        c.binding().limit().value()),
                                notYet.remedy().orElse(Text.empty())))
                .orElse(notYet);
    }

    private static Judgement fixedBand(Examination x) {
        List<Point> missing = x.missing(RETURN_DRY_BULB, SUPPLY_DRY_BULB);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Finding finding = x.finding();
        Uncertain split = Propagation.through(
                in -> in[0] - in[1],
                x.need(RETURN_DRY_BULB).uncertain(),
                x.need(SUPPLY_DRY_BULB).uncertain());
        return finding.compare(
                BAND,
                split,
                resolution(x),
                x.rules().limits(BAND),
                Text.of("A fixed band knows nothing of humidity. Read the wet bulb and judge by expectation."));
    }

    private static Judgement psychrometric(Examination x) {
        List<Point> missing = x.missing(RETURN_DRY_BULB, RETURN_WET_BULB, SUPPLY_DRY_BULB, OUTDOOR);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Optional<Judgement> unsuitable = unsuitableWeather(x);
        if (unsuitable.isPresent()) {
            return unsuitable.get();
        }
        Optional<Judgement> unusable = unusableAir(x);
        if (unusable.isPresent()) {
            return unusable.get();
        }
        Optional<ExpectedSplit> model;
        try {
            model = ExpectedSplit.of(x);
        } catch (CoolingCoil.ImpossibleRating e) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("{message}.", RefusedException.said(e)),
                            "Ask the maker for the correct rating.");
        }
        if (model.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("Neither sheet nor plate gives a rated cooling capacity to expect anything from."),
                            "Add the outdoor unit's data sheet, or read the capacity on its plate.");
        }
        if (!model.get().describesAirflow()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of(
                                    "The airflow read, {airflow}, is too far from the rated for the coil model to expect anything.",
                                    VolumeFlow.ofCubicMetresPerSecond(
                                            model.get().airflow().value())),
                            "Measure the airflow again; if it stands, that is the fault to mend first.");
        }
        try {
            return expected(x, model.get());
        } catch (IllegalArgumentException e) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("These air states cannot be used together: {message}.", RefusedException.said(e)),
                            "Read dry and wet bulb again at the same place and moment.");
        }
    }

    /** Why the air states read cannot be judged by at all. */
    private static Optional<Judgement> unusableAir(Examination x) {
        Optional<Judgement> thin = ThinAir.at(x);
        if (thin.isPresent()) {
            return thin;
        }
        Value.Measured dry = x.need(RETURN_DRY_BULB);
        Value.Measured wet = x.need(RETURN_WET_BULB);
        double over = wet.quantity().si() - dry.quantity().si();
        if (over > wet.uncertain().expanded() + dry.uncertain().expanded()) {
            return Optional.of(x.finding()
                    .step(RETURN_DRY_BULB.title(), dry.quantity())
                    .step(RETURN_WET_BULB.title(), wet.quantity())
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of(
                                    "A wet bulb of {wet} cannot lie above a dry bulb of {dry}: one of the two was misread.",
                                    wet.quantity(),
                                    dry.quantity()),
                            "Read dry and wet bulb again at the same place and moment."));
        }
        return Optional.empty();
    }

    private static Judgement expected(Examination x, ExpectedSplit model) {
        Finding finding = x.finding();
        model.steps().forEach(s -> finding.step(s.name(), s.how(), s.value(), s.source()));
        Uncertain[] inputs = {
            x.need(RETURN_DRY_BULB).uncertain(),
            x.need(SUPPLY_DRY_BULB).uncertain(),
            x.need(RETURN_WET_BULB).uncertain(),
            x.need(OUTDOOR).uncertain(),
            model.share()
        };
        double low = model.split(inputs[0].value(), inputs[2].value(), inputs[3].value(), 1 + model.tolerance());
        double high = model.split(inputs[0].value(), inputs[2].value(), inputs[3].value(), 1 - model.tolerance());
        double middle = model.split(inputs[0].value(), inputs[2].value(), inputs[3].value(), 1);
        // the needle is the split read; its whisker carries the doubt about the expectation too
        Uncertain departure =
                Propagation.through(in -> in[0] - in[1] - model.split(in[0], in[2], in[3], in[4]), inputs);
        Uncertain split = new Uncertain(inputs[0].value() - inputs[1].value(), departure.standardUncertainty());
        finding.step(
                "Expected split",
                "coil model at return air, outdoor air and airflow",
                TemperatureDifference.ofKelvin(middle),
                ABOUT.sources().get(0));
        List<Limit> limits = new ArrayList<>();
        limits.add(side(x, model, Bound.AT_LEAST, low));
        limits.add(side(x, model, Bound.AT_MOST, high));
        Comparison held = finding.hold(SPLIT, split, resolution(x), limits).orElseThrow();
        OptionalDouble share =
                model.explainingShare(inputs[0].value(), inputs[2].value(), inputs[3].value(), inputs[1].value());
        Text explanation = share.isPresent()
                ? Text.of(
                        "Airflow of {airflow} would explain it, {percent} % of the expected.",
                        VolumeFlow.ofCubicMetresPerSecond(
                                share.getAsDouble() * model.airflow().value()),
                        Math.round(100 * share.getAsDouble()))
                : Text.of("No airflow between 30 and 200 % of the expected would explain it.");
        finding.step("Airflow that would explain the reading", "the coil model solved for airflow", explanation, "");
        return finding.conclude(held.verdict(), sentence(finding, held, middle, explanation), remedy(held, middle));
    }

    private static Text sentence(Finding finding, Comparison held, double middle, Text explanation) {
        TemperatureDifference expected = TemperatureDifference.ofKelvin(middle);
        return switch (held.verdict()) {
            case MEETS -> Text.of("Expected {expected} in this air; the reading lies in the band.", expected);
            case FAILS ->
                Text.of(
                        held.measured().value() > middle
                                ? "Expected {expected} in this air: a larger split is no merit. {explanation}"
                                : "Expected {expected} in this air. {explanation}",
                        expected,
                        explanation);
            default -> finding.room();
        };
    }

    private static Text remedy(Comparison held, double middle) {
        return held.measured().value() > middle
                ? Text.of("Question the airflow first: filter, coil, fan speed, ducts. Only then anything else.")
                : Text.of(
                        "Check airflow above design, then outdoor coil and charge. Do not add refrigerant on this alone.");
    }

    private static Limit side(Examination x, ExpectedSplit model, Bound bound, double split) {
        return new Limit(
                x.rules().computed(),
                bound,
                TemperatureDifference.ofKelvin(split),
                Text.of(
                        "Coil model from {source}, airflow within tolerance: {toleranceSource}",
                        model.source(),
                        x.rules().setting(ExpectedSplit.TOLERANCE).source()));
    }

    private static Optional<Judgement> unsuitableWeather(Examination x) {
        List<Limit> range = x.rules().limits(OUTDOOR_RANGE);
        Value.Measured outdoor = x.need(OUTDOOR);
        if (range.isEmpty()) {
            return Optional.empty();
        }
        Finding finding = x.finding();
        Comparison held = finding.hold(
                        OUTDOOR_RANGE, Uncertain.exact(outdoor.quantity().si()), outdoor.resolution(), range)
                .orElseThrow();
        if (held.verdict() == Verdict.MEETS) {
            return Optional.empty();
        }
        Limit binding = held.binding().limit();
        Weather needed = new Weather(binding.bound(), binding.value());
        return Optional.of(x.finding()
                .waitsFor(needed)
                .step("Outdoor air", outdoor.quantity())
                .step("Limit", binding.value(), binding.source())
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("At {outdoor} outdoors a split in cooling says nothing.", outdoor.quantity()),
                        NextDay.of(x, needed)));
    }

    /** The coarser of the two displays. */
    private static double resolution(Examination x) {
        return Math.max(
                x.need(RETURN_DRY_BULB).resolution(), x.need(SUPPLY_DRY_BULB).resolution());
    }
}
