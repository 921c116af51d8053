package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.installation.CaseFiles;
import org.undanus.view.CaseFile;

/** Every judgement of the demo and the description of the API, held against committed files. */
class GoldenTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final Person INSPECTOR = new Person("inspector", "Inspector", Role.INSPECTOR, Optional.empty());

    @Test
    void judgementsOfTheDemo() {
        StringBuilder text = new StringBuilder();
        for (CaseFile file : SERVER.bean(CaseFiles.class).all(INSPECTOR)) {
            text.append("# ")
                    .append(file.header().reference())
                    .append("  ")
                    .append(file.header().title())
                    .append('\n');
            file.judgements().all().forEach(j -> text.append(line(j)).append('\n'));
            text.append('\n');
        }
        Golden.compare(Path.of("src/test/resources/demo-judgements.txt"), text.toString());
    }

    private static String line(Judgement j) {
        String comparison =
                j.comparison().map(GoldenTest::compared).orElse(j.because().in(UnitSystem.SI));
        String others = j.otherSchools().stream()
                .map(o -> " | " + o.school().orElseThrow().id() + ": "
                        + o.verdict().title())
                .collect(Collectors.joining());
        return String.format("%-62s %-18s %s%s", j.key(), j.verdict().title(), comparison, others);
    }

    private static String compared(Comparison c) {
        String limits = c.limits().stream()
                .map(held -> held.limit().authority().id() + " "
                        + held.limit().bound().words() + " "
                        + QuantityFormat.SI.format(held.limit().value()) + (held.binds() ? "*" : ""))
                .collect(Collectors.joining(", "));
        return Text.of("{measured}", Amount.of(c.dimension(), c.measured(), c.resolution())) + " against " + limits;
    }

    @Test
    void demoCoversEveryVerdictAndEveryStationItsOwn() {
        Map<Station, Set<Verdict>> seen = new EnumMap<>(Station.class);
        SERVER.bean(CaseFiles.class).all(INSPECTOR).stream()
                .flatMap(file -> file.judgements().all().stream())
                .forEach(j -> seen.computeIfAbsent(j.about().station(), s -> EnumSet.noneOf(Verdict.class))
                        .add(j.verdict()));
        Set<Verdict> measured = EnumSet.of(Verdict.MEETS, Verdict.FAILS, Verdict.TOO_CLOSE, Verdict.NOT_SHOWN);
        assertThat(seen.keySet())
                .containsExactly(
                        Station.PAPERS,
                        Station.SITING,
                        Station.ACCESS,
                        Station.MOUNTING,
                        Station.PIPING,
                        Station.CONDENSATE,
                        Station.ELECTRICAL,
                        Station.FUEL,
                        Station.AIRSIDE,
                        Station.TIGHTNESS,
                        Station.EVACUATION,
                        Station.CHARGE,
                        Station.RUNNING,
                        Station.HANDOVER);
        assertThat(seen)
                .allSatisfy((station, verdicts) ->
                        assertThat(verdicts).as(station.title()).containsAll(measured));
        assertThat(seen.get(Station.ELECTRICAL)).containsExactlyInAnyOrder(Verdict.values());
    }

    @Test
    void catalogueOfRequirements() {
        Golden.compare(Path.of("../docs/catalogue.md"), Catalogue.page());
    }

    /** The web's own tests read it. */
    @Test
    void wordsOfTheApi() {
        String words = SERVER.client().get("/api/words").expect(200).json().toPrettyString();
        Golden.compare(Path.of("../web/src/words/words.fixture.json"), words.replace("\r\n", "\n") + "\n");
    }

    @Test
    void descriptionOfTheApi() {
        String described =
                SERVER.client().get("/api/openapi").expect(200).json().toPrettyString();
        Golden.compare(Path.of("../docs/formats/openapi.json"), described.replace("\r\n", "\n") + "\n");
    }
}
