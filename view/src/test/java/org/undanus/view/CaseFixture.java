package org.undanus.view;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Site;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;

/** A wall split at the lido, with readings of a test's own. */
final class CaseFixture {
    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);
    private static final Case FACTS = new Case(
            new Site("Lido changing house", Length.ofMetres(640)),
            List.of(
                    new Component("outdoor-1", Component.Kind.OUTDOOR, "Outdoor unit", true),
                    new Component("indoor-1", Component.Kind.INDOOR_WALL, "Wall unit", false)),
            DataSheets.of(List.of()),
            DAY);
    private static final RuleBook BOOK =
            RuleBookReader.read(ShippedRuleBooks.demo().get(0), Walk.vocabulary());

    private CaseFixture() {}

    /** @param typed point, component and what was typed there, one after another */
    static CaseFile file(String... typed) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < typed.length; i += 3) {
            readings.add(reading(new PointKey(typed[i], typed[i + 1]), typed[i + 2], new UUID(0, i)));
        }
        CaseFile.Visit visit = new CaseFile.Visit("v", Stage.FINAL, DAY, false, Optional.empty(), List.of());
        CaseFile.Header header = new CaseFile.Header(
                "i",
                "LH-01",
                "Changing room",
                "Lido changing house",
                "Wall split",
                "Threeways Cooling",
                CaseFile.Owner.UNKNOWN,
                false,
                Stage.FINAL,
                DAY,
                "v",
                List.of(visit),
                0);
        return new CaseFile(
                header,
                FACTS,
                new CaseFile.Known(readings.size(), Evidence.of(readings)),
                BOOK,
                Walk.judge(),
                Optional.empty());
    }

    /** What was typed on a line, as understood. */
    static Reading reading(PointKey key, String typed, UUID id) {
        Point point = FACTS.asked(Walk.point(key.point()).orElseThrow());
        Entry.Understood understood = Entry.understand(point, typed, Accuracy.EXACT);
        return new Reading(
                id,
                key,
                understood.kept(typed),
                understood.value(),
                understood.unit(),
                Optional.empty(),
                Grade.WITNESSED,
                "inspector",
                Instant.EPOCH.plusSeconds(id.getLeastSignificantBits() & 0xff),
                Stage.FINAL);
    }
}
