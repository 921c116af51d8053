package org.undanus.core.station.tightness;

import java.util.Optional;
import org.undanus.core.curve.NitrogenHold;
import org.undanus.core.derived.TestVolume;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Leak;
import org.undanus.core.words.Text;

/**
 * The smallest leak that the hold could have shown, whatever made the hold enough: with this volume, this gauge and this time a smaller one
 * stays unseen, and is for the leak search to find.
 */
final class SmallestLeak implements Requirement {
    private static final About ABOUT = About.of(
                    "tightness.smallest-leak",
                    Station.TIGHTNESS,
                    Scope.LINE_SET,
                    "Smallest leak the hold could show",
                    Severity.RECORD)
            .sources("V·U(Δp)/Δt, as refrigerant by q ∝ (p² − p_air²)/η")
            .needs(TightnessPoints.TEMPERATURE_OF)
            .restingOn(HoldTest.ABOUT)
            .schools(HoldTest.ABOUT.topic().orElseThrow());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<NitrogenHold> hold = HoldTest.hold(x);
        Optional<TestVolume> volume = TestVolume.of(x);
        if (hold.isEmpty()) {
            return HoldTest.nothing(x);
        }
        Optional<Double> tooMuch = HoldTest.tooMuch(x, hold.get().first());
        if (volume.isEmpty() || tooMuch.isEmpty()) {
            return HoldTest.unknown(x, volume);
        }
        double smallest = HoldTest.smallest(hold.get(), volume.get());
        Finding finding = volume.get()
                .explain(x.finding())
                .step("Leak that would have shown", "V·U(Δp)/Δt", Leak.ofPascalCubicMetresPerSecond(smallest), "")
                .step("Leak that is too much", Leak.ofPascalCubicMetresPerSecond(tooMuch.get()));
        Text shown = Text.of(
                "A leak of {smallest} a year would have shown; {tooMuch} a year are too much.",
                HoldTest.lossOf(x, smallest, hold.get()),
                HoldTest.lossOf(x, tooMuch.get(), hold.get()));
        if (smallest <= tooMuch.get()) {
            return finding.conclude(Verdict.MEETS, shown, "");
        }
        return x.by(HoldTest.BY_LEAK)
                ? finding.conclude(Verdict.NOT_SHOWN, shown, "Use a finer gauge, or hold it longer.")
                : finding.conclude(
                        Verdict.DOES_NOT_APPLY,
                        shown.then(Text.of("What is smaller is for the leak search to find.")),
                        "");
    }
}
