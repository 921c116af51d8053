package org.undanus.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class SpokenViewTest {
    private static final Wording US = Wording.english(UnitSystem.US);
    private static final String BACK = "siting.outdoor-clearance-back";
    private static final String FRONT = "siting.outdoor-clearance-front";

    private static SpokenView hear(CaseFile file, String text, SpokenView.Trial trial) {
        return SpokenView.of(
                file, Station.SITING, new SpokenView.Said(text, "outdoor-1", Map.of(), Map.of()), trial, US);
    }

    @Test
    void eachReadingIsPlacedAndJudgedAsIfThoseBeforeItWereKept() {
        SpokenView view = hear(
                CaseFixture.file(BACK, "outdoor-1", "4 in"),
                "clearance back 12 in, clearance front 10 in",
                (file, id, key, typed, instrument) -> file.with(CaseFixture.reading(key, typed, id)));
        assertThat(view.left()).isEmpty();
        assertThat(view.placed()).extracting(SpokenView.PlacedView::point).containsExactly(BACK, FRONT);
        assertThat(view.placed().get(0).before()).contains("4 in");
        assertThat(view.placed().get(1).before()).isEmpty();
        assertThat(view.placed().get(1).judgement().orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    }

    @Test
    void whatCannotBeTakenIsLeftWithTheReason() {
        SpokenView view = hear(CaseFixture.file(), "clearance back 12 in", (file, id, key, typed, instrument) -> {
            throw new RefusedException("There is no such instrument.");
        });
        assertThat(view.placed()).isEmpty();
        assertThat(view.left())
                .isEqualTo(List.of(new SpokenView.LeftView("Clearance, back 12 in", "There is no such instrument.")));
    }
}
