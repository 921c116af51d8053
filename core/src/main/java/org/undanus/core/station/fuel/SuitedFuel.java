package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.SET_FOR;
import static org.undanus.core.station.fuel.FuelPoints.SUPPLIED;

import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** The burner is set up for the fuel that comes to it. Source: fuel gas code, conversion of appliances; nameplate. */
final class SuitedFuel implements Requirement {
    private static final About ABOUT = About.of(
                    "fuel.suited", Station.FUEL, Scope.FUEL_UNIT, "Burner set up for this fuel", Severity.SAFETY)
            .sources("Nameplate and conversion label", "Fuel gas code; check the adopted edition")
            .needs(SUPPLIED, SET_FOR)
            .cautions(FuelPoints.MONOXIDE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Option supplied = x.chosen(SUPPLIED).orElseThrow();
        Option set = x.chosen(SET_FOR).orElseThrow();
        Finding finding = x.finding().step(SUPPLIED.title(), supplied).step(SET_FOR.title(), set);
        if (supplied.equals(FuelPoints.OTHER_FUEL)) {
            return finding.conclude(
                    Verdict.REFER,
                    Text.of("Only burners of natural gas and propane are judged here."),
                    "Have a person licensed for this fuel set up and check the burner.");
        }
        return supplied.equals(set)
                ? finding.conclude(Verdict.MEETS, Text.of("It is set up for {fuel}.", supplied), "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of("{supplied} comes to a burner set up for {set}.", Text.capital(supplied), set),
                        "Shut it off and do not operate it. A licensed technician converts it with the maker's kit: orifices, regulator, label.");
    }
}
