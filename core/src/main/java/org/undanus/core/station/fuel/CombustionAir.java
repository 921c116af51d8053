package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.AIR_CHANGES;
import static org.undanus.core.station.fuel.FuelPoints.AIR_FROM;
import static org.undanus.core.station.fuel.FuelPoints.FAN_ASSISTED;
import static org.undanus.core.station.fuel.FuelPoints.LOUVRES;
import static org.undanus.core.station.fuel.FuelPoints.OPENING;
import static org.undanus.core.station.fuel.FuelPoints.ROOM_VOLUME;
import static org.undanus.core.station.fuel.FuelPoints.TOTAL_INPUT;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
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
import org.undanus.core.quantity.Area;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.Volume;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * Enough air for every fire in the space: from the room by either usual method, or through openings of enough free area. Openings to
 * other rooms only join rooms: together these must be large enough as well. Source: NFPA 54, air for combustion and ventilation.
 */
public final class CombustionAir implements Requirement {
    private static final LimitKey VOLUME_LIMIT =
            new LimitKey("fuel.room-volume", Dimension.VOLUME, "Volume of the space");
    private static final LimitKey OPENING_LIMIT =
            new LimitKey("fuel.opening-area", Dimension.AREA, "Free area of an opening");
    /** 1000 Btu/h, the step that the code counts by, W. */
    private static final double STEP = 293.07107;

    private static final Setting STANDARD =
            new Setting("fuel.volume-standard", Dimension.VOLUME, "Room for each 1000 Btu/h, standard method");
    private static final Setting KNOWN =
            new Setting("fuel.volume-known", Dimension.VOLUME, "Room for each 1000 Btu/h at one air change an hour");
    private static final Setting KNOWN_FAN =
            new Setting("fuel.volume-known-fan", Dimension.VOLUME, "The same of fan-assisted burners");
    private static final Setting MUST_KNOW = new Setting(
            "fuel.air-changes-known",
            Dimension.RATIO,
            "Air changed each hour, known, under which the standard method is closed");
    private static final Setting MOST_CHANGES = new Setting(
            "fuel.air-changes-most", Dimension.RATIO, "Most air changed each hour that may be reckoned with");
    private static final Setting LEAST_OPENING =
            new Setting("fuel.opening-least", Dimension.AREA, "Least free area of an opening to other rooms");
    private static final Setting METAL =
            new Setting("fuel.louvre-metal", Dimension.RATIO, "Free share behind metal louvres");
    private static final Setting WOOD =
            new Setting("fuel.louvre-wood", Dimension.RATIO, "Free share behind wood louvres");
    /** Input that one square inch of each opening is for. */
    private static final Map<Option, Setting> OPENINGS = Map.of(
            FuelPoints.TWO_INDOORS, each("indoors", "to other rooms, two"),
            FuelPoints.TWO_VERTICAL, each("vertical", "outdoors, direct or vertical, two"),
            FuelPoints.TWO_HORIZONTAL, each("horizontal", "outdoors, horizontal, two"),
            FuelPoints.ONE, each("single", "outdoors, single"));
    /** A square inch, m². */
    private static final double SQUARE_INCH = FieldUnit.INCH * FieldUnit.INCH;

    static final SchoolTopic.School BY_STANDARD =
            new SchoolTopic.School("standard", "Standard method: so much room for the input");
    static final SchoolTopic.School BY_AIR_CHANGES =
            new SchoolTopic.School("air-changes", "Known air changes of the room");
    private static final SchoolTopic METHOD = new SchoolTopic(
            "fuel.combustion-air", "How the room's own air is reckoned", List.of(BY_STANDARD, BY_AIR_CHANGES));

    private static Setting each(String name, String title) {
        return new Setting("fuel.opening-" + name, Dimension.POWER, "Input for one square inch of opening, " + title);
    }

    static final About ABOUT = About.of(
                    "fuel.combustion-air", Station.FUEL, Scope.FUEL_UNIT, "Combustion air", Severity.SAFETY)
            .sources("Fuel gas code, combustion air; check the adopted edition")
            .needs(AIR_FROM)
            .limits(VOLUME_LIMIT, OPENING_LIMIT)
            .settings(settings())
            .schools(METHOD);

    private static Setting[] settings() {
        List<Setting> all = new ArrayList<>(
                List.of(STANDARD, KNOWN, KNOWN_FAN, MUST_KNOW, MOST_CHANGES, LEAST_OPENING, METAL, WOOD));
        OPENINGS.values().stream().sorted(Comparator.comparing(Setting::id)).forEach(all::add);
        return all.toArray(Setting[]::new);
    }

    @Override
    public About about() {
        return ABOUT;
    }

    /** Room needed, m³, by so much for each 1000 Btu/h. */
    public static double room(double input, double each) {
        return input / STEP * each;
    }

    /** Free area needed of one opening, m². */
    public static double opening(double input, double inputForSquareInch, double least) {
        return Math.max(least, input / inputForSquareInch * SQUARE_INCH);
    }

    @Override
    public Judgement judge(Examination x) {
        Option from = x.chosen(AIR_FROM).orElseThrow();
        if (from.equals(FuelPoints.SEALED)) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("It brings its air in by its own pipe; that is its vent's matter."),
                            "");
        }
        if (from.equals(FuelPoints.ROOM)) {
            return ofRoom(x);
        }
        Judgement openings = throughOpenings(x, from);
        if (!from.equals(FuelPoints.TWO_INDOORS)) {
            return openings;
        }
        Judgement rooms = ofRoom(x);
        return openings.verdict().or(rooms.verdict()) == openings.verdict() ? openings : rooms;
    }

    /** By the school's method; a known rate that closes the standard one decides by whatever school. */
    private static Judgement ofRoom(Examination x) {
        Optional<Double> read = x.number(AIR_CHANGES);
        boolean closed = read.filter(rate -> rate < x.rules().number(MUST_KNOW)).isPresent();
        boolean known = closed || x.by(BY_AIR_CHANGES);
        List<Point> missing = new ArrayList<>(x.missing(TOTAL_INPUT));
        if (known) {
            missing.addAll(x.missing(AIR_CHANGES, FAN_ASSISTED));
        }
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        double input = x.need(TOTAL_INPUT).quantity().si();
        Setting each = !known ? STANDARD : x.affirmed(FAN_ASSISTED).orElseThrow() ? KNOWN_FAN : KNOWN;
        double changes = known ? Math.min(read.orElseThrow(), x.rules().number(MOST_CHANGES)) : 1;
        if (!(changes > 0)) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("A room without any change of air feeds no fire."),
                            "Repeat the test. Do not operate until it passes.");
        }
        double needed = room(input, x.rules().number(each)) / changes;
        if (!x.has(ROOM_VOLUME)) {
            return x.notShown(
                    List.of(ROOM_VOLUME), Text.of("It needs {needed} of room.", Volume.ofCubicMetres(needed)));
        }
        Value.Measured volume = x.need(ROOM_VOLUME);
        List<Limit> limits = new ArrayList<>(x.rules().limits(VOLUME_LIMIT));
        limits.add(new Limit(
                x.rules().code(),
                Bound.AT_LEAST,
                Volume.ofCubicMetres(needed),
                x.rules().setting(each).source()));
        Finding finding = x.finding();
        if (closed) {
            finding.step(
                    "Method",
                    "",
                    Text.of(
                            "known air changes: below {mustKnow} an hour the standard method is closed",
                            x.rules().setting(MUST_KNOW).value()),
                    x.rules().setting(MUST_KNOW).source());
        }
        if (known) {
            finding.step(
                    "Air changed each hour, reckoned with",
                    "the rate read, no more than the code lets in",
                    Ratio.ofFraction(changes),
                    x.rules().setting(MOST_CHANGES).source());
        }
        Comparison held = finding.hold(VOLUME_LIMIT, volume.uncertain(), volume.resolution(), limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Make openings to rooms with {lacking} more, or outdoors. Do not operate until then.",
                        finding.lacking()));
    }

    private static Judgement throughOpenings(Examination x, Option from) {
        List<Point> missing = x.missing(TOTAL_INPUT, LOUVRES);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Setting each = OPENINGS.get(from);
        double least = from.equals(FuelPoints.TWO_INDOORS) ? x.rules().number(LEAST_OPENING) : 0;
        double needed = opening(x.need(TOTAL_INPUT).quantity().si(), x.rules().number(each), least);
        double free = free(x);
        if (!x.has(OPENING)) {
            return x.notShown(
                    List.of(OPENING), Text.of("It must measure {needed} gross.", Area.ofSquareMetres(needed / free)));
        }
        Uncertain gross = x.need(OPENING).uncertain();
        List<Limit> limits = new ArrayList<>(x.rules().limits(OPENING_LIMIT));
        limits.add(new Limit(
                x.rules().code(),
                Bound.AT_LEAST,
                Area.ofSquareMetres(needed),
                x.rules().setting(each).source()));
        Finding finding = x.finding().step("Free share", "by what covers it", Ratio.ofFraction(free), "");
        Comparison held = finding.hold(
                        OPENING_LIMIT,
                        new Uncertain(free * gross.value(), free * gross.standardUncertainty()),
                        0,
                        limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Make each opening {needed} gross with this cover. Do not operate until then.",
                        new AtLeast(Area.ofSquareMetres(needed / free))));
    }

    private static double free(Examination x) {
        return switch (x.chosen(LOUVRES).orElseThrow().id()) {
            case "metal-louvres" -> x.rules().number(METAL);
            case "wood-louvres" -> x.rules().number(WOOD);
            default -> 1;
        };
    }
}
