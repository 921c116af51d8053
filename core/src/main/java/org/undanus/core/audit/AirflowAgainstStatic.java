package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.AIRFLOW;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Subject;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.words.Text;

/** Whether the airflow is what the fan moves against the static pressure that is claimed. */
final class AirflowAgainstStatic implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.airflow-static",
                    "Airflow against static pressure",
                    "The airflow against the maker's fan table at the static pressures claimed")
            .shows("That airflow and static pressures are not of one fan at one speed", "Which of them is wrong")
            .innocently(
                    "The fan ran at another speed than its table is for",
                    "The airflow is the rated one and was not measured",
                    "Static pressure was read elsewhere, or the filter was out")
            .asks("How was the airflow found, where were the pressures read, and at which speed did the fan run?")
            .sources("The maker's fan table, with how far such a table may be off in the field by the rule book")
            .needs(AIRFLOW)
            .settings(Airflow.FAN_TABLE);
    private static final String TABLE = "Fan table";

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.COIL_UNIT, ABOUT, AirflowAgainstStatic::check);
    }

    private static Found check(AuditedRecord paper, Subject unit) {
        Value.Measured claimed = paper.measured(AIRFLOW, unit).orElseThrow();
        Optional<Component> component = paper.facts().component(unit.id());
        Optional<Uncertain> table = component.flatMap(fan -> Airflow.of(paper.at(unit), fan).estimates().stream()
                .filter(estimate -> estimate.method().equals(TABLE))
                .map(Airflow.Estimate::flow)
                .findFirst());
        if (table.isEmpty()) {
            return Found.cannotTell(
                    ABOUT, unit.id(), Text.of("No fan table is known, or no static pressure that it covers."));
        }
        double u = Math.hypot(table.get().standardUncertainty(), claimed.standardUncertainty());
        String ducts = Subject.Kind.DUCT_SYSTEM.key() + "-" + unit.id();
        return Found.weighed(
                        ABOUT,
                        unit.id(),
                        Doubt.twoSided((claimed.quantity().si() - table.get().value()) / u),
                        Text.of(
                                "At these static pressures the maker's table gives {table}; the record says {claimed}.",
                                VolumeFlow.ofCubicMetresPerSecond(table.get().value()),
                                claimed.quantity()),
                        List.of(
                                RecordLines.key(AIRFLOW, unit.id()),
                                new PointKey(RecordLines.STATIC_RETURN.id(), ducts),
                                new PointKey(RecordLines.STATIC_SUPPLY.id(), ducts)))
                .drawn(
                        Dimension.VOLUME_FLOW,
                        new Uncertain(table.get().value(), u),
                        claimed.quantity().si());
    }
}
