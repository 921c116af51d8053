package org.undanus.view;

import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Notation;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.BetterInstrument;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.station.Walk;
import org.undanus.core.visit.StationSummary;
import org.undanus.core.visit.WhatNext;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

/**
 * A station as it is shown: lines and judgements; its figures are asked for beside it.
 *
 * @param next the lines that can still change something, the one that can change most first
 * @param aids what else is worked with here
 */
public record StationView(
        String key,
        int number,
        String title,
        String question,
        List<LineView> lines,
        List<JudgementView> judgements,
        List<NextLine> next,
        Set<StationPlan.Aid> aids) {

    /** @param reason what reading it decides */
    public record NextLine(String point, String component, String title, String reason) {}

    /**
     * A station on the route.
     *
     * @param unread of how many of its lines it was said why they were not read
     * @param open how many of those due nothing has been said of
     * @param said how far the visit came here, in words
     * @param undecided how many of its lines can still change something
     * @param waits for the stations that come before it and are not all read
     */
    public record RouteStation(
            String key,
            int number,
            String title,
            boolean built,
            int read,
            int unread,
            int lines,
            int open,
            String said,
            int undecided,
            Verdict worst,
            Map<Verdict, Long> counts,
            List<Waits> waits) {}

    /**
     * An earlier station with lines that are not read.
     *
     * @param consequence what going on without it comes to
     */
    public record Waits(int number, String title, String key, String consequence) {}

    /**
     * @param group the unit the line belongs to, empty for the system
     * @param due whether it has to be read by the present visit, which is first at {@code dueAt}
     * @param within whether the present visit looks at it
     * @param units symbols of those it is mostly read in
     * @param list how it is worked on, where it is a list
     * @param hidden whether it is out of sight once covers are closed
     * @param pointless the answer on another line that makes this one pointless
     * @param holds whether it is the time that something is left alone for, and can be held
     * @param goodEnough which instrument of the toolcase would settle a line that is too close to call
     * @param beside a later reading that does not take the place of this one: what the crew says, or a weaker source
     * @param reading what stands on it: a reading, or why there is none
     * @param earlier how many readings it supersedes, those taken back among them
     */
    public record LineView(
            String point,
            String component,
            String group,
            String title,
            String how,
            String caution,
            Point.Kind kind,
            List<Option> options,
            String example,
            List<String> units,
            Optional<ListView> list,
            boolean optional,
            boolean due,
            boolean within,
            String dueAt,
            boolean hidden,
            Optional<String> pointless,
            String instrumentKind,
            boolean holds,
            Optional<String> goodEnough,
            Optional<ReadingView> reading,
            Optional<ReadingView> beside,
            int earlier) {}

    /** @param offered parts that are put in by a tap */
    public record ListView(Notation.Editing editing, List<String> offered) {}

    /**
     * @param said what was typed, as people are shown it: of a curve in words, for what is typed of it is its digest
     * @param us what was understood, in US units; empty for other than quantities
     * @param setAside why a kept reading can no longer be taken; it shows nothing, and its text stays
     */
    public record ReadingView(
            String id,
            String typed,
            String said,
            Optional<String> us,
            Optional<String> si,
            Optional<String> uncertainty,
            Says says,
            Optional<String> setAside,
            Optional<String> instrument,
            Grade grade,
            String by,
            Instant at,
            boolean byCrew) {}

    /** What kind of word a reading is: what was read, why nothing was, or that what was read is taken back. */
    public enum Says {
        READ,
        UNREAD,
        TAKEN_BACK;

        private static Says of(Value value) {
            if (value instanceof Value.Unread) {
                return UNREAD;
            }
            return value instanceof Value.TakenBack ? TAKEN_BACK : READ;
        }
    }

    public static List<RouteStation> route(CaseFile file, Wording wording) {
        return Arrays.stream(Station.values())
                .map(station -> {
                    List<CaseFile.Line> lines = file.lines(station).stream()
                            .filter(line -> !line.point().optional() && !file.pointless(line) && file.within(line))
                            .toList();
                    StationSummary summary = StationSummary.of(file.judgements().of(station));
                    int read = (int) lines.stream()
                            .filter(line -> file.evidence().latest(line.key()).isPresent())
                            .count();
                    return new RouteStation(
                            station.key(),
                            station.number(),
                            wording.say(station.title()),
                            Walk.plan(station).isPresent(),
                            read,
                            (int) lines.stream()
                                    .filter(line ->
                                            file.evidence().unread(line.key()).isPresent())
                                    .count(),
                            lines.size(),
                            file.linesRead(station).open(),
                            file.linesRead(station).said().in(wording),
                            next(file, station, wording).size(),
                            summary.worst(),
                            summary.counts(),
                            waits(file, station, wording));
                })
                .toList();
    }

    private static List<Waits> waits(CaseFile file, Station station, Wording wording) {
        return Walk.plan(station).map(StationPlan::precedents).orElse(List.of()).stream()
                .filter(before -> unread(file, before.station()))
                .map(before -> new Waits(
                        before.station().number(),
                        wording.say(before.station().title()),
                        before.station().key(),
                        wording.say(before.consequence())))
                .toList();
    }

    /** Whether lines of a station are open that have to be read by now. */
    private static boolean unread(CaseFile file, Station station) {
        return file.lines(station).stream()
                .anyMatch(line ->
                        file.due(line) && file.evidence().answer(line.key()).isEmpty());
    }

    /** @param office whether it is for the inspection office: which instruments it has is no crew's business */
    public static StationView of(CaseFile file, Station station, Wording wording, boolean office) {
        return new StationView(
                station.key(),
                station.number(),
                wording.say(station.title()),
                wording.say(station.question()),
                file.lines(station).stream()
                        .map(line -> line(line, file, wording, office))
                        .toList(),
                file.judgements().of(station).stream()
                        .map(j -> JudgementView.of(j, file.evidence(), wording))
                        .toList(),
                next(file, station, wording),
                Walk.plan(station).map(StationPlan::aids).orElse(Set.of()));
    }

    public static List<NextLine> next(CaseFile file, Station station, Wording wording) {
        Map<PointKey, CaseFile.Line> lines = new LinkedHashMap<>();
        file.lines(station).stream().filter(line -> !file.pointless(line)).forEach(line -> lines.put(line.key(), line));
        return WhatNext.of(
                        file.judgements().of(station),
                        lines.values().stream()
                                .map(line -> new WhatNext.Line(line.key(), file.asked(line)))
                                .toList(),
                        file.evidence())
                .stream()
                .map(next -> new NextLine(
                        next.line().point(),
                        next.line().component(),
                        wording.say(lines.get(next.line()).point().title()),
                        next.reason().in(wording)))
                .toList();
    }

    private static Optional<String> becausePointless(CaseFile.Line line, CaseFile file, Wording wording) {
        return file.sparedBy(line).map(reading -> Text.of(
                        "{line}: {answer}",
                        Walk.point(reading.key().point()).orElseThrow().title(),
                        reading.said())
                .in(wording));
    }

    public static LineView line(CaseFile.Line line, CaseFile file, Wording wording, boolean office) {
        Point point = line.point();
        Evidence evidence = file.evidence();
        return new LineView(
                point.id(),
                line.key().component(),
                wording.say(line.subject().title()),
                wording.say(point.title()),
                wording.say(point.how()),
                wording.say(point.caution()),
                point.kind(),
                options(point, wording),
                point.example(),
                point.units(),
                point.notation().map(notation -> new ListView(notation.editing(), notation.offered(wording.units()))),
                point.optional(),
                file.facts().stage().reached(point.due()) && file.within(line),
                file.within(line),
                wording.say(point.due().title()),
                point.hidden(),
                becausePointless(line, file, wording),
                point.instrument().key(),
                point.timed(),
                goodEnough(line, file, office, wording),
                evidence.answer(line.key()).map(reading -> reading(reading, wording)),
                evidence.beside(line.key()).map(reading -> reading(reading, wording)),
                evidence.history(line.key()).size()
                        - (evidence.answer(line.key()).isPresent() ? 1 : 0));
    }

    private static Optional<String> goodEnough(CaseFile.Line line, CaseFile file, boolean office, Wording wording) {
        return BetterInstrument.forLine(
                        line.key(),
                        line.point().instrument(),
                        file.facts(),
                        file.evidence(),
                        file.judgements(),
                        file.facts().on())
                .filter(better -> office && !better.isEmpty())
                .map(better -> Text.of(
                                "Would settle it: {instruments}",
                                Text.list(better.stream().map(Instrument::title).toList()))
                        .in(wording));
    }

    /** What may be chosen at a point, in the reader's language. */
    public static List<Option> options(Point point, Wording wording) {
        return point.options().stream()
                .map(option -> Option.of(option.id(), option.in(wording)))
                .toList();
    }

    public static ReadingView reading(Reading reading, Wording wording) {
        return new ReadingView(
                reading.id().toString(),
                reading.typed(),
                reading.said().in(wording),
                reading.value().in(wording.with(UnitSystem.US)),
                reading.value().in(wording.with(UnitSystem.SI)),
                reading.value().uncertaintyIn(wording.units()),
                Says.of(reading.value()),
                reading.value() instanceof Value.SetAside aside
                        ? Optional.of(aside.why().in(wording))
                        : Optional.empty(),
                reading.instrument(),
                reading.grade(),
                reading.by(),
                reading.at(),
                reading.byCrew());
    }
}
