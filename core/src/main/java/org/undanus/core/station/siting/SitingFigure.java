package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;

/**
 * The drawing of station 2 as data: every unit with its size and, side by side, the distance taped and the distance asked
 * for. Lengths in metres; whoever draws it only scales.
 */
public record SitingFigure(List<Unit> units) {

    /** A cabinet whose sheet is not at hand is drawn at this size, and said to be. */
    private static final DataSheet.Size UNKNOWN_OUTDOOR =
            new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.35), Length.ofMetres(0.7));

    private static final DataSheet.Size UNKNOWN_INDOOR =
            new DataSheet.Size(Length.ofMetres(0.85), Length.ofMetres(0.22), Length.ofMetres(0.3));

    /**
     * @param sized whether the size is the sheet's
     * @param height over the floor, for wall units
     */
    public record Unit(
            Component component, DataSheet.Size size, boolean sized, List<Side> sides, Optional<Side> height) {}

    /**
     * @param clear as taped
     * @param asked the binding limit
     */
    public record Side(
            String name, Optional<Length> clear, Optional<Length> asked, Verdict verdict, String judgement) {}

    public static SitingFigure of(Case facts, Evidence evidence, Judgements judgements) {
        List<Unit> units = new ArrayList<>();
        for (Component component : facts.components()) {
            if (component.outdoor() || component.wallMounted()) {
                units.add(unit(component, facts, evidence, judgements));
            }
        }
        return new SitingFigure(List.copyOf(units));
    }

    private static Unit unit(Component component, Case facts, Evidence evidence, Judgements judgements) {
        Optional<DataSheet.Size> size = evidence.latest(new PointKey(PlatePoints.MODEL.id(), component.id()))
                .map(Reading::value)
                .map(value -> ((Value.Written) value).text())
                .flatMap(facts.sheets()::of)
                .flatMap(DataSheet::size);
        List<Side> sides = new ArrayList<>();
        for (Face face : Face.values()) {
            String id = (component.outdoor() ? "siting.outdoor-clearance-" : "siting.indoor-clearance-") + face.key();
            judgements.find(id, component.id()).ifPresent(j -> sides.add(side(face.key(), j)));
        }
        return new Unit(
                component,
                size.orElse(component.outdoor() ? UNKNOWN_OUTDOOR : UNKNOWN_INDOOR),
                size.isPresent(),
                List.copyOf(sides),
                judgements.find(IndoorHeight.HEIGHT.id(), component.id()).map(j -> side("height", j)));
    }

    private static Side side(String name, Judgement judgement) {
        return new Side(
                name,
                judgement.comparison().map(c -> Length.ofMetres(c.measured().value())),
                judgement.comparison().map(c -> (Length) c.binding().limit().value()),
                judgement.verdict(),
                judgement.key());
    }
}
