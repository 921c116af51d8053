package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.Text;

/** Whether what a record copies from the plate is what the maker's sheet says of that model. */
final class PlateAgainstSheet implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.plate",
                    "Plate against data sheet",
                    "Plate values in the record against the maker's sheet of the model it names")
            .shows("That plate and model are not of one unit", "Which of the two stands on the wall")
            .innocently(
                    "A figure was copied from another line of the plate",
                    "The model changed after the sheet was printed",
                    "The plate of the other unit was copied")
            .asks("Please send a photo of the unit's plate.")
            .sources("The maker's data sheet", "NUREG/CR-1278, table 20-10, for how often hands slip")
            .needs(PlatePoints.MODEL)
            .settings(AuditSettings.SLIP);
    private static final List<Point> FIGURES =
            List.of(PlatePoints.CHARGE, PlatePoints.MINIMUM_CIRCUIT_AMPACITY, PlatePoints.MAXIMUM_OVERCURRENT_DEVICE);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.OUTDOOR_UNIT, ABOUT, PlateAgainstSheet::check);
    }

    private static Found check(AuditedRecord paper, Subject unit) {
        Optional<DataSheet> sheet = paper.at(unit).sheet();
        List<PointKey> compared = new ArrayList<>();
        List<PointKey> other = new ArrayList<>();
        Optional<Text> first = Optional.empty();
        for (Point point : FIGURES) {
            Optional<Value.Measured> claimed = paper.measured(point, unit);
            Optional<Quantity> given = sheet.flatMap(s -> SheetValue.of(point).flatMap(s::value));
            if (claimed.isPresent() && given.isPresent()) {
                compared.add(RecordLines.key(point, unit.id()));
                double apart =
                        Math.abs(claimed.get().quantity().si() - given.get().si());
                if (apart > claimed.get().resolution() / 2 * (1 + 1e-9)) {
                    other.add(RecordLines.key(point, unit.id()));
                    first = first.or(() -> Optional.of(Text.of(
                            "{point}: the sheet of {model} says {given}; the record says {claimed}.",
                            point.title(),
                            sheet.get().model(),
                            given.get(),
                            claimed.get().quantity())));
                }
            }
        }
        Optional<String> refrigerant = paper.claim(PlatePoints.REFRIGERANT, unit)
                .flatMap(c -> c.value().answer());
        Optional<String> listed = sheet.flatMap(DataSheet::refrigerant);
        if (refrigerant.isPresent() && listed.isPresent()) {
            compared.add(RecordLines.key(PlatePoints.REFRIGERANT, unit.id()));
            if (!refrigerant.equals(listed)) {
                other.add(RecordLines.key(PlatePoints.REFRIGERANT, unit.id()));
                first = Optional.of(Text.of(
                        "The sheet of {model} says {listed}; the record says {refrigerant}.",
                        sheet.get().model(),
                        listed.get(),
                        refrigerant.get()));
            }
        }
        if (compared.isEmpty()) {
            return Found.cannotTell(
                    ABOUT,
                    unit.id(),
                    Text.of("No sheet of this model is known, or it gives none of the plate's figures."));
        }
        return Found.weighed(
                ABOUT,
                unit.id(),
                new Doubt(Math.pow(paper.number(AuditSettings.SLIP).orElseThrow(), other.size())),
                first.orElseGet(() -> Text.of("{compared} figures are those of the sheet.", compared.size())),
                other.isEmpty() ? compared : other);
    }
}
