package org.undanus.core.installation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Option;
import org.undanus.core.fluid.RefrigerantFiles;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;

/** The refrigerants of a case are its own: what was brought to one is not known to another. */
class RefrigerantsTest {
    private static final String FILE = RefrigerantFiles.like("R32", "R9932");

    @Test
    void oneThatWasBroughtIsKnownWhereItWasBrought() {
        Refrigerants more = Refrigerants.SHIPPED.with(FILE);
        assertThat(more.names())
                .endsWith("R9932")
                .hasSize(Refrigerants.SHIPPED.names().size() + 1);
        assertThat(more.files()).containsExactly(FILE);
        assertThat(more.asked(PlatePoints.REFRIGERANT).options()).contains(Option.of("R9932", "R9932"));
        assertThat(Refrigerants.SHIPPED.named("R9932")).isEmpty();
        assertThat(Refrigerants.SHIPPED.asked(PlatePoints.REFRIGERANT).options())
                .doesNotContain(Option.of("R9932", "R9932"));
    }

    @Test
    void theSameFileAgainIsNothingNewAndAnotherOfItsNameIsRefused() {
        Refrigerants more = Refrigerants.SHIPPED.with(FILE);
        assertThat(more.with(FILE)).isEqualTo(more);
        assertThat(more).isNotEqualTo(Refrigerants.SHIPPED);
        assertThatThrownBy(() -> more.with(FILE.replace(",675,", ",676,")))
                .hasMessage("R9932 is known already, by another file.");
        assertThatThrownBy(() -> Refrigerants.SHIPPED.with(RefrigerantFiles.like("R22", "R32")))
                .hasMessage("R32 is known already, by another file.");
    }

    @Test
    void casesDifferByTheRefrigerantsTheyKnow() {
        Case facts = new CaseFixture().facts();
        assertThat(facts.with(Refrigerants.SHIPPED.with(FILE))).isNotEqualTo(facts);
    }

    /** It burns as R32 does: so much of it needs a room. */
    @Test
    void aCaseIsJudgedByItsOwnTables() {
        Judgement judged = new CaseFixture()
                .known(Refrigerants.SHIPPED.with(FILE))
                .indoor("plate.refrigerant", "R9932")
                .outdoor("plate.charge", "1.2 kg")
                .outdoor("siting.added-charge", "0 g")
                .judge("siting.flammable-charge");
        assertThat(judged.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(judged.derivation())
                .extracting(step -> step.value().toString())
                .contains("R9932, class A2L");
    }
}
