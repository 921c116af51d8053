package org.undanus.core.station.piping;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Tube;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
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
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Torque;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Every joint is listed, and made as its kind asks. */
final class Joints {
    private Joints() {}

    /** Two tubes, each with a joint at each end. */
    private static final int ENDS = 4;
    /** A coupling has a joint on either side, in each of two tubes. */
    private static final int OF_COUPLING = 4;

    private static final LimitKey HEIGHT_LIMIT =
            new LimitKey("piping.flare-height", Dimension.LENGTH, "Tube over the bar");
    private static final LimitKey DIAMETER_LIMIT =
            new LimitKey("piping.flare-diameter", Dimension.LENGTH, "Diameter of the flare");
    private static final LimitKey TORQUE_LIMIT = new LimitKey("piping.flare-torque", Dimension.TORQUE, "Torque");
    private static final LimitKey PRESS_LIMIT =
            new LimitKey("piping.press-pressure", Dimension.GAUGE_PRESSURE, "Rated pressure of the fitting");

    private static final Setting TORQUE_TOLERANCE = new Setting(
            "piping.torque-tolerance", Dimension.RATIO, "How far a torque may lie from the one figure of a sheet");

    static final SchoolTopic SEAT = new SchoolTopic(
            "piping.flare-seat",
            "What belongs on a flare's seat",
            List.of(
                    new SchoolTopic.School("nothing", "Dry flare"),
                    new SchoolTopic.School("oil", "Oil on the seat"),
                    new SchoolTopic.School("sealant", "Sealant on the seat")));

    private static About joint(String name, String title, Severity severity) {
        return About.of("piping." + name, Station.PIPING, Scope.JOINT, title, severity);
    }

    static final Requirement LISTED = Requirement.of(
            About.of("piping.joints-listed", Station.PIPING, Scope.LINE_SET, "Every joint listed", Severity.RECORD)
                    .sources("Common practice: a joint that is not listed is not searched for leaks")
                    .needs(LinePoints.RUN),
            Joints::listed);

    static final Requirement HEIGHT = Requirement.of(
            joint("flare-height", "Height over the flaring bar", Severity.DAMAGE)
                    .sources("The flaring tool's instructions; common range of clutch tools for R410A and R32")
                    .needs(JointPoints.KIND, JointPoints.HEIGHT)
                    .limits(HEIGHT_LIMIT),
            x -> within(x, JointPoints.HEIGHT, HEIGHT_LIMIT, x.rules().limits(HEIGHT_LIMIT)));

    static final Requirement DIAMETER = Requirement.of(
            joint("flare-diameter", "Diameter of the flare", Severity.DAMAGE)
                    .sources(Tube.FLARES_SOURCE)
                    .needs(JointPoints.KIND, JointPoints.DIAMETER)
                    .limits(DIAMETER_LIMIT),
            Joints::diameter);

    static final Requirement TORQUE = Requirement.of(
            joint("flare-torque", "Torque of the flare nut", Severity.DAMAGE)
                    .sources("Data sheet, flare nuts", Tube.FLARES_SOURCE)
                    .needs(JointPoints.KIND, JointPoints.TUBE, JointPoints.TORQUE)
                    .limits(TORQUE_LIMIT)
                    .settings(TORQUE_TOLERANCE),
            Joints::torque);

    static final Requirement ON_SEAT = Requirement.of(
            joint("flare-seat", "What is on the seat", Severity.DAMAGE)
                    .sources("Practice differs: the rule book chooses")
                    .needs(JointPoints.KIND, JointPoints.SEAT)
                    .schools(SEAT),
            Joints::seat);

    static final Requirement PRESS_PRESSURE = Requirement.of(
            joint("press-pressure", "Pressed fitting, rated pressure", Severity.SAFETY)
                    .sources("The fitting's sheet; nameplate, test pressure of the high side")
                    .needs(JointPoints.KIND, JointPoints.PRESS_PRESSURE)
                    .limits(PRESS_LIMIT),
            Joints::pressed);

    private static Judgement listed(Examination x) {
        TubeRun run = Run.of(x).tubes();
        int due = ENDS + OF_COUPLING * run.count(TubeRun.Kind.COUPLING);
        String indoor = x.indoor().map(unit -> unit.id()).orElse("");
        List<Subject> there = x.facts().subjects(Scope.JOINT).stream()
                .filter(joint -> joint.joins().contains(indoor))
                .toList();
        Finding finding = x.finding()
                .step("Ends of two tubes and couplings", "4 + 4 for each coupling", Text.of("{due}", due), "")
                .step("Joints listed", "", Text.of("{there}", there.size()), "");
        return finding.conclude(
                there.size() >= due ? Verdict.MEETS : Verdict.NOT_SHOWN,
                there.size() >= due
                        ? Text.of("{there} joints are listed.", there.size())
                        : Text.of("{there} of at least {due} joints are listed.", there.size(), due),
                Text.of(
                        "List {due} more among the parts of this system, each with its kind and tube.",
                        due - there.size()));
    }

    private static Judgement within(Examination x, Point point, LimitKey key, List<Limit> limits) {
        Value.Measured read = x.need(point);
        Finding finding = x.finding();
        Optional<Comparison> held = finding.hold(key, read.uncertain(), read.resolution(), limits);
        return held.isEmpty()
                ? finding.nobodyLimits()
                : finding.conclude(
                        held.get().verdict(),
                        finding.room(),
                        Text.of("Cut off the flare and make it again: {range}.", range(limits)));
    }

    /** What the limits leave, strictest on each side. */
    private static Text range(List<Limit> limits) {
        Optional<Quantity> low = limits.stream()
                .filter(limit -> limit.bound() == Bound.AT_LEAST)
                .map(Limit::value)
                .max((a, b) -> Double.compare(a.si(), b.si()));
        Optional<Quantity> high = limits.stream()
                .filter(limit -> limit.bound() == Bound.AT_MOST)
                .map(Limit::value)
                .min((a, b) -> Double.compare(a.si(), b.si()));
        if (low.isPresent() && high.isPresent()) {
            return Text.of("{least} to {most}", fine(low.get()), fine(high.get()));
        }
        return high.map(most -> Text.of("at most {fine}", fine(most)))
                .or(() -> low.map(least -> Text.of("at least {fine}", fine(least))))
                .orElse(Text.of("as its tool says"));
    }

    private static Object fine(Quantity quantity) {
        return quantity.dimension() == Dimension.LENGTH ? new Amount(quantity, 1e-4, 0) : quantity;
    }

    private static Judgement diameter(Examination x) {
        Optional<Double> outer = x.number(JointPoints.TUBE);
        if (outer.isEmpty()) {
            return x.notShown(List.of(JointPoints.TUBE));
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(DIAMETER_LIMIT));
        Optional<Tube.Flare> flare = Tube.of(outer.get()).flatMap(Tube::flare);
        flare.ifPresent(range -> {
            limits.add(byTable(x, Bound.AT_LEAST, Length.ofMetres(range.leastDiameter())));
            limits.add(byTable(x, Bound.AT_MOST, Length.ofMetres(range.mostDiameter())));
        });
        return within(x, JointPoints.DIAMETER, DIAMETER_LIMIT, limits);
    }

    private static Limit byTable(Examination x, Bound bound, Quantity value) {
        return new Limit(x.rules().practice(), bound, value, Tube.FLARES_SOURCE);
    }

    /** The sheet of either unit first, else the table. */
    private static Judgement torque(Examination x) {
        double outer = x.need(JointPoints.TUBE).quantity().si();
        List<Limit> limits = new ArrayList<>(x.rules().limits(TORQUE_LIMIT));
        limits.addAll(bySheet(x, outer));
        if (limits.isEmpty()) {
            Tube.of(outer).flatMap(Tube::flare).ifPresent(range -> {
                limits.add(byTable(x, Bound.AT_LEAST, Torque.ofNewtonMetres(range.leastTorque())));
                limits.add(byTable(x, Bound.AT_MOST, Torque.ofNewtonMetres(range.mostTorque())));
            });
        }
        if (limits.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.REFER,
                            Text.of("Tube of {outer} is in no table of flares.", Length.ofMetres(outer)),
                            "Ask the maker whether this size may be flared, and with what torque.");
        }
        Value.Measured torque = x.need(JointPoints.TORQUE);
        Finding finding = x.finding();
        Comparison held = finding.hold(TORQUE_LIMIT, torque.uncertain(), torque.resolution(), limits)
                .orElseThrow();
        boolean tooMuch = held.binding().limit().bound() == Bound.AT_MOST;
        return finding.conclude(
                held.verdict(),
                finding.room(),
                tooMuch
                        ? Text.of(
                                "An overtightened flare cracks: have it made anew and closed with {range}.",
                                range(limits))
                        : Text.of("Tighten it with a torque wrench and a backup wrench: {range}.", range(limits)));
    }

    /** A range as the maker gives it; of one figure, how far from it is close enough is for the rule book to say. */
    private static List<Limit> bySheet(Examination x, double outer) {
        double allowed = x.rules().number(TORQUE_TOLERANCE);
        return x.subject().joins().stream()
                .flatMap(id -> x.facts().component(id).stream())
                .flatMap(unit -> x.at(unit).sheet().stream())
                .flatMap(sheet -> sheet.torques().stream()
                        .filter(given -> Tube.of(given.tube().si()).equals(Tube.of(outer)))
                        .flatMap(given -> Stream.of(
                                limit(
                                        x,
                                        sheet,
                                        Bound.AT_LEAST,
                                        given.least().si() * (1 - (given.oneFigure() ? allowed : 0))),
                                limit(
                                        x,
                                        sheet,
                                        Bound.AT_MOST,
                                        given.most().si() * (1 + (given.oneFigure() ? allowed : 0))))))
                .limit(2)
                .toList();
    }

    private static Limit limit(Examination x, DataSheet sheet, Bound bound, double torque) {
        return new Limit(x.rules().maker(), bound, Torque.ofNewtonMetres(torque), sheet.document());
    }

    private static final Map<String, String> ON = Map.of("nothing", "dry", "oil", "oiled", "sealant", "sealed");

    private static Judgement seat(Examination x) {
        Option found = x.chosen(JointPoints.SEAT).orElseThrow();
        SchoolTopic.School school =
                SEAT.schools().stream().filter(x::by).findFirst().orElseThrow();
        boolean same = school.id().equals(found.id());
        return x.finding()
                .step(JointPoints.SEAT.title(), found)
                .conclude(
                        same ? Verdict.MEETS : Verdict.FAILS,
                        Text.of(
                                same
                                        ? "The seat is {found}, as {school} asks."
                                        : "The seat is {found}; {school} asks otherwise.",
                                ON.get(found.id()),
                                Text.lowered(school.title())),
                        Text.of(
                                "Once the charge is recovered, open the joint, clean it and close it {school}; or the quality lead chooses another school.",
                                ON.get(school.id())));
    }

    private static Judgement pressed(Examination x) {
        List<Limit> limits = new ArrayList<>(x.rules().limits(PRESS_LIMIT));
        limits.addAll(Run.byMaker(x, Bound.AT_LEAST, PlatePoints.HIGH_SIDE_TEST_PRESSURE));
        if (limits.isEmpty()) {
            return x.outdoor()
                    .map(unit -> x.at(unit).notShown(List.of(PlatePoints.HIGH_SIDE_TEST_PRESSURE)))
                    .orElseGet(() -> x.noSheetTells("the pressure of this circuit", "Add the outdoor unit."));
        }
        Value.Measured rated = x.need(JointPoints.PRESS_PRESSURE);
        return WithinLimits.judge(
                x.finding(),
                PRESS_LIMIT,
                rated.uncertain(),
                rated.resolution(),
                limits,
                "Do not pressurise this circuit. Replace the fitting; rating");
    }
}
