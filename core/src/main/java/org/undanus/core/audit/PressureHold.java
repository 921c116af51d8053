package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.END_PRESSURE;
import static org.undanus.core.audit.RecordLines.END_TEMPERATURE;
import static org.undanus.core.audit.RecordLines.TEST_PRESSURE;
import static org.undanus.core.audit.RecordLines.TEST_TEMPERATURE;

import java.util.List;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether a test pressure followed its temperature, as shut-in nitrogen does. A pressure may fall by a leak; it does not rise by one. */
final class PressureHold implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.pressure-hold",
                    "Pressure hold against temperature",
                    "The pressure at the end against what nitrogen comes to when it is warmed or cooled so")
            .shows(
                    "That pressure and temperature at the start and at the end are not of one shut system",
                    "Whether it was tight: a loss is for the tightness test to judge")
            .innocently(
                    "The thermometer lay in the sun, or in other air than the tubes",
                    "The pressure had not settled after filling",
                    "Another gauge was read at the end",
                    "A little nitrogen was added, or a leak took as much as the warmth gave")
            .asks("How, where and when were pressure and temperature read at the start and at the end of the hold?")
            .sources("Real-gas nitrogen at constant density; virial coefficients as tabulated")
            .needs(TEST_PRESSURE, TEST_TEMPERATURE, END_PRESSURE, END_TEMPERATURE)
            .settings(AuditSettings.GAS);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.LINE_SET, ABOUT, PressureHold::check);
    }

    private static Found check(AuditedRecord paper, Subject line) {
        Value.Measured first = paper.measured(TEST_PRESSURE, line).orElseThrow();
        Value.Measured last = paper.measured(END_PRESSURE, line).orElseThrow();
        Value.Measured before = paper.measured(TEST_TEMPERATURE, line).orElseThrow();
        Value.Measured after = paper.measured(END_TEMPERATURE, line).orElseThrow();
        double air = paper.air().si();
        double gas = paper.number(AuditSettings.GAS).orElseThrow();
        Uncertain expected;
        try {
            expected = Propagation.through(
                    in -> Nitrogen.warmed(
                                            GaugePressure.ofPascals(in[0]).absolute(AbsolutePressure.ofPascals(air)),
                                            Temperature.ofKelvin(in[1]),
                                            Temperature.ofKelvin(in[2]))
                                    .si()
                            - air,
                    new Uncertain(first.quantity().si(), first.rounding()),
                    wide(before, gas),
                    wide(after, gas));
        } catch (IllegalArgumentException notDescribed) {
            return Found.cannotTell(
                    ABOUT, line.id(), Text.of("Nitrogen is not described at such a pressure or temperature."));
        }
        double claimed = last.quantity().si();
        double u = Math.hypot(expected.standardUncertainty(), last.rounding());
        double off = (claimed - expected.value()) / u;
        boolean stood = claimed == first.quantity().si();
        boolean higher = off > 0;
        Text because = Text.of(
                stood
                        ? "From {before} to {after} nitrogen goes from {first} to {gaugePressure}; the record says that it stood at {last}."
                        : higher
                                ? "From {before} to {after} nitrogen goes from {first} to {gaugePressure}; the record says {last}."
                                : "From {before} to {after} nitrogen goes from {first} to {gaugePressure}; the record says {last}: a loss is judged elsewhere.",
                before.quantity(),
                after.quantity(),
                first.quantity(),
                new Amount(Dimension.GAUGE_PRESSURE.of(expected.value()), last.resolution(), 2 * u),
                last.quantity());
        Doubt doubt = stood ? Doubt.twoSided(off) : Doubt.beyond(off);
        return Found.weighed(
                        ABOUT,
                        line.id(),
                        doubt,
                        because,
                        AuditedRecord.keys(line, TEST_PRESSURE, TEST_TEMPERATURE, END_PRESSURE, END_TEMPERATURE))
                .drawn(Dimension.GAUGE_PRESSURE, new Uncertain(expected.value(), u), claimed);
    }

    private static Uncertain wide(Value.Measured temperature, double gas) {
        return new Uncertain(temperature.quantity().si(), Math.hypot(temperature.rounding(), gas));
    }
}
