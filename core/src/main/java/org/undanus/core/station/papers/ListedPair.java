package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.MODEL;

import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** The outdoor unit's maker lists this indoor unit with it. Source: the outdoor unit's data sheet. */
final class ListedPair implements Requirement {
    static final About ABOUT = About.of(
                    "papers.listed-pair", Station.PAPERS, Scope.SPLIT_UNIT, "Listed pair", Severity.PERFORMANCE)
            .sources("Data sheet of the outdoor unit, listed combinations")
            .needs(MODEL);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Component> outdoor = x.facts().outdoorUnit();
        if (outdoor.isEmpty()) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The system has no outdoor unit."), "");
        }
        Examination outside = x.at(outdoor.get());
        Optional<String> outdoorModel = outside.written(MODEL);
        if (outdoorModel.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("The outdoor unit's model has not been read."),
                            "Read the model on the outdoor unit's plate.");
        }
        String indoorModel = x.written(MODEL).orElseThrow();
        Optional<DataSheet> sheet = outside.sheet();
        if (sheet.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("No data sheet of {outdoorModel} is in the library.", outdoorModel.get()),
                            "Add the maker's sheet, or have the pairing confirmed by the maker in writing.");
        }
        Text listed = Text.list(
                sheet.get().pairs().stream().map(DataSheet.Pair::indoorModel).toList());
        boolean found = sheet.get().pairWith(indoorModel).isPresent();
        return x.finding()
                .step("Outdoor model", outdoorModel.get())
                .step("Indoor model", indoorModel)
                .step("Listed with it", "", listed, sheet.get().document())
                .conclude(
                        found ? Verdict.MEETS : Verdict.FAILS,
                        found
                                ? Text.of(
                                        "{indoorModel} is listed with {outdoorModel}.", indoorModel, outdoorModel.get())
                                : Text.of(
                                        "{indoorModel} is not listed with {outdoorModel}.",
                                        indoorModel,
                                        outdoorModel.get()),
                        Text.of("Listed are: {listed}. Ask the maker in writing, or change a unit.", listed));
    }
}
