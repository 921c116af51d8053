package org.undanus.core.station.piping;

import static org.undanus.core.station.piping.PipingPoints.CABLE_PORT;
import static org.undanus.core.station.piping.PipingPoints.TUBE_PORT;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** Several indoor units on one outdoor unit: tubes and cable of each are on ports of the same letter. */
final class Ports implements Requirement {
    static final About ABOUT = About.of(
                    "piping.ports",
                    Station.PIPING,
                    Scope.LINE_SET,
                    "Tubes and cable on the same port",
                    Severity.PERFORMANCE)
            .sources("Data sheet, several indoor units");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        List<Subject> others = others(x);
        if (others.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("One indoor unit hangs on this outdoor unit."), "");
        }
        List<Point> missing = x.missing(TUBE_PORT, CABLE_PORT);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Option tube = x.chosen(TUBE_PORT).orElseThrow();
        Option cable = x.chosen(CABLE_PORT).orElseThrow();
        Finding finding = x.finding().step(TUBE_PORT.title(), tube).step(CABLE_PORT.title(), cable);
        Optional<Subject> sharing = others.stream()
                .filter(set -> x.at(set).chosen(TUBE_PORT).filter(tube::equals).isPresent())
                .findFirst();
        if (sharing.isPresent()) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of(
                            "{sharing} is said to be on tube port {tube} too.",
                            sharing.get().title(),
                            tube),
                    "Follow both tubes by hand to their ports and read the letters again.");
        }
        if (tube.equals(cable)) {
            return finding.conclude(Verdict.MEETS, Text.of("Tubes and cable are both on {tube}.", tube), "");
        }
        Optional<Subject> crossed = others.stream()
                .filter(set -> x.at(set).chosen(CABLE_PORT).filter(tube::equals).isPresent())
                .findFirst();
        return finding.conclude(
                Verdict.FAILS,
                crossed.map(set -> Text.of(
                                "Its tubes are on {tube} and its cable on {cable}: crossed with {set}.",
                                tube,
                                cable,
                                set.title()))
                        .orElse(Text.of("Its tubes are on {tube} and its cable on {cable}.", tube, cable)),
                Text.of(
                        "A qualified person moves its cable to terminals {tube}, after absence of voltage is proven.",
                        tube));
    }

    /** Line sets of other indoor units on the same outdoor unit. */
    static List<Subject> others(Examination x) {
        Optional<String> outdoor = x.outdoor().map(Component::id);
        return x.facts().subjects(Scope.LINE_SET).stream()
                .filter(set -> !set.id().equals(x.subject().id()))
                .filter(set -> outdoor.filter(set.joins()::contains).isPresent())
                .toList();
    }
}
