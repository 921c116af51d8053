package org.undanus.server.report;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.station.handover.HandoverPoints;
import org.undanus.server.installation.CaseFile;

/**
 * What the owner keeps: what stands there, what is in it, how it is looked after, and whom to call. Nothing of it is judged.
 *
 * @param units each with its model, where it was read
 * @param rows what was written down for the owner
 * @param recommended what would be better and is no fault; empty where nothing is
 * @param call whom to call
 */
record OwnersPage(List<Row> units, List<Row> rows, Optional<String> recommended, String call) {

    /** A thing and what is said of it. */
    record Row(String title, String text) {}

    private static final List<Point> TOLD = List.of(
            HandoverPoints.SETTINGS,
            HandoverPoints.FILTERS,
            HandoverPoints.FILTER_CHANGE,
            HandoverPoints.DISCONNECT,
            HandoverPoints.SERVICE,
            HandoverPoints.WATCH);

    static OwnersPage of(CaseFile file) {
        return new OwnersPage(
                file.facts().subjects(Scope.UNIT).stream()
                        .map(unit -> new Row(unit.title(), unitWords(file, unit)))
                        .toList(),
                TOLD.stream()
                        .flatMap(point ->
                                said(file, point, PointKey.SYSTEM).stream().map(text -> new Row(point.title(), text)))
                        .toList(),
                said(file, HandoverPoints.RECOMMENDED, PointKey.SYSTEM),
                file.header().crew());
    }

    private static String unitWords(CaseFile file, Subject unit) {
        List<String> words = new ArrayList<>();
        Stream.of(PlatePoints.MAKER, PlatePoints.MODEL)
                .flatMap(point -> said(file, point, unit.id()).stream())
                .forEach(words::add);
        said(file, PlatePoints.REFRIGERANT, unit.id()).ifPresent(kind -> words.add("refrigerant " + kind));
        said(file, PlatePoints.CHARGE, unit.id()).ifPresent(mass -> words.add("factory charge " + mass));
        said(file, UnitPoints.ADDED_CHARGE, unit.id()).ifPresent(mass -> words.add("added " + mass));
        return String.join(", ", words);
    }

    private static Optional<String> said(CaseFile file, Point point, String component) {
        return file.evidence().latest(new PointKey(point.id(), component)).map(Reading::said);
    }

    /** The first day of the month in which the crew comes again; empty where none is arranged. */
    static Optional<LocalDate> nextService(CaseFile file) {
        return file.evidence()
                .standing(new PointKey(HandoverPoints.SERVICE.id(), PointKey.SYSTEM), Value.Within.class)
                .map(Value.Within::first);
    }
}
