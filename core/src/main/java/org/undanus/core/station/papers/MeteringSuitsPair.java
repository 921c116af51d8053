package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.FIXED_ORIFICE;
import static org.undanus.core.installation.PlatePoints.METERING_DEVICE;
import static org.undanus.core.installation.PlatePoints.METERING_SIZE;
import static org.undanus.core.installation.PlatePoints.MODEL;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.MeteredAsListed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/** The coil carries the metering device its sheet names and the orifice the listed pair asks for. Source: data sheets. */
final class MeteringSuitsPair implements Requirement {
    private static final About ABOUT = About.of(
                    "papers.metering",
                    Station.PAPERS,
                    Scope.SPLIT_UNIT,
                    "Metering device suits the pair",
                    Severity.DAMAGE)
            .sources("Data sheets of both units")
            .needs(MODEL);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Finding finding = x.finding();
        Optional<DataSheet> outdoor = MeteredAsListed.outdoorSheet(x);
        Optional<Length> orifice = MeteredAsListed.asked(x);
        Optional<DataSheet> coil =
                x.sheet().filter(sheet -> sheet.meteringDevice().isPresent());
        // a pair listed with an orifice asks for one, whatever the coil's own sheet leaves out
        Optional<Option> wanted = coil.flatMap(DataSheet::meteringDevice).or(() -> orifice.map(any -> FIXED_ORIFICE));
        if (wanted.isEmpty()) {
            return finding.conclude(
                    Verdict.DOES_NOT_APPLY, Text.of("No data sheet asks for a certain metering device here."), "");
        }
        Optional<Option> found =
                x.chosen(METERING_DEVICE).or(() -> x.measured(METERING_SIZE).map(stamped -> FIXED_ORIFICE));
        if (found.isEmpty()) {
            return x.notShown(List.of(METERING_DEVICE));
        }
        finding.step("Found at the coil", found.get())
                .step(
                        coil.isPresent() ? "Built with" : "Listed pair asks for",
                        "",
                        Text.of("{wanted}", wanted.get()),
                        coil.or(() -> outdoor).orElseThrow().document());
        if (!wanted.equals(found)) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Found at the coil: {found}. The data sheet names: {wanted}.", found.get(), wanted.get()),
                    "Do not charge by the wrong method. Have the device the sheet names fitted.");
        }
        if (orifice.isPresent()) {
            Optional<Value.Measured> size = x.measured(METERING_SIZE);
            if (size.isEmpty()) {
                return x.notShown(List.of(METERING_SIZE));
            }
            Length stamped = (Length) size.get().quantity();
            Text bore = MeteredAsListed.said(stamped);
            Text asked = MeteredAsListed.said(orifice.get());
            finding.step("Orifice stamped", "", bore, "")
                    .step("Orifice for this pair", "", asked, "Listed pair, outdoor data sheet");
            if (MeteredAsListed.another(size.get(), orifice.get())) {
                return finding.conclude(
                        Verdict.FAILS,
                        Text.of("The orifice is {bore}; this pair asks for {asked}.", bore, asked),
                        "Replace the metering device with the one the outdoor unit's sheet lists.");
            }
        }
        return finding.conclude(Verdict.MEETS, Text.of("It is what the data sheets ask for."), "");
    }
}
