package org.undanus.core.station.charge;

import java.util.Optional;
import org.undanus.core.derived.RoomCharge;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * What the label on an outdoor unit says of its refrigerant.
 *
 * @param factory kg
 * @param added kg; empty where it was not read, which is not nothing
 * @param bears the least that a room of the system bears, kg; empty where nothing limits it, or no room was read
 */
public record ChargeLabel(
        Refrigerant refrigerant, Optional<Double> factory, Optional<Double> added, Optional<Double> bears) {

    /** Empty where its plate does not tell the refrigerant. */
    public static Optional<ChargeLabel> of(Case facts, Evidence evidence, RuleBook rules, Subject unit) {
        Examination x = Examination.of(facts, evidence, rules, ChargeByLength.ABOUT, unit);
        return x.refrigerant(PlatePoints.REFRIGERANT)
                .map(refrigerant -> new ChargeLabel(
                        refrigerant,
                        x.number(PlatePoints.CHARGE),
                        ChargeByLength.added(x).map(Uncertain::value),
                        RoomCharge.leastOf(x, refrigerant)));
    }

    /** All of it, kg; empty where a part is not known. */
    public Optional<Double> total() {
        return factory.flatMap(kilograms -> added.map(more -> kilograms + more));
    }

    /** Its warming over 100 years as much as that of so much carbon dioxide, kg; empty likewise. */
    public Optional<Double> carbonDioxide() {
        return total().map(kilograms -> kilograms * refrigerant.warmingPotential());
    }

    /** In a line. */
    public Text words() {
        Text what = Text.of(
                "{refrigerant}, safety class {safetyClass}, warming potential {warmingPotential}.",
                refrigerant.name(),
                refrigerant.safetyClass(),
                Math.round(refrigerant.warmingPotential()));
        Text masses = carbonDioxide()
                .map(kilograms -> Text.of(
                        "Factory {factory}, {added} added, {total} total: {kilograms} CO₂ equivalent.",
                        mass(factory),
                        mass(added),
                        mass(total()),
                        Mass.ofKilograms(Math.rint(kilograms))))
                .orElseGet(() -> Text.of(
                        "{factory} in it from the factory, {added} added, {total} in all.",
                        mass(factory),
                        mass(added),
                        mass(total())));
        return what.then(masses)
                .then(bears.map(kilograms -> Text.of(
                                "Maximum charge for its smallest room: {kilograms}.", Mass.ofKilograms(kilograms)))
                        .orElse(Text.empty()));
    }

    private static Object mass(Optional<Double> kilograms) {
        return kilograms.map(m -> (Object) Mass.ofKilograms(m)).orElse("an unknown mass");
    }
}
