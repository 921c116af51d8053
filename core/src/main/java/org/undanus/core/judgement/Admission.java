package org.undanus.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;
import org.undanus.core.words.Worded;

/** Which readings a requirement may be judged by: grade, what could be seen when they were taken, and the instrument. */
public final class Admission {
    private final Case facts;
    private final Evidence evidence;
    private final RuleBook rules;
    private final About about;
    private final Basis basis;

    Admission(Case facts, Evidence evidence, RuleBook rules, About about, Basis basis) {
        this.facts = facts;
        this.evidence = evidence;
        this.rules = rules;
        this.about = about;
        this.basis = basis;
    }

    /** The last reading; where that was taken of what nobody could see any more, the last one from before. */
    Optional<Reading> standing(Point point, PointKey key) {
        Optional<Reading> latest = evidence.latest(key);
        if (latest.filter(reading -> outOfSight(point, reading)).isEmpty()) {
            return latest;
        }
        Optional<Reading> seen = Evidence.standing(evidence.history(key).stream()
                .filter(reading -> !outOfSight(point, reading))
                .toList());
        return seen.or(() -> latest);
    }

    private static boolean outOfSight(Point point, Reading reading) {
        if (reading.value() instanceof Value.TakenBack) {
            return false;
        }
        boolean seenNow = reading.grade() == Grade.WITNESSED || reading.grade() == Grade.STATED;
        return seenNow && point.outOfSightAt(reading.stage());
    }

    /** Why a reading cannot be judged by: too weak a grade, hidden when it was taken, an instrument that is not fit. */
    Optional<Text> doubt(Point point, Reading reading) {
        if (reading.value() instanceof Value.SetAside aside) {
            return Optional.of(Text.of("\"{typed}\" was saved but is set aside: {why}", reading.typed(), aside.why()));
        }
        Optional<Grade> least = rules.minimumGrade(about.id(), about.station().key());
        if (least.isPresent() && !reading.grade().atLeast(least.get())) {
            return Optional.of(Text.of(
                    "the rule book asks for evidence at least {least}; what is there is {there}.",
                    lower(least.get()),
                    lower(reading.grade())));
        }
        if (outOfSight(point, reading)) {
            return Optional.of(Text.of(
                    "concealed at the {stage}; pre-cover evidence is needed.",
                    reading.stage().visit()));
        }
        return ofAnotherState(point, reading)
                .or(() -> reading.instrument().flatMap(facts.toolcase()::find).flatMap(i -> i.unfit(use(reading))));
    }

    /** Read while the machine was asked for something else than now. What was chosen only after it says nothing about it. */
    private Optional<Text> ofAnotherState(Point point, Reading reading) {
        return point.during().flatMap(state -> {
            PointKey key = new PointKey(state.id(), PointKey.SYSTEM);
            basis.dependOn(key);
            Optional<String> then = Evidence.standing(evidence.history(key).stream()
                            .filter(chosen -> !chosen.at().isAfter(reading.at()))
                            .toList())
                    .flatMap(chosen -> chosen.value().answer());
            Optional<String> now =
                    evidence.latest(key).flatMap(chosen -> chosen.value().answer());
            return then.filter(chosen -> !now.equals(then))
                    .map(chosen -> Text.of(
                            "it was read while {state} was \"{then}\"; since then it is \"{now}\". Read it again.",
                            Text.lowered(state.title()),
                            state.said(chosen),
                            now.map(state::said).orElse("not known")));
        });
    }

    private static Worded lower(Grade grade) {
        return Text.lowered(grade.title());
    }

    /** What an instrument was used for when a reading was taken. */
    Instrument.Use use(Reading reading) {
        facts.outdoorUnit().ifPresent(unit -> {
            basis.dependOn(new PointKey(PlatePoints.REFRIGERANT.id(), unit.id()));
            basis.dependOn(new PointKey(PlatePoints.HIGH_SIDE_TEST_PRESSURE.id(), unit.id()));
        });
        return use(
                facts,
                evidence,
                shown(reading.value()),
                LocalDate.ofInstant(reading.at(), facts.site().zone()));
    }

    private static List<Quantity> shown(Value value) {
        if (value instanceof Value.Measured measured) {
            return List.of(measured.quantity());
        }
        if (value instanceof Value.Logged logged) {
            Trace trace = logged.trace();
            return List.of(
                    trace.dimension().of(trace.least()), trace.dimension().of(trace.most()));
        }
        return List.of();
    }

    /** What an instrument would be used for on this system. */
    public static Instrument.Use use(Case facts, Evidence evidence, List<Quantity> shown, LocalDate on) {
        Optional<String> outdoor = facts.outdoorUnit().map(Component::id);
        Optional<String> refrigerant = outdoor.flatMap(
                        id -> evidence.standing(new PointKey(PlatePoints.REFRIGERANT.id(), id), Value.Chosen.class))
                .map(chosen -> chosen.option().id());
        Optional<GaugePressure> highSide = outdoor.flatMap(id -> evidence.standing(
                        new PointKey(PlatePoints.HIGH_SIDE_TEST_PRESSURE.id(), id), Value.Measured.class))
                .map(read -> (GaugePressure) read.quantity());
        boolean flammable = refrigerant
                .flatMap(facts.refrigerants()::named)
                .map(Refrigerant::flammable)
                .orElse(false);
        return new Instrument.Use(on, shown, refrigerant, flammable, highSide);
    }
}
