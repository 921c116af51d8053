package org.undanus.core.judgement;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.HalfWidth;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;
import org.undanus.core.words.Worded;

/** A judgement being put together: steps are noted as they are taken, then one verdict concludes it. */
public final class Finding {
    /** A margin that is this small a share of U is none. */
    private static final double NEGLIGIBLE = 0.1;

    private final Examination x;
    private final List<Step> steps = new ArrayList<>();
    private Optional<Comparison> comparison = Optional.empty();
    private Verdict verdict;
    private Text because;
    private Optional<Text> remedy = Optional.empty();
    private Optional<Weather> weather = Optional.empty();

    Finding(Examination x) {
        this.x = x;
    }

    /** Notes what was read, chosen or found. */
    public Finding step(String name, Worded value) {
        return step(name, "", value, "");
    }

    public Finding step(Text name, Worded value) {
        return step(name, Text.empty(), value, Text.empty());
    }

    /** Notes a limit with where it comes from. */
    public Finding step(String name, Worded value, Text source) {
        return step(Text.of(name), Text.empty(), value, source);
    }

    /** Notes that something has not been said rather than measured. */
    public Finding step(String name, String value) {
        return step(name, "", Text.plain(value), "");
    }

    public Finding step(String name, String how, Worded value, String source) {
        steps.add(Step.of(name, how, value, source));
        return this;
    }

    public Finding step(String name, Text how, Worded value, String source) {
        return step(Text.plain(name), how, value, Text.plain(source));
    }

    public Finding step(Text name, Text how, Worded value, Text source) {
        steps.add(new Step(name, how, value, source));
        return this;
    }

    /** Notes the weather that it waits for. */
    public Finding waitsFor(Weather needed) {
        weather = Optional.of(needed);
        return this;
    }

    /** The comparison's own verdict, worded by how much room there is. */
    public Judgement compare(LimitKey key, Uncertain measured, double resolution, List<Limit> limits, Text remedy) {
        hold(key, measured, resolution, limits);
        return comparison.isPresent() ? conclude(comparison.get().verdict(), room(), remedy) : nobodyLimits();
    }

    /** Holds the value against the limits without concluding yet; empty where nobody sets a limit. */
    public Optional<Comparison> hold(LimitKey key, Uncertain measured, double resolution, List<Limit> limits) {
        if (!limits.isEmpty()) {
            Comparison made = Comparison.of(key, measured, resolution, limits, x.rules());
            comparison = Optional.of(made);
            step(key.title(), "", Amount.of(key.dimension(), measured, resolution), "");
            for (Comparison.Held held : made.limits()) {
                step(
                        Text.of("Limit, {authority}", held.limit().authority().name()),
                        held.deferral()
                                .map(d -> Text.of("gives way: {reason}", d.reason()))
                                .orElse(Text.of(held.binds() ? "binds" : "another limit is stricter")),
                        Text.of(
                                "{bound} {uncertain}",
                                held.limit().bound().words(),
                                Amount.of(
                                        key.dimension(),
                                        new Uncertain(
                                                held.limit().value().si(),
                                                held.limit().standardUncertainty()),
                                        0)),
                        held.limit().source());
            }
            step("Margin", "room to the binding limit", made.difference(made.margin()), "");
            if (made.expanded() > 0) {
                step(
                        "Probability of conforming",
                        "normal error about the reading",
                        Text.of(
                                "{probability} %",
                                String.format(Locale.ROOT, "%.1f", 100 * made.probabilityOfConforming())),
                        "JCGM 106");
            }
        }
        return comparison;
    }

    public Judgement nobodyLimits() {
        return conclude(
                Verdict.DOES_NOT_APPLY,
                Text.of("No authority limits this: neither the rule book nor a data sheet says how much."),
                "");
    }

    public Judgement conclude(Verdict reached, Text why, String whatNext) {
        return conclude(reached, why, Text.plain(whatNext));
    }

    /** Not shown, with what is to be read; more may be said of it. */
    Finding noted(Text why, Text whatNext) {
        conclude(Verdict.NOT_SHOWN, why, whatNext);
        return this;
    }

    /** @param whatNext the remedy; printed only where something is left to do */
    public Judgement conclude(Verdict reached, Text why, Text whatNext) {
        verdict = reached;
        because = why;
        boolean silent = !reached.open() || whatNext.toString().isBlank();
        remedy = silent ? Optional.empty() : Optional.of(whatNext);
        return x.judgement(this);
    }

    /** How the value stands to the binding limit, in a sentence with both numbers. */
    public Text room() {
        Comparison made = comparison.orElseThrow();
        Text what = made.foundAndRequired();
        return switch (made.verdict()) {
            case MEETS ->
                made.exact()
                        ? Text.of("{what}: exactly meets.", what)
                        : Text.of("{what}: {gap} to spare.", what, made.gap());
            case FAILS -> Text.of(made.tooMuch() ? "{what}: {gap} over." : "{what}: {gap} short.", what, made.gap());
            default ->
                Math.abs(made.margin()) < made.expanded() * NEGLIGIBLE
                        ? Text.of("{what}: exactly at the limit, no instrument can settle that.", what)
                        : tooClose(made);
        };
    }

    private Text tooClose(Comparison made) {
        return x.neededAccuracy(made)
                .map(needed -> Text.of(
                        "{what}: too close for this instrument. One accurate to ±{needed} or better settles it.",
                        made.foundAndRequired(),
                        new HalfWidth(made.dimension(), needed)))
                .orElseGet(() -> Text.of("{what}: too close to call.", made.foundAndRequired()));
    }

    /** The limit that binds, in words after what is to be done: {@code 25 A maximum}. */
    public Text required() {
        return comparison.orElseThrow().required();
    }

    /** How much more or less it takes, uncertainty included, for the value to meet the binding limit. */
    public AtLeast lacking() {
        Comparison made = comparison.orElseThrow();
        return new AtLeast(made.difference(Math.max(0, made.guard() - made.margin())));
    }

    Verdict verdict() {
        return verdict;
    }

    Text because() {
        return because;
    }

    Optional<Text> remedy() {
        return remedy;
    }

    Optional<Weather> weather() {
        return weather;
    }

    Optional<Comparison> comparison() {
        return comparison;
    }

    List<Step> steps() {
        return steps;
    }
}
