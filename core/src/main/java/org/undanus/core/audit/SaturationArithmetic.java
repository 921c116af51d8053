package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.CONDENSING;
import static org.undanus.core.audit.RecordLines.EVAPORATING;
import static org.undanus.core.audit.RecordLines.LIQUID_PRESSURE;
import static org.undanus.core.audit.RecordLines.SUCTION_PRESSURE;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether a saturation temperature is that of the pressure beside it. Two, for the two sides. */
final class SaturationArithmetic implements Check {
    /** So many standard uncertainties are close. */
    private static final double CLOSE = 2;

    private static final AbsolutePressure SEA_LEVEL = AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(0));

    private final AboutCheck about;
    private final Point pressure;
    private final Point temperature;
    /** The low side counts from the dew, the high side from the bubble. */
    private final boolean dew;

    private SaturationArithmetic(String id, String title, Point pressure, Point temperature, boolean dew) {
        this.pressure = pressure;
        this.temperature = temperature;
        this.dew = dew;
        this.about = AboutCheck.of(id, title, "The saturation temperature against the pressure written beside it")
                .shows(
                        "That the two were not read together of this refrigerant at this height",
                        "Which of the two is right, or whether either was read")
                .innocently(
                        "The gauge's scale or the table is that of another refrigerant",
                        "The gauge or the table counts from the air pressure at sea level",
                        "Bubble and dew point were taken for each other",
                        "One of the two was read a while later")
                .asks(
                        "With which instrument or table was the saturation temperature found, and for which refrigerant and height?")
                .sources("Saturation by published reference equations of state, interpolated")
                .needs(pressure, temperature)
                .settings(AuditSettings.TABLES);
    }

    static SaturationArithmetic low() {
        return new SaturationArithmetic(
                "record.saturation-suction", "Saturation on the suction side", SUCTION_PRESSURE, EVAPORATING, true);
    }

    static SaturationArithmetic high() {
        return new SaturationArithmetic(
                "record.saturation-liquid", "Saturation on the liquid side", LIQUID_PRESSURE, CONDENSING, false);
    }

    @Override
    public AboutCheck about() {
        return about;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.OUTDOOR_UNIT, about, this::check);
    }

    private Found check(AuditedRecord paper, Subject unit) {
        Optional<Refrigerant> refrigerant = paper.refrigerant(unit);
        if (refrigerant.isEmpty()) {
            return Found.cannotTell(about, unit.id(), Text.of("Nothing says which refrigerant is in it."));
        }
        Value.Measured read = paper.measured(pressure, unit).orElseThrow();
        Value.Measured claimed = paper.measured(temperature, unit).orElseThrow();
        Uncertain expected = expected(read, refrigerant.get(), paper.air(), dew);
        double u = uncertainty(paper, claimed, expected);
        double off = claimed.quantity().si() - expected.value();
        Doubt doubt = Doubt.twoSided(off / u);
        return Found.weighed(
                        about,
                        unit.id(),
                        doubt,
                        Text.of(
                                dew
                                        ? "At {read} {refrigerant} condenses at {expected}; the record says {claimed}."
                                        : "At {read} {refrigerant} boils at {expected}; the record says {claimed}.",
                                read.quantity(),
                                refrigerant.get().name(),
                                amount(expected),
                                claimed.quantity()),
                        AuditedRecord.keys(unit, pressure, temperature))
                .drawn(
                        Dimension.TEMPERATURE,
                        new Uncertain(expected.value(), u),
                        claimed.quantity().si())
                .explained(mistake(paper, read, claimed, refrigerant.get()));
    }

    private static Amount amount(Uncertain kelvin) {
        return Amount.of(Dimension.TEMPERATURE, Uncertain.exact(kelvin.value()), 0.1);
    }

    /** Of the digits of both, and of two good tables. */
    private static double uncertainty(AuditedRecord paper, Value.Measured claimed, Uncertain expected) {
        return Math.sqrt(Math.pow(expected.standardUncertainty(), 2)
                + Math.pow(claimed.rounding(), 2)
                + Math.pow(paper.number(AuditSettings.TABLES).orElseThrow(), 2));
    }

    static Uncertain expected(Value.Measured pressure, Refrigerant refrigerant, AbsolutePressure air, boolean dew) {
        Saturation table = refrigerant.saturation();
        return Propagation.through(
                in -> {
                    AbsolutePressure absolute =
                            table.nearest(GaugePressure.ofPascals(in[0]).absolute(air));
                    return (dew ? table.dewTemperature(absolute) : table.bubbleTemperature(absolute)).si();
                },
                new Uncertain(pressure.quantity().si(), pressure.rounding()));
    }

    /** The mistake that explains it: the one that comes closest, where it comes close and the record does not. */
    private Optional<Text> mistake(
            AuditedRecord paper, Value.Measured read, Value.Measured claimed, Refrigerant right) {
        Stream<Way> ways = Stream.concat(
                Stream.of(
                        new Way(right, SEA_LEVEL, dew, Text.of("It fits a table that counts from sea level.")),
                        new Way(
                                right,
                                paper.air(),
                                !dew,
                                Text.of(dew ? "It fits the bubble point instead." : "It fits the dew point instead."))),
                paper.refrigerants().all().filter(other -> !other.equals(right)).flatMap(other -> Stream.of(
                                paper.air(), SEA_LEVEL)
                        .map(air -> new Way(other, air, dew, Text.of("It fits a table of {other}.", other.name())))));
        double asWritten = new Way(right, paper.air(), dew, Text.empty()).off(read, claimed, paper);
        return ways.filter(way -> way.off(read, claimed, paper) < Math.min(CLOSE, asWritten - CLOSE))
                .min(Comparator.comparingDouble(way -> way.off(read, claimed, paper)))
                .map(Way::says);
    }

    /** A way to find a saturation temperature. */
    private record Way(Refrigerant refrigerant, AbsolutePressure air, boolean dew, Text says) {
        /** How many standard uncertainties the record is from it. */
        double off(Value.Measured read, Value.Measured claimed, AuditedRecord paper) {
            Uncertain expected = expected(read, refrigerant, air, dew);
            return Math.abs(claimed.quantity().si() - expected.value()) / uncertainty(paper, claimed, expected);
        }
    }
}
