package org.undanus.core.station.electrical;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Text;

/** The one-line diagram of each power circuit as data: what stands at each place, with the verdict on it. */
public record CircuitFigure(List<Circuit> circuits) {

    /** From panel to unit. */
    public record Circuit(
            Component component, Place panel, Place device, Place conductor, Place disconnect, Place unit) {}

    /**
     * One place of the diagram.
     *
     * @param notes lines below the title
     */
    public record Place(Text title, List<Text> notes, Verdict verdict) {}

    public static CircuitFigure of(Case facts, Evidence evidence, Judgements judgements) {
        return new CircuitFigure(facts.components().stream()
                .filter(Component::ownSupply)
                .map(component -> new Reader(component, evidence, judgements).circuit())
                .toList());
    }

    private record Reader(Component component, Evidence evidence, Judgements judgements) {

        Circuit circuit() {
            return new Circuit(
                    component,
                    new Place(
                            Text.of("Panel"),
                            List.of(Text.of("{} standing", text(CircuitPoints.STANDING_VOLTAGE))),
                            verdict("standing-voltage")),
                    new Place(
                            Text.of("{}", text(CircuitPoints.DEVICE_RATING)),
                            List.of(Text.of(
                                    "plate {} to {}",
                                    text(PlatePoints.MINIMUM_CIRCUIT_AMPACITY),
                                    text(PlatePoints.MAXIMUM_OVERCURRENT_DEVICE))),
                            verdict("overcurrent-device")),
                    new Place(
                            Text.of(
                                    "{}, {}",
                                    text(CircuitPoints.CONDUCTOR_SIZE),
                                    text(CircuitPoints.CONDUCTOR_MATERIAL)),
                            List.of(carries(), Text.of("in air of {}", text(CircuitPoints.AMBIENT))),
                            verdict("conductor-ampacity")),
                    new Place(
                            Text.of("Disconnect {}", text(CircuitPoints.DISCONNECT_RATING)),
                            List.of(
                                    Text.of("{} from the unit", text(CircuitPoints.DISCONNECT_DISTANCE)),
                                    Text.of("handle at {}", text(CircuitPoints.DISCONNECT_HEIGHT))),
                            verdict("disconnect-present")
                                    .or(verdict("disconnect-rating"))
                                    .or(verdict("disconnect-in-sight"))
                                    .or(verdict("disconnect-reach"))),
                    new Place(
                            Text.of("{}", component.title()),
                            List.of(
                                    Text.of("{} running", text(CircuitPoints.RUNNING_VOLTAGE)),
                                    Text.of(
                                            "{} of {} plate",
                                            text(CircuitPoints.RUNNING_CURRENT),
                                            text(PlatePoints.COMPRESSOR_CURRENT))),
                            verdict("running-voltage").or(verdict("running-current"))));
        }

        private Text carries() {
            return judgements
                    .find("electrical.conductor-ampacity", component.id())
                    .flatMap(Judgement::comparison)
                    .map(c -> Text.of(
                            "carries {}, needs {}",
                            c.dimension().of(c.measured().value()),
                            c.binding().limit().value()))
                    .orElse(Text.of("not judged yet"));
        }

        private Verdict verdict(String name) {
            return judgements.verdict("electrical." + name, component.id());
        }

        private Text text(Point point) {
            Optional<Value> value =
                    evidence.latest(new PointKey(point.id(), component.id())).map(Reading::value);
            if (value.isPresent() && value.get() instanceof Value.Measured measured) {
                return Text.of("{}", new Text.Amount(measured.quantity(), measured.resolution(), 0));
            }
            if (value.isPresent() && value.get() instanceof Value.Chosen chosen) {
                return Text.of("{}", chosen.option());
            }
            return Text.of("–");
        }
    }
}
