package org.undanus.core.station.fuel;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
import org.undanus.core.evidence.Scope;
import org.undanus.core.geometry.KeepOut;
import org.undanus.core.geometry.KeepOut.Spot;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.installation.SitePlan.Feature;
import org.undanus.core.installation.SitePlan.Kind;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The vent's end on the site's drawing, with what it has to keep off and the smallest move that cures. */
final class VentPlanFigure {
    private static final double AROUND = 1.2;

    private VentPlanFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.VENT).stream()
                .flatMap(vent -> facts.plan().stream()
                        .flatMap(plan -> end(plan).stream().map(end -> drawing(plan, end, vent, judgements))))
                .toList();
    }

    /** The drawn vent that is this one's: the only one, else the one that is called a flue or furnace. */
    private static Optional<Feature> end(SitePlan plan) {
        List<Feature> vents = plan.features().stream()
                .filter(feature -> feature.kind() == Kind.VENT)
                .toList();
        return vents.size() == 1
                ? Optional.of(vents.get(0))
                : vents.stream()
                        .filter(vent -> vent.title().toLowerCase(Locale.ROOT).matches(".*(flue|furnace).*"))
                        .findFirst();
    }

    private static Drawing drawing(SitePlan plan, Feature end, Subject vent, Judgements judgements) {
        Map<Kind, Double> distances = new EnumMap<>(Kind.class);
        asked(judgements, Vent.FROM_OPENINGS, vent).ifPresent(metres -> {
            distances.put(Kind.OPENING, metres);
            distances.put(Kind.WINDOW, metres);
        });
        asked(judgements, Vent.FROM_METER, vent).ifPresent(metres -> distances.put(Kind.GAS_METER, metres));
        Spot spot = KeepOut.middle(end);
        Place at = Place.of(spot.x(), spot.y());
        double reach = distances.values().stream().max(Double::compare).orElse(0.5) + AROUND;
        Meaning meaning = Meaning.of(judgements, Vent.FROM_OPENINGS.about(), vent.id());
        Drawing.Builder drawing = Drawing.of(
                "Vent's end from above",
                Frame.toScale(at.x() - 2 * reach, at.y() - reach, at.x() + 2 * reach, at.y() + reach));
        plan.features().forEach(feature -> feature(drawing, feature));
        distances.values().stream().distinct().forEach(metres -> drawing.disc(Role.ASKED, at, metres));
        drawing.disc(Role.BODY, meaning, at, 0.07)
                .words(Text.of("{end}", end.title()), at, Weight.PLAIN, meaning, Side.RIGHT, Side.BELOW);
        Optional<Spot> cure = KeepOut.cure(plan, spot, distances);
        cure.ifPresent(to -> {
            Place there = Place.of(to.x(), to.y());
            double metres = Math.hypot(to.x() - spot.x(), to.y() - spot.y());
            drawing.disc(Role.GHOST, there, 0.07)
                    .add(new Element.Dimension(
                            at, there, Text.of("{metres}", Length.ofMetres(metres)), Optional.of(meaning)))
                    .caption(Text.of(
                            "As drawn the smallest cure is {metres}, to the dashed place.",
                            new AtLeast(Length.ofMetres(metres))));
        });
        if (cure.isEmpty()) {
            drawing.caption(Text.of(
                    distances.isEmpty()
                            ? "Nobody has said yet what it has to keep off."
                            : "As drawn it keeps off every opening and meter."));
        }
        return drawing.spoken(Text.of("The vent's end on the site: {standing}", meaning.said()));
    }

    private static void feature(Drawing.Builder drawing, Feature feature) {
        List<Place> outline =
                feature.outline().stream().map(v -> Place.of(v.x(), v.y())).toList();
        Role role =
                switch (feature.kind()) {
                    case WALL, OBSTACLE -> Role.WALL;
                    case OPENING, WINDOW, GAS_METER -> Role.HAZARD;
                    default -> Role.GRID;
                };
        if (role == Role.GRID) {
            return;
        }
        if (outline.size() == 1) {
            drawing.disc(role, outline.get(0), 0.1);
        } else if (feature.closed()) {
            drawing.area(role, outline.toArray(Place[]::new));
        } else {
            drawing.line(role, outline);
        }
        if (role == Role.HAZARD) {
            drawing.aside(Text.of("{feature}", feature.title()), outline.get(0), Side.ABOVE, Side.BELOW);
        }
    }

    private static Optional<Double> asked(Judgements judgements, Requirement requirement, Subject vent) {
        return judgements
                .find(requirement.about(), vent.id())
                .flatMap(Judgement::comparison)
                .map(comparison -> comparison.binding().limit().value().si());
    }
}
