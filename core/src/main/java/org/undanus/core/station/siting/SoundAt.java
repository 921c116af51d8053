package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.REFLECTING_WALLS;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.SoundLevel;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The system is quiet enough at the boundary or before the neighbour's window: as measured there, else as computed from the
 * sheets ({@link SoundSpread}), each unit at its own nearest distance, which is never less than at one common place.
 */
final class SoundAt implements Requirement {
    private static final Setting PER_WALL =
            new Setting("siting.sound-per-wall", Dimension.SOUND_LEVEL, "Added by each reflecting wall");
    private static final Setting METHOD =
            new Setting("siting.sound-method", Dimension.SOUND_LEVEL, "Accuracy of the computed level, k = 2");

    private final Point measured;
    private final Point distance;
    private final SitePlan.Kind kind;
    private final LimitKey limit;
    private final About about;

    SoundAt(Point measured, Point distance, SitePlan.Kind kind, String title) {
        this.measured = measured;
        this.distance = distance;
        this.kind = kind;
        this.limit = new LimitKey(measured.id(), Dimension.SOUND_LEVEL, title);
        this.about = About.of(measured.id(), Station.SITING, Scope.SYSTEM, title, Severity.PERFORMANCE)
                .sources("ISO 9613-2, spreading in a free field", "Local noise rules")
                .limits(limit)
                .settings(PER_WALL, METHOD);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        Finding finding = x.finding();
        List<Uncertain> levels = new ArrayList<>();
        Optional<Judgement> open = Optional.empty();
        boolean somewhere = false;
        for (Component unit : x.facts().components()) {
            if (unit.outdoor()) {
                Examination outside = x.at(unit);
                Optional<PlanGeometry> plan = Drawn.plan(outside);
                Optional<Drawn.Distance> drawn =
                        plan.flatMap(p -> p.nearest(unit.id(), kind)).map(d -> Drawn.distance(x, d.metres(), d.to()));
                Optional<TapedOrDrawn> away = TapedOrDrawn.of(outside, finding, distance, drawn);
                somewhere |= away.isPresent() || plan.isEmpty();
                if (away.isPresent()) {
                    Optional<Uncertain> level = level(outside, finding, unit, away.get());
                    level.ifPresent(levels::add);
                    if (level.isEmpty()) {
                        open = Optional.of(lacking(outside));
                    }
                } else {
                    open = Optional.of(outside.notShown(List.of(distance)));
                }
            }
        }
        Optional<Value.Measured> read = x.measured(measured);
        if (read.isPresent()) {
            return held(x, finding, read.get().uncertain(), read.get().resolution());
        }
        if (!somewhere) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("The drawing shows no {kind}.", kind.title()), "");
        }
        if (open.isPresent() || levels.isEmpty()) {
            return open.orElseGet(() -> x.notShown(List.of(measured)));
        }
        Uncertain together = Propagation.through(
                v -> SoundSpread.sum(Arrays.stream(v).boxed().toList()), levels.toArray(Uncertain[]::new));
        double method = x.rules().number(METHOD) / 2;
        finding.step(
                "Accuracy of the method",
                "k = 2",
                x.rules().setting(METHOD).value(),
                x.rules().setting(METHOD).source());
        return held(x, finding, new Uncertain(together.value(), Math.hypot(together.standardUncertainty(), method)), 0);
    }

    private static Judgement lacking(Examination outside) {
        return outside.read(REFLECTING_WALLS)
                ? outside.noSheetTells(
                        "how loud the unit is", "Measure it there, or add the maker's sheet with its sound level.")
                : outside.notShown(List.of(REFLECTING_WALLS));
    }

    private Optional<Uncertain> level(Examination outside, Finding finding, Component unit, TapedOrDrawn away) {
        Optional<Quantity> known = outside.sheet().flatMap(s -> s.value(SheetValue.SOUND_PRESSURE));
        Optional<Quantity> knownAt = outside.sheet().flatMap(s -> s.value(SheetValue.SOUND_DISTANCE));
        Optional<Double> walls = outside.number(REFLECTING_WALLS);
        if (known.isEmpty()
                || knownAt.isEmpty()
                || walls.isEmpty()
                || away.length().value() <= away.length().expanded()) {
            return Optional.empty();
        }
        double reflected = walls.get() * outside.rules().number(PER_WALL);
        Uncertain level = Propagation.through(
                v -> SoundSpread.at(known.get().si(), knownAt.get().si(), v[0]) + reflected, away.length());
        finding.step(
                unit.title(),
                Text.of(
                        "level − 20·log₁₀(distance ratio) + {walls} walls",
                        walls.get().intValue()),
                Text.of(
                        "{known} at {knownAt} gives {level}",
                        known.get(),
                        knownAt.get(),
                        SoundLevel.ofDecibels(level.value())),
                outside.sheet().orElseThrow().document());
        return Optional.of(level);
    }

    private Judgement held(Examination x, Finding finding, Uncertain level, double resolution) {
        return WithinLimits.judge(
                finding,
                limit,
                level,
                resolution,
                x.rules().limits(limit),
                "Screen it, move it or set its night mode; sound level");
    }
}
