package org.undanus.server.trial;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Judgement;
import org.undanus.server.installation.CaseFiles;
import org.undanus.view.CaseFile;

/** Data sheets that are not in the library yet, or not so. Of most installations only the plates are read: they have no such unit. */
final class SheetsChange implements Change {
    private static final Optional<Set<String>> PLATES = Optional.of(Set.of(PlatePoints.MODEL.id()));

    private final CaseFiles cases;
    private final Judge judge;
    private final DataSheets then;
    private final List<String> models;
    private final List<String> ids;
    private final Set<String> drawn;

    SheetsChange(CaseFiles cases, Judge judge, DataSheets then, List<String> models) {
        this.cases = cases;
        this.judge = judge;
        this.then = then;
        this.models = models;
        this.ids = cases.ids();
        this.drawn = cases.drawn();
    }

    @Override
    public List<String> installations() {
        return ids;
    }

    @Override
    public void compare(List<String> some, Trial trial) {
        List<String> fitted = cases.openMany(some, PLATES, Set.of()).stream()
                .filter(this::touched)
                .map(file -> file.header().id())
                .toList();
        trial.passOver(some.size() - fitted.size());
        for (String id : fitted) {
            if (!trial.running()) {
                return;
            }
            cases.openMany(List.of(id), Optional.empty(), drawn).forEach(file -> compare(file, trial));
        }
    }

    /** Whether a unit has one of the models, or would be taken for one. */
    private boolean touched(CaseFile file) {
        return Stream.of(file, file.with(file.facts().with(then)))
                .anyMatch(either -> models.stream().anyMatch(either::uses));
    }

    private void compare(CaseFile file, Trial trial) {
        List<Judgement> was = judge.judge(file.facts(), file.evidence(), file.rules());
        trial.take(file, was, judge.judge(file.facts().with(then), file.evidence(), file.rules()));
    }
}
