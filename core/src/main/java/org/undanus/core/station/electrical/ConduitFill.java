package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.WiringPoints.CONDUIT_INSIDE;
import static org.undanus.core.station.electrical.WiringPoints.CONDUIT_WIRE;
import static org.undanus.core.station.electrical.WiringPoints.CONDUIT_WIRES;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Conductors fill no more of a conduit than lets them be drawn and keep cool: n·d²/D². */
public final class ConduitFill implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.conduit-fill", Dimension.RATIO, "Share of the conduit that is filled");
    private static final List<Setting> FILLS = List.of(
            new Setting("electrical.fill-one", Dimension.RATIO, "Conduit fill, one conductor"),
            new Setting("electrical.fill-two", Dimension.RATIO, "Conduit fill, two conductors"),
            new Setting("electrical.fill-more", Dimension.RATIO, "Conduit fill, three conductors and more"));
    static final About ABOUT = About.of(
                    "electrical.conduit-fill",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Conduit not overfilled",
                    Severity.SAFETY)
            .sources("NFPA 70, chapter 9, table 1; check the adopted edition")
            .limits(LIMIT)
            .settings(FILLS.toArray(Setting[]::new));

    @Override
    public About about() {
        return ABOUT;
    }

    /** Filled share of the cross-section. */
    public static double fill(double wires, double wire, double inside) {
        return wires * wire * wire / (inside * inside);
    }

    @Override
    public Judgement judge(Examination x) {
        List<Point> missing = x.missing(CONDUIT_INSIDE, CONDUIT_WIRES, CONDUIT_WIRE);
        if (missing.size() == 3) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("No conduit is read here."), "");
        }
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        int wires = (int) Math.max(1, x.need(CONDUIT_WIRES).quantity().si());
        Setting setting = FILLS.get(Math.min(wires, FILLS.size()) - 1);
        double most = x.rules().number(setting);
        Uncertain fill = Propagation.through(
                in -> in[1] > 0 ? fill(wires, in[0], in[1]) : Double.NaN,
                x.need(CONDUIT_WIRE).uncertain(),
                x.need(CONDUIT_INSIDE).uncertain());
        Finding finding = x.finding()
                .step(
                        "Filled",
                        "n·d²/D²",
                        Ratio.ofFraction(fill.value()),
                        ABOUT.sources().get(0));
        List<Limit> limits = List.of(new Limit(
                x.rules().code(),
                Bound.AT_MOST,
                Ratio.ofFraction(most),
                x.rules().setting(setting).source()));
        Comparison held = finding.hold(LIMIT, fill, 0, limits).orElseThrow();
        double wire = x.need(CONDUIT_WIRE).quantity().si();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Use conduit of {wire} inside for {wires} such conductors.",
                        new AtLeast(Length.ofMetres(wire * Math.sqrt(wires / most))),
                        wires));
    }
}
