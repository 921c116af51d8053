package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.CYLINDER_AFTER;
import static org.undanus.core.audit.RecordLines.CYLINDER_BEFORE;
import static org.undanus.core.audit.RecordLines.RUN;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LineContents;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether what left the cylinder is what lines of this length ask for. */
final class ChargeAgainstLength implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.charge-length",
                    "Charge against length",
                    "What left the cylinder against what the maker asks for lines of this length")
            .shows(
                    "That the weights and the length are not of one installation",
                    "Whether the charge is right: that subcooling and superheat say")
            .innocently(
                    "The charge was trimmed by subcooling or superheat",
                    "The lines were taken from the plan and not measured",
                    "Refrigerant was vented from hoses, or left in them",
                    "Pounds and kilograms were taken for each other")
            .asks("What did the cylinder weigh before and after, and by what was the added charge decided?")
            .sources("The maker's charge for other lengths: k·(L − L₀)")
            .needs(CYLINDER_BEFORE, CYLINDER_AFTER)
            .settings(AuditSettings.CHARGE);

    /** kg. */
    private static final double POUND = 0.45359237;

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.SPLIT_OUTDOOR_UNIT, ABOUT, ChargeAgainstLength::check);
    }

    private static Found check(AuditedRecord paper, Subject unit) {
        Examination x = paper.at(unit);
        List<Subject> lines = paper.facts().subjects(Scope.LINE_SET).stream()
                .filter(set -> set.joins().contains(unit.id()))
                .toList();
        List<TubeRun> runs = lines.stream()
                .flatMap(line -> x.at(line).listed(RUN, TubeRun.class).stream())
                .toList();
        Optional<Double> each = x.number(PlatePoints.EXTRA_CHARGE);
        Optional<Double> precharged = x.number(PlatePoints.PRECHARGED_LENGTH);
        if (runs.isEmpty() || runs.size() < lines.size() || each.isEmpty() || precharged.isEmpty()) {
            return Found.cannotTell(
                    ABOUT, unit.id(), Text.of("The length of the lines or the maker's charge for it is not known."));
        }
        Value.Measured before = paper.measured(CYLINDER_BEFORE, unit).orElseThrow();
        Value.Measured after = paper.measured(CYLINDER_AFTER, unit).orElseThrow();
        double added = before.quantity().si() - after.quantity().si();
        double length = runs.stream().mapToDouble(TubeRun::length).sum();
        double asked = LineContents.addedCharge(length, precharged.get(), each.get(), 0);
        double factory = x.number(PlatePoints.CHARGE).orElse(Math.abs(added));
        double tape = paper.rules().accuracy(InstrumentKind.TAPE).standardUncertainty(length, 0);
        double u = Math.sqrt(Math.pow(before.standardUncertainty(), 2)
                + Math.pow(after.standardUncertainty(), 2)
                + Math.pow(each.get() * tape, 2)
                + Math.pow(paper.number(AuditSettings.CHARGE).orElseThrow() * factory, 2));
        return Found.weighed(
                        ABOUT,
                        unit.id(),
                        Doubt.twoSided((added - asked) / u),
                        Text.of(
                                "Lines of {length} ask for {asked} beyond the factory charge; by its weights {added} left the cylinder.",
                                Length.ofMetres(length),
                                Mass.ofKilograms(asked),
                                Mass.ofKilograms(added)),
                        AuditedRecord.keys(unit, CYLINDER_BEFORE, CYLINDER_AFTER))
                .drawn(Dimension.MASS, new Uncertain(asked, u), added)
                .explained(mistake(added, asked, u));
    }

    /** Pounds written as kilograms, or the other way. */
    private static Optional<Text> mistake(double added, double asked, double u) {
        if (Math.abs(added - asked) < 2 * u) {
            return Optional.empty();
        }
        if (Math.abs(added * POUND - asked) < 2 * u) {
            return Optional.of(Text.of("It fits where the scale showed pounds."));
        }
        return Math.abs(added / POUND - asked) < 2 * u
                ? Optional.of(Text.of("It fits where the scale showed kilograms."))
                : Optional.empty();
    }
}
