package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.MODEL;
import static org.undanus.core.installation.PlatePoints.REFRIGERANT;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Plate and data sheet say the same of the unit, as far as both say anything; figures may differ by rounding. */
final class PlateAgreesWithSheet implements Requirement {
    private static final Setting TOLERANCE =
            new Setting("papers.plate-sheet-tolerance", Dimension.RATIO, "Rounding allowed between plate and sheet");
    private static final About ABOUT = About.of(
                    "papers.plate-agrees", Station.PAPERS, Scope.UNIT, "Plate and data sheet agree", Severity.RECORD)
            .sources("Nameplate and data sheet")
            .needs(MODEL)
            .settings(TOLERANCE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<DataSheet> found = x.sheet();
        if (found.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("No data sheet of this model is in the library."),
                            "Add the maker's sheet.");
        }
        DataSheet sheet = found.get();
        Finding finding = x.finding();
        List<String> differ = new ArrayList<>();
        int compared = 0;
        Optional<Option> refrigerant = x.chosen(REFRIGERANT);
        if (refrigerant.isPresent() && sheet.refrigerant().isPresent()) {
            compared++;
            if (!refrigerant.map(Option::id).equals(sheet.refrigerant())) {
                differ.add(REFRIGERANT.title());
            }
            finding.step(
                    REFRIGERANT.title(),
                    "plate, sheet",
                    Text.of(
                            "{refrigerant}, {refrigerant2}",
                            refrigerant.get(),
                            sheet.refrigerant().get()),
                    sheet.document());
        }
        for (SheetValue each : SheetValue.values()) {
            Optional<Point> point = each.plate().filter(p -> x.unit().within(p.scope()));
            Optional<Boolean> agree = point.flatMap(plate -> agree(x, finding, sheet, each, plate));
            if (agree.isPresent()) {
                compared++;
            }
            if (agree.filter(same -> !same).isPresent()) {
                differ.add(each.title());
            }
        }
        if (compared == 0) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("No value has been read that the sheet gives too."),
                    "Read the plate's values.");
        }
        return differ.isEmpty()
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.counted(
                                compared,
                                "They agree on the one thing both say.",
                                "They agree on all {compared} things both say.",
                                compared),
                        "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of("Plate and data sheet contradict each other: {differ}.", Text.list(differ)),
                        "Read the plate again. If it stands, the plate governs: ask the maker which sheet belongs to it.");
    }

    /** Whether the two say the same within what was read and rounded; empty where one of them says nothing. */
    private static Optional<Boolean> agree(
            Examination x, Finding finding, DataSheet sheet, SheetValue each, Point point) {
        if (!x.read(point) || x.measured(point).isEmpty() || sheet.value(each).isEmpty()) {
            return Optional.empty();
        }
        Value.Measured plate = x.measured(point).get();
        Quantity printed = sheet.value(each).get();
        double difference = Math.abs(plate.quantity().si() - printed.si());
        boolean agree = difference <= plate.resolution() / 2 + x.rules().number(TOLERANCE) * Math.abs(printed.si());
        finding.step(
                each.title(),
                agree ? "plate, sheet" : "plate, sheet: they differ",
                Text.of("{plate}, {printed}", plate.quantity(), printed),
                sheet.document());
        return Optional.of(agree);
    }
}
