package org.undanus.server.report;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.station.charge.ChargeLabel;
import org.undanus.core.station.handover.HandoverPoints;
import org.undanus.core.words.Wording;
import org.undanus.server.photo.Photo;
import org.undanus.view.CaseFile;

/**
 * What the owner keeps: what stands there, what is in it, how it is looked after, and whom to call. Nothing of it is judged.
 *
 * @param units each with its model, where it was read
 * @param rows what was written down for the owner
 * @param label of the refrigerant, one for each outdoor unit: kind, mass, what it does to the climate, what its rooms bear
 * @param recommended what would be better and is no fault; empty where nothing is
 * @param pictures of what the owner has to find
 * @param call whom to call
 */
record OwnersPage(
        List<Row> units,
        List<Row> label,
        List<Row> rows,
        Optional<String> recommended,
        List<ReportModel.PhotoPart> pictures,
        String call) {

    /** A thing and what is said of it. */
    record Row(String title, String text) {}

    private static final List<Point> TOLD = List.of(
            HandoverPoints.SETTINGS,
            HandoverPoints.FILTERS,
            HandoverPoints.FILTER_CHANGE,
            HandoverPoints.DISCONNECT,
            HandoverPoints.SERVICE,
            HandoverPoints.WATCH);

    private static final Set<String> PICTURED = Set.of(
            HandoverPoints.FILTERS.id(),
            HandoverPoints.DISCONNECT.id(),
            HandoverPoints.SETTINGS.id(),
            UnitPoints.SUPPORT.id());
    private static final int MOST_PICTURES = 4;

    /** Whether a picture belongs on the page: of a line that the owner looks for, or of a unit as a whole. */
    static boolean pictured(Photo photo) {
        return photo.correction().isEmpty()
                && photo.point().map(PICTURED::contains).orElse(true);
    }

    /** @param photos of the installation, numbered */
    static OwnersPage of(CaseFile file, List<ReportModel.PhotoPart> photos, Wording wording) {
        return new OwnersPage(
                file.facts().subjects(Scope.UNIT).stream()
                        .map(unit -> new Row(wording.say(unit.title()), unitWords(file, unit, wording)))
                        .toList(),
                file.facts().subjects(Scope.OUTDOOR_UNIT).stream()
                        .flatMap(unit -> ChargeLabel.of(file.facts(), file.evidence(), file.rules(), unit).stream()
                                .map(label ->
                                        new Row(unit.title(), label.words().in(wording))))
                        .toList(),
                TOLD.stream()
                        .flatMap(point -> said(file, point, PointKey.SYSTEM, wording).stream()
                                .map(text -> new Row(wording.say(point.title()), text)))
                        .toList(),
                said(file, HandoverPoints.RECOMMENDED, PointKey.SYSTEM, wording),
                photos.stream()
                        .filter(photo -> photo.forOwner() && !photo.source().isEmpty())
                        .limit(MOST_PICTURES)
                        .toList(),
                file.header().crew());
    }

    private static String unitWords(CaseFile file, Subject unit, Wording wording) {
        List<String> words = new ArrayList<>();
        Stream.of(PlatePoints.MAKER, PlatePoints.MODEL)
                .flatMap(point -> said(file, point, unit.id(), wording).stream())
                .forEach(words::add);
        return String.join(", ", words);
    }

    private static Optional<String> said(CaseFile file, Point point, String component, Wording wording) {
        return file.evidence().latest(new PointKey(point.id(), component)).map(reading -> reading.said()
                .in(wording));
    }

    /** The first day of the month in which the crew comes again; empty where none is arranged. */
    static Optional<LocalDate> nextService(CaseFile file) {
        return file.evidence()
                .standing(new PointKey(HandoverPoints.SERVICE.id(), PointKey.SYSTEM), Value.Within.class)
                .map(Value.Within::first);
    }
}
