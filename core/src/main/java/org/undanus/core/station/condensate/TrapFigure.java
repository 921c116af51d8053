package org.undanus.core.station.condensate;

import java.util.List;
import java.util.Optional;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The trap in section to scale with the suction on it: as found, and dashed the heights it needs. */
final class TrapFigure {
    private static final double WIDE = 0.14;
    private static final double TUBE = 0.02;
    private static final double USUAL = 0.08;

    private TrapFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.DRAIN_RUN).stream()
                .map(drain -> Examination.of(facts, evidence, rules, Trap.DROP.about(), drain))
                .filter(x -> x.chosen(DrainPoints.CABINET)
                        .filter(DrainPoints.DRAWN::equals)
                        .isPresent())
                .map(x -> drawing(x, x.subject(), judgements))
                .toList();
    }

    private static Drawing drawing(Examination x, Subject drain, Judgements judgements) {
        Optional<Double> foundDrop = x.number(DrainPoints.TRAP_DROP);
        Optional<Double> foundSeal = x.number(DrainPoints.TRAP_SEAL);
        Optional<Double> neededDrop = needed(judgements, Trap.DROP, drain);
        Optional<Double> neededSeal = needed(judgements, Trap.SEAL, drain);
        double drop = foundDrop.or(() -> neededDrop).orElse(USUAL);
        double seal = foundSeal.or(() -> neededSeal).orElse(USUAL / 2);
        double deepest = Math.max(drop + seal, neededDrop.orElse(0.0) + neededSeal.orElse(0.0)) + 3 * TUBE;
        Meaning dropStanding = meaning(judgements, Trap.DROP, drain).on(key(DrainPoints.TRAP_DROP, drain));
        Meaning sealStanding = meaning(judgements, Trap.SEAL, drain).on(key(DrainPoints.TRAP_SEAL, drain));
        Drawing.Builder drawing = Drawing.of(
                        Text.of(
                                "Trap, {indoor}",
                                x.indoor().map(unit -> unit.title()).orElse(drain.title())),
                        Frame.toScale(-2.2 * WIDE, -deepest, 3.6 * WIDE, 2 * TUBE + 0.06))
                .box(Role.CABINET, -1.6 * WIDE, 0, 0, 0.06)
                .line(
                        Role.RUN,
                        dropStanding,
                        Place.of(0, 0.01),
                        Place.of(0.3 * WIDE, 0.01),
                        Place.of(0.3 * WIDE, -drop - seal))
                .line(
                        Role.RUN,
                        sealStanding,
                        Place.of(0.3 * WIDE, -drop - seal),
                        Place.of(WIDE, -drop - seal),
                        Place.of(WIDE, -drop),
                        Place.of(2 * WIDE, -drop));
        drawing.add(new Element.Dimension(
                        Place.of(-0.4 * WIDE, 0),
                        Place.of(-0.4 * WIDE, -drop),
                        foundDrop
                                .map(d -> Text.of("{value}", Length.ofMetres(d)))
                                .orElse(Text.of("not read")),
                        Optional.of(dropStanding)))
                .add(new Element.Dimension(
                        Place.of(1.5 * WIDE, -drop),
                        Place.of(1.5 * WIDE, -drop - seal),
                        foundSeal
                                .map(s -> Text.of("{value}", Length.ofMetres(s)))
                                .orElse(Text.of("not read")),
                        Optional.of(sealStanding)));
        asked(drawing, neededDrop, neededSeal);
        Trap.suction(x)
                .ifPresent(suction -> drawing.words(
                        Text.of("suction {suction}", PressureDifference.ofPascals(suction.value())),
                        Place.of(-0.8 * WIDE, 0.06),
                        Weight.PLAIN,
                        Side.ABOVE,
                        Side.LEFT));
        return drawing.spoken(Text.of(
                "Height before the seal: {dropStanding}; seal: {sealStanding}",
                dropStanding.said(),
                sealStanding.said()));
    }

    private static void asked(Drawing.Builder drawing, Optional<Double> drop, Optional<Double> seal) {
        if (drop.isPresent() && seal.isPresent()) {
            double bottom = -drop.get() - seal.get();
            drawing.line(
                            Role.GHOST,
                            Place.of(2.3 * WIDE, 0),
                            Place.of(2.3 * WIDE, bottom),
                            Place.of(2.8 * WIDE, bottom),
                            Place.of(2.8 * WIDE, -drop.get()),
                            Place.of(3.4 * WIDE, -drop.get()))
                    .words(
                            Text.of(
                                    "asked {drop} + {seal}",
                                    new AtLeast(Length.ofMetres(drop.get())),
                                    new AtLeast(Length.ofMetres(seal.get()))),
                            Place.of(2.5 * WIDE, bottom),
                            Weight.QUIET,
                            Side.BELOW,
                            Side.RIGHT);
        }
    }

    private static Optional<Double> needed(Judgements judgements, Requirement requirement, Subject drain) {
        return judgements
                .find(requirement.about(), drain.id())
                .flatMap(judgement -> judgement.comparison())
                .map(comparison -> comparison.binding().limit().value().si());
    }

    private static Meaning meaning(Judgements judgements, Requirement requirement, Subject drain) {
        return Meaning.of(judgements, requirement.about(), drain.id());
    }

    private static PointKey key(Point point, Subject drain) {
        return new PointKey(point.id(), drain.id());
    }
}
