package org.undanus.core.station.electrical;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.Amount;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The one-line diagram of each power circuit: what stands at each place from panel to unit, with the verdict on it. */
final class CircuitFigure {
    private static final Frame FRAME = Frame.toScale(0, 0, 700, 190);
    private static final double LINE = 130;
    private static final double NEUTRAL = 104;
    private static final double BELOW = 58;
    private static final double ABOVE = 178;
    private static final double NOTE = 17;
    private static final double UNDER_WIRES = 93;

    private final Component component;
    private final Evidence evidence;
    private final Judgements judgements;

    private CircuitFigure(Component component, Evidence evidence, Judgements judgements) {
        this.component = component;
        this.evidence = evidence;
        this.judgements = judgements;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.components().stream()
                .filter(Component::ownSupply)
                .map(component -> new CircuitFigure(component, evidence, judgements).drawing())
                .toList();
    }

    private Drawing drawing() {
        Meaning voltage = meaning(SupplyVoltage.STANDING.about()).on(key(CircuitPoints.STANDING_VOLTAGE));
        Meaning device = meaning(OvercurrentDevice.ABOUT).on(key(CircuitPoints.DEVICE_RATING));
        Meaning conductor = meaning(ConductorAmpacity.ABOUT).on(key(CircuitPoints.CONDUCTOR_SIZE));
        Meaning disconnect = worst(
                        DisconnectPresent.ABOUT, DisconnectRating.ABOUT, DisconnectInSight.ABOUT, DisconnectReach.ABOUT)
                .on(key(CircuitPoints.DISCONNECT_RATING));
        Meaning running =
                worst(SupplyVoltage.RUNNING.about(), RunningCurrent.ABOUT).on(key(UnitPoints.RUNNING_CURRENT));
        Drawing.Builder diagram = parts(device, conductor, disconnect, running);
        Text deviceTitle = text(CircuitPoints.DEVICE_RATING);
        Text conductorTitle = Text.of(
                "{conductorSize}, {conductorMaterial}",
                text(CircuitPoints.CONDUCTOR_SIZE),
                text(CircuitPoints.CONDUCTOR_MATERIAL));
        Text disconnectTitle = Text.of("Disconnect {disconnectRating}", text(CircuitPoints.DISCONNECT_RATING));
        place(diagram, 310, ABOVE, conductor, conductorTitle);
        place(diagram, 180, BELOW, device, deviceTitle);
        place(diagram, 448, BELOW, disconnect, disconnectTitle);
        ends(diagram, voltage, running);
        notes(diagram);
        return diagram.spoken(Text.of(
                "Overcurrent protective device {deviceTitle}: {device}; conductor {conductorTitle}: {conductor}; {disconnectTitle}: {disconnect}",
                deviceTitle,
                device.said(),
                conductorTitle,
                conductor.said(),
                disconnectTitle,
                disconnect.said()));
    }

    /** Panel, device, conductor, disconnect and motor, from left to right. */
    private Drawing.Builder parts(Meaning device, Meaning conductor, Meaning disconnect, Meaning running) {
        Drawing.Builder diagram = Drawing.of(component.title(), FRAME)
                .box(Role.OUTLINE, 38, 58, 98, 168)
                .line(Role.OUTLINE, Place.of(68, 158), Place.of(68, 68));
        for (double wire : new double[] {LINE, NEUTRAL}) {
            diagram.line(Role.OUTLINE, Place.of(68, wire), Place.of(153, wire))
                    .line(Role.RUN, conductor, Place.of(207, wire), Place.of(412, wire))
                    .line(Role.OUTLINE, Place.of(484, wire), Place.of(550, wire));
        }
        contacts(diagram, device, 153, 207);
        contacts(diagram, disconnect, 412, 484);
        return diagram.box(Role.BODY, running, 550, 70, 670, 160)
                .disc(Role.OUTLINE, Place.of(610, 115), 26)
                .line(Role.OUTLINE, Place.of(610, 141), Place.of(610, 89))
                .line(Role.OUTLINE, Place.of(584, 115), Place.of(636, 115));
    }

    /** What the panel gives and what the unit takes. */
    private void ends(Drawing.Builder diagram, Meaning voltage, Meaning running) {
        place(
                diagram,
                68,
                BELOW - 6,
                voltage,
                Text.of("Panel"),
                Text.of("{standingVoltage} standing", text(CircuitPoints.STANDING_VOLTAGE)));
        place(
                diagram,
                610,
                BELOW,
                running,
                Text.of("{component}", component.title()),
                Text.of("{runningVoltage} running", text(CircuitPoints.RUNNING_VOLTAGE)),
                Text.of(
                        "{runningCurrent} of {compressorCurrent} plate",
                        text(UnitPoints.RUNNING_CURRENT),
                        text(PlatePoints.COMPRESSOR_CURRENT)));
    }

    private void notes(Drawing.Builder diagram) {
        notes(
                diagram,
                180,
                BELOW - 2 * NOTE,
                Text.of(
                        "plate {minimumCircuitAmpacity} to {maximumOvercurrentDevice}",
                        text(PlatePoints.MINIMUM_CIRCUIT_AMPACITY),
                        text(PlatePoints.MAXIMUM_OVERCURRENT_DEVICE)));
        notes(diagram, 303, UNDER_WIRES, carries(), Text.of("in air of {ambient}", text(CircuitPoints.AMBIENT)));
        notes(
                diagram,
                448,
                BELOW,
                Text.of("{disconnectDistance} from the unit", text(CircuitPoints.DISCONNECT_DISTANCE)),
                Text.of("handle at {disconnectHeight}", text(CircuitPoints.DISCONNECT_HEIGHT)));
    }

    /** A switching device between two ends of the wires. */
    private static void contacts(Drawing.Builder diagram, Meaning meaning, double from, double to) {
        diagram.box(Role.BODY, meaning, from, 84, to, 150);
        for (double wire : new double[] {LINE, NEUTRAL}) {
            diagram.line(Role.OUTLINE, Place.of(from, wire), Place.of(from + 12, wire), Place.of(to - 16, wire + 12))
                    .line(Role.OUTLINE, Place.of(to - 14, wire), Place.of(to, wire));
        }
    }

    private static void place(Drawing.Builder diagram, double x, double y, Meaning meaning, Text title, Text... more) {
        diagram.words(title, Place.of(x, y), Weight.STRONG, meaning, Side.CENTRE);
        for (int i = 0; i < more.length; i++) {
            diagram.aside(more[i], Place.of(x, y - (i + 1) * NOTE), meaning, Side.CENTRE);
        }
    }

    private static void notes(Drawing.Builder diagram, double x, double y, Text... notes) {
        for (int i = 0; i < notes.length; i++) {
            diagram.aside(notes[i], Place.of(x, y - (i + 1) * NOTE), Side.CENTRE);
        }
    }

    private PointKey key(Point point) {
        return new PointKey(point.id(), component.id());
    }

    private Meaning meaning(About requirement) {
        return Meaning.of(judgements, requirement, component.id());
    }

    /** The most pressing of several. */
    private Meaning worst(About... requirements) {
        return Arrays.stream(requirements)
                .map(this::meaning)
                .min(Comparator.comparing(meaning -> meaning.verdict().orElseThrow()))
                .orElseThrow();
    }

    private Text carries() {
        return judgements
                .find(ConductorAmpacity.ABOUT, component.id())
                .flatMap(Judgement::comparison)
                .map(c -> Text.of(
                        "carries {dimension}, needs {binding}",
                        c.dimension().of(c.measured().value()),
                        c.binding().limit().value()))
                .orElse(Text.of("not judged yet"));
    }

    private Text text(Point point) {
        Optional<Value> value =
                evidence.latest(new PointKey(point.id(), component.id())).map(Reading::value);
        if (value.isPresent() && value.get() instanceof Value.Measured measured) {
            return Text.of("{measured}", new Amount(measured.quantity(), measured.resolution(), 0));
        }
        if (value.isPresent() && value.get() instanceof Value.Chosen chosen) {
            return Text.of("{option}", chosen.option());
        }
        return Text.of("–");
    }
}
