package org.undanus.core.station.papers;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.ReplacementPoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Dimension;

/** What station 1 asks and judges. */
public final class Papers {
    private Papers() {}

    private static Observed document(Point point, String there, String missing, String remedy) {
        return Observed.that(
                Station.PAPERS, point, Severity.RECORD, "Rules of the building authority", there, missing, remedy);
    }

    public static StationPlan plan() {
        List<Point> points = new ArrayList<>(List.of(
                PaperPoints.PERMIT,
                PaperPoints.MANUALS,
                PaperPoints.LOAD_SUMMARY,
                PaperPoints.COOLING_LOAD,
                PaperPoints.HEATING_LOAD,
                PaperPoints.COMMISSIONING_RECORD,
                PaperPoints.JUDGED_ELSEWHERE,
                PaperPoints.REFRIGERANT_LICENCE,
                PaperPoints.POWER_LICENCE));
        points.addAll(PlatePoints.all());
        points.addAll(List.of(
                PaperPoints.KEPT_LINES,
                PaperPoints.OLD_LIQUID_LINE,
                PaperPoints.OLD_SUCTION_LINE,
                PaperPoints.OLD_REFRIGERANT,
                PaperPoints.LINES_CLEANED,
                ReplacementPoints.KEPT_BREAKER,
                PaperPoints.OLD_BREAKER,
                PaperPoints.KEPT_CONDUCTOR,
                PaperPoints.OLD_CONDUCTOR_AMPACITY,
                PaperPoints.KEPT_DUCTS,
                PaperPoints.OLD_DUCT_AIRFLOW,
                PaperPoints.KEPT_DRAIN,
                PaperPoints.OLD_DRAIN,
                PaperPoints.KEPT_FLUE));
        List<Requirement> requirements = new ArrayList<>(List.of(
                document(
                        PaperPoints.PERMIT,
                        "The permit is at hand.",
                        "The permit is not at hand.",
                        "Ask for the permit before work goes on."),
                document(
                        PaperPoints.MANUALS,
                        "The manuals are at hand.",
                        "The manuals are not at hand.",
                        "Ask the installer for the makers' manuals."),
                document(
                        PaperPoints.LOAD_SUMMARY,
                        "The load summary is at hand.",
                        "The load summary is not at hand.",
                        "Ask the designer for the load summary."),
                document(
                        PaperPoints.COMMISSIONING_RECORD,
                        "The commissioning record is at hand.",
                        "The commissioning record is not at hand.",
                        "Ask the installer for it; without it tests have to be witnessed again."),
                new JudgedElsewhere(),
                new LicenceRecorded(PaperPoints.REFRIGERANT_LICENCE),
                new LicenceRecorded(PaperPoints.POWER_LICENCE),
                new InstrumentsFit(),
                new CapacityForLoad(DataSheet.Mode.COOLING),
                new CapacityForLoad(DataSheet.Mode.HEATING),
                new PlateComplete(),
                new PlateAgreesWithSheet(),
                new ListedPair(),
                new SameRefrigerant(),
                new MeteringSuitsPair(),
                new PlateAge()));
        requirements.addAll(replacement());
        return new StationPlan(Station.PAPERS, points, requirements)
                .drawnBy(PlatesFigure::draw)
                .with(StationPlan.Aid.UNIT_PHOTOS)
                .sizes(Tubes.SIZES, Dimension.LENGTH);
    }

    private static List<Requirement> replacement() {
        return List.of(
                new KeptLines(),
                KeptPart.of(
                                ReplacementPoints.KEPT_BREAKER,
                                PaperPoints.OLD_BREAKER,
                                Component::outdoor,
                                Severity.SAFETY,
                                "Old overcurrent device suits the new plate",
                                "A licensed electrician replaces the breaker or fuse")
                        .against(
                                SheetLimit.atLeast(SheetValue.MINIMUM_CIRCUIT_AMPACITY),
                                SheetLimit.atMost(SheetValue.MAXIMUM_OVERCURRENT_DEVICE)),
                KeptPart.of(
                                PaperPoints.KEPT_CONDUCTOR,
                                PaperPoints.OLD_CONDUCTOR_AMPACITY,
                                Component::outdoor,
                                Severity.SAFETY,
                                "Old conductor carries the new circuit",
                                "A licensed electrician pulls larger conductors; ampacity")
                        .against(SheetLimit.atLeast(SheetValue.MINIMUM_CIRCUIT_AMPACITY)),
                KeptPart.of(
                                PaperPoints.KEPT_DUCTS,
                                PaperPoints.OLD_DUCT_AIRFLOW,
                                Component::hasDucts,
                                Severity.PERFORMANCE,
                                "Old ducts carry the new airflow",
                                "Enlarge the ducts or run more; airflow")
                        .against(SheetLimit.atLeast(SheetValue.AIRFLOW)),
                KeptPart.of(
                                PaperPoints.KEPT_DRAIN,
                                PaperPoints.OLD_DRAIN,
                                Component::drains,
                                Severity.DAMAGE,
                                "Old drain is wide enough",
                                "Replace with a larger drain; diameter")
                        .against(SheetLimit.atLeast(SheetValue.DRAIN_SIZE)),
                new KeptFlue());
    }
}
