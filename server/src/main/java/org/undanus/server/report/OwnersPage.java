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
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Outcome;
import org.undanus.core.judgement.Severity;
import org.undanus.core.station.charge.ChargeLabel;
import org.undanus.core.station.handover.HandoverPoints;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.photo.Photo;
import org.undanus.view.CaseFile;

/**
 * What the owner keeps: first whether it is safe to use, as far as that is known; then what stands there, what is in it, how it is
 * looked after, and whom to call.
 *
 * @param safety in a sentence: what the owner does first
 * @param faults that endanger people, the first of them
 * @param more how many of those there are besides
 * @param unknown said where a check for safety is not settled; empty where all are
 * @param units each with its model, where it was read
 * @param rows what was written down for the owner
 * @param label of the refrigerant, one for each outdoor unit: kind, mass, what it does to the climate, what its rooms bear
 * @param recommended what would be better and is no fault; empty where nothing is
 * @param pictures of what the owner has to find
 * @param call whom to call
 */
record OwnersPage(
        Optional<String> safety,
        List<Row> faults,
        int more,
        Optional<String> unknown,
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
    /** The page stays one that can be hung up. */
    private static final int MOST_FAULTS = 5;

    /** Whether a picture belongs on the page: of a line that the owner looks for, or of a unit as a whole. */
    static boolean pictured(Photo photo) {
        return photo.correction().isEmpty()
                && photo.point().map(PICTURED::contains).orElse(true);
    }

    /** @param photos of the installation, numbered */
    static OwnersPage of(CaseFile file, List<ReportModel.PhotoPart> photos, Wording wording) {
        // all of them, whatever the visit was confined to: whoever lives with it is not
        Outcome outcome = Outcome.of(file.judgements().all());
        List<Judgement> unsafe = ofSafety(outcome.failing());
        return new OwnersPage(
                safety(unsafe, file.header().crew()).map(said -> said.in(wording)),
                unsafe.stream()
                        .limit(MOST_FAULTS)
                        .map(fault -> new Row(
                                fault.called().in(wording), fault.finding().in(wording)))
                        .toList(),
                Math.max(0, unsafe.size() - MOST_FAULTS),
                unknown(ofSafety(Stream.concat(outcome.unsettled().stream(), outcome.notShown().stream())
                                .toList()))
                        .map(said -> said.in(wording)),
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

    private static List<Judgement> ofSafety(List<Judgement> judgements) {
        return judgements.stream()
                .filter(judgement -> judgement.about().severity() == Severity.SAFETY)
                .toList();
    }

    /** What somebody who lives with it does first; empty where nothing that was shown endangers them. */
    private static Optional<Text> safety(List<Judgement> unsafe, String crew) {
        if (unsafe.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                unsafe.stream().anyMatch(judgement -> judgement.about().stops())
                        ? Text.of(
                                "Leave it switched off. It endangers people in the building: {crew} must put it right before anybody uses it.",
                                crew)
                        : Text.of(
                                "Not safe yet: ask {crew} before you use it. These things must be put right for safety.",
                                crew));
    }

    private static Optional<Text> unknown(List<Judgement> open) {
        return open.isEmpty()
                ? Optional.empty()
                : Optional.of(Text.counted(
                        open.size(),
                        "One check for safety is still open: not shown, or not settled.",
                        "{open} checks for safety are still open: not shown, or not settled.",
                        open.size()));
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
