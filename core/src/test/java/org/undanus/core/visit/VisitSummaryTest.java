package org.undanus.core.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.Weather;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.Bound;
import org.undanus.core.words.Text;

class VisitSummaryTest {
    private static final Weather WARM = new Weather(Bound.AT_LEAST, Temperature.ofCelsius(18));

    private static Judgement judgement(String id, Severity severity, Verdict verdict, Optional<Weather> weather) {
        return new Judgement(
                About.of("siting." + id, Station.SITING, Scope.SYSTEM, id, severity),
                "system",
                "",
                verdict,
                Text.of("because"),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                weather);
    }

    private static Judgement judgement(String id, Severity severity, Verdict verdict) {
        return judgement(id, severity, verdict, Optional.empty());
    }

    private static List<String> ids(List<Judgement> judgements) {
        return judgements.stream().map(judgement -> judgement.about().title()).toList();
    }

    @Test
    void theWorstThatFailsDecidesAndWhatWeighsAsMuchCouldChangeIt() {
        VisitSummary summary = VisitSummary.of(List.of(
                judgement("slow", Severity.PERFORMANCE, Verdict.FAILS),
                judgement("leak", Severity.DAMAGE, Verdict.FAILS),
                judgement("shock", Severity.SAFETY, Verdict.NOT_SHOWN),
                judgement("close", Severity.DAMAGE, Verdict.TOO_CLOSE),
                judgement("paper", Severity.RECORD, Verdict.NOT_SHOWN),
                judgement("fine", Severity.SAFETY, Verdict.MEETS)));
        assertThat(ids(summary.decisive())).containsExactly("leak");
        assertThat(summary.lesser()).isEqualTo(1);
        assertThat(ids(summary.couldChange())).containsExactly("close", "shock");
        assertThat(summary.revisits()).isEmpty();
    }

    @Test
    void whereNothingFailsAllThatIsOpenCouldChangeIt() {
        VisitSummary summary = VisitSummary.of(List.of(
                judgement("paper", Severity.RECORD, Verdict.NOT_SHOWN),
                judgement("cooling", Severity.PERFORMANCE, Verdict.NOT_SHOWN, Optional.of(WARM)),
                judgement("split", Severity.PERFORMANCE, Verdict.NOT_SHOWN, Optional.of(WARM))));
        assertThat(summary.decisive()).isEmpty();
        assertThat(ids(summary.couldChange())).containsExactly("paper");
        assertThat(summary.revisits()).containsOnlyKeys(WARM);
        assertThat(ids(summary.revisits().get(WARM))).containsExactly("cooling", "split");
        assertThat(VisitSummary.of(List.of()).couldChange()).isEmpty();
    }
}
