package org.undanus.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class SummaryViewTest {
    private static final Wording US = Wording.english(UnitSystem.US);

    @Test
    void whatFailsComesFirstAndWhatGoesOnIsHandedThrough() {
        SummaryView.Open hold = new SummaryView.Open("Hold is running", "Pressure hold, line set");
        SummaryView view = SummaryView.of(
                CaseFixture.file("siting.outdoor-clearance-front", "outdoor-1", "1 in"),
                List.of(hold),
                wanted -> wanted.title().equals("Nameplate"),
                US);
        assertThat(view.decisive()).extracting(SummaryView.Brief::verdict).contains(Verdict.FAILS);
        assertThat(view.open()).containsExactly(hold);
        assertThat(view.couldChange()).hasSize(12);
        assertThat(view.more()).isPositive();
        assertThat(view.pictures()).extracting(SummaryView.Open::what).doesNotContain("Nameplate");
    }

    @Test
    void aPictureIsMissingUntilOneShowsIt() {
        assertThat(SummaryView.of(CaseFixture.file(), List.of(), wanted -> false, US)
                        .pictures())
                .isNotEmpty();
        assertThat(SummaryView.of(CaseFixture.file(), List.of(), wanted -> true, US)
                        .pictures())
                .isEmpty();
    }
}
