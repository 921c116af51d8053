package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;

/**
 * A unit that is judged by its siting, with its size and, side by side, the distance found and the distance asked for.
 *
 * @param sized whether the size is the sheet's
 * @param height over the floor, for wall units
 */
public record SitedUnit(
        Component component, DataSheet.Size size, boolean sized, List<Side> sides, Optional<Side> height) {

    /** A cabinet whose sheet is not at hand is drawn at this size, and said to be. */
    private static final DataSheet.Size UNKNOWN_OUTDOOR =
            new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.35), Length.ofMetres(0.7));

    private static final DataSheet.Size UNKNOWN_INDOOR =
            new DataSheet.Size(Length.ofMetres(0.85), Length.ofMetres(0.22), Length.ofMetres(0.3));

    /**
     * @param clear as taped or drawn
     * @param asked the binding limit
     */
    public record Side(String name, Optional<Length> clear, Optional<Length> asked, Verdict verdict, String judgement) {
        Meaning meaning() {
            return Meaning.of(verdict, judgement);
        }
    }

    /** One of its sides by its name; of wall units {@code height} is over the floor. */
    Optional<Side> side(String name) {
        return Stream.concat(sides.stream(), height.stream())
                .filter(side -> side.name().equals(name))
                .findFirst();
    }

    /** The units that are judged by their siting. */
    public static List<SitedUnit> all(Case facts, Evidence evidence, Judgements judgements) {
        Map<String, DataSheet.Size> sizes = Drawn.sizes(facts, evidence);
        return facts.components().stream()
                .filter(component -> component.outdoor() || component.wallMounted())
                .map(component -> of(component, Optional.ofNullable(sizes.get(component.id())), judgements))
                .toList();
    }

    private static SitedUnit of(Component component, Optional<DataSheet.Size> size, Judgements judgements) {
        List<Side> sides = new ArrayList<>();
        for (Face face : component.outdoor() ? Face.OUTDOOR : Face.ON_WALL) {
            Requirement clearance = component.outdoor() ? OutdoorClearance.of(face) : IndoorClearance.of(face);
            judgements.find(clearance.about(), component.id()).ifPresent(j -> sides.add(side(face.key(), j)));
        }
        return new SitedUnit(
                component,
                size.orElse(component.outdoor() ? UNKNOWN_OUTDOOR : UNKNOWN_INDOOR),
                size.isPresent(),
                List.copyOf(sides),
                judgements.find(IndoorHeight.ABOUT, component.id()).map(j -> side("height", j)));
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
