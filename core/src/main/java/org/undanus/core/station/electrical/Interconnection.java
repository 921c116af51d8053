package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.WiringPoints.TERMINALS;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.undanus.core.derived.notation.TerminalMap;
import org.undanus.core.derived.notation.TerminalMap.Wire;
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

/** Number to number between outdoor and indoor unit, all of it in one group, and earthed. */
final class Interconnection {
    private Interconnection() {}

    private static final String CAUTION =
            "Absence of voltage is proven by a qualified person before any cover comes off.";
    private static final String SOURCE = "Data sheet, wiring diagram";

    static final Requirement NUMBERS = Requirement.of(
            About.of(
                            "electrical.interconnection",
                            Station.ELECTRICAL,
                            Scope.SPLIT_UNIT,
                            "Interconnection, number to number",
                            Severity.DAMAGE)
                    .sources(SOURCE)
                    .needs(TERMINALS)
                    .cautions(CAUTION),
            Interconnection::numbers);

    static final Requirement EARTH = Requirement.of(
            About.of(
                            "electrical.interconnection-earth",
                            Station.ELECTRICAL,
                            Scope.SPLIT_UNIT,
                            "Indoor unit earthed through its cable",
                            Severity.SAFETY)
                    .sources(SOURCE)
                    .needs(TERMINALS)
                    .cautions(CAUTION),
            Interconnection::earth);

    private static TerminalMap map(Examination x) {
        return x.listed(TERMINALS, TerminalMap.class).orElseThrow();
    }

    private static Judgement numbers(Examination x) {
        TerminalMap map = map(x);
        Finding finding = x.finding();
        map.wires()
                .forEach(wire -> finding.step(
                        Text.of("Outdoor {mark}", wire.group() + wire.outdoor()),
                        Text.of("to indoor"),
                        Text.plain(wire.indoor()),
                        Text.empty()));
        List<String> groups = map.groups();
        if (groups.size() > 1) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Its wires are on groups {groups}: crossed with another indoor unit.", Text.all(groups)),
                    Text.of("A qualified person moves all of them to one group, that of this unit's tubes."));
        }
        Optional<String> shared = sharing(x, groups);
        if (shared.isPresent()) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("{shared} is said to be on group {groups} too.", shared.get(), groups.get(0)),
                    "Follow both cables to their terminals and read the letters again.");
        }
        List<List<Wire>> swaps = map.swaps();
        if (!swaps.isEmpty()) {
            return swapped(finding, swaps.get(0).get(0), swaps.get(0).get(1));
        }
        List<Wire> wrong = map.wrong();
        if (!wrong.isEmpty()) {
            Wire wire = wrong.get(0);
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Outdoor {outdoor} leads to indoor {indoor}.", wire.outdoor(), wire.indoor()),
                    Text.of("A qualified person moves it to {outdoor} at the indoor unit.", wire.outdoor()));
        }
        List<String> missing = map.missing(between(map));
        if (!missing.isEmpty()) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Nothing is on {missing}.", Text.list(missing)),
                    Text.of("A qualified person connects {missing} at both ends.", Text.list(missing)));
        }
        return finding.conclude(
                Verdict.MEETS,
                Text.counted(
                        map.wires().size(),
                        "{count} wire, number to number.",
                        "{count} wires, number to number.",
                        map.wires().size()),
                "");
    }

    private static Judgement swapped(Finding finding, Wire a, Wire b) {
        return finding.conclude(
                Verdict.FAILS,
                Text.of(
                        polarised(a, b)
                                ? "{one} and {other} are swapped: the polarity is wrong."
                                : "{one} and {other} are swapped.",
                        a.outdoor(),
                        b.outdoor()),
                Text.of(
                        "A qualified person puts the wire of {one} on {at} and that of {other} on {there} at the indoor unit.",
                        a.outdoor(),
                        a.outdoor(),
                        b.outdoor(),
                        b.outdoor()));
    }

    /** A live and a neutral conductor that changed places. */
    private static boolean polarised(Wire a, Wire b) {
        return a.outdoor().startsWith("L") && b.outdoor().equals("N")
                || b.outdoor().startsWith("L") && a.outdoor().equals("N");
    }

    /** Numbers run on without a gap: of 1, 2 and 4 the 3 is missing. */
    private static List<String> between(TerminalMap map) {
        int last = map.wires().stream()
                .map(Wire::indoor)
                .filter(mark -> mark.chars().allMatch(Character::isDigit))
                .mapToInt(Integer::parseInt)
                .max()
                .orElse(0);
        return IntStream.rangeClosed(1, last).mapToObj(Integer::toString).toList();
    }

    private static Optional<String> sharing(Examination x, List<String> groups) {
        return groups.isEmpty()
                ? Optional.empty()
                : x.facts().components().stream()
                        .filter(unit ->
                                !unit.outdoor() && !unit.id().equals(x.unit().id()))
                        .filter(unit -> x.at(unit)
                                .listed(TERMINALS, TerminalMap.class)
                                .filter(other -> other.groups().contains(groups.get(0)))
                                .isPresent())
                        .map(unit -> unit.title())
                        .findFirst();
    }

    private static Judgement earth(Examination x) {
        Optional<Wire> earth = map(x).earth();
        if (earth.isEmpty() && x.unit().ownSupply()) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("This unit has a circuit of its own, and its earth with that."),
                            "");
        }
        boolean sound = earth.filter(Wire::straight).isPresent();
        return x.finding()
                .step(
                        "Earth",
                        earth.map(wire -> wire.outdoor() + "-" + wire.indoor()).orElse("none"))
                .conclude(
                        sound ? Verdict.MEETS : Verdict.FAILS,
                        Text.of(
                                sound
                                        ? "Earth leads to earth."
                                        : earth.isPresent()
                                                ? "Earth of the indoor unit is on another terminal outdoors."
                                                : "No earth leads to the indoor unit."),
                        "Switch off and keep off; a qualified person connects earth to earth at both ends.");
    }
}
