package org.undanus.core.audit;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Whether who signed was at two buildings closer in time than the way between them. */
final class TwoPlaces implements JobCheck {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "jobs.two-places",
                    "One person in two places",
                    "The times of records that one person signed against the way between the buildings")
            .shows("That not all of these were read by who signed, or not at these times", "At which of them they were")
            .innocently(
                    "A colleague read one of them, and one signed for both",
                    "An instrument logged by itself",
                    "A time was written of another day")
            .asks("Who read these lines at each of the two places, and when?")
            .sources("Difference of two times against the shortest way, by the rule book")
            .settings(AuditSettings.CLOCK, AuditSettings.TRAVEL);
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    /** Somebody was there. */
    private record Presence(CommissioningRecord record, PointKey key, LocalDateTime at) {}

    /** All the ways between two records that hardly go together: how much time is missing for them, and how many they are. */
    private record Clash(Presence here, Presence there, double missing, int ways) {
        Clash and(Clash other) {
            Clash worse = other.missing > missing ? other : this;
            return new Clash(worse.here, worse.there, missing + other.missing, ways + other.ways);
        }

        double deviations(double each) {
            return missing / (each * Math.sqrt(ways));
        }
    }

    /** Two records, by their ids. */
    private record Two(String here, String there) {}

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<JobFound> check(List<CommissioningRecord> records, List<CommissioningRecord> archive, RuleBook rules) {
        if (!rules.decides(AuditSettings.CLOCK) || !rules.decides(AuditSettings.TRAVEL)) {
            return List.of();
        }
        Map<String, List<Presence>> people = new HashMap<>();
        for (CommissioningRecord record : records) {
            for (Claim claim : record.claims()) {
                claim.at().ifPresent(at -> people.computeIfAbsent(record.signedBy(), any -> new ArrayList<>())
                        .add(new Presence(record, claim.key(), at)));
            }
        }
        double travel = rules.number(AuditSettings.TRAVEL);
        Map<Two, Clash> clashes = new LinkedHashMap<>();
        people.values().forEach(was -> clash(was, travel, clashes));
        double u = Math.max(rules.number(AuditSettings.CLOCK), AuditedRecord.clock(records)) * Math.sqrt(2);
        Map<String, Clash> worst = new LinkedHashMap<>();
        clashes.forEach((two, clash) ->
                worst.merge(two.here(), clash, (one, other) -> other.deviations(u) > one.deviations(u) ? other : one));
        return worst.values().stream().map(clash -> found(clash, u)).toList();
    }

    private static void clash(List<Presence> was, double travel, Map<Two, Clash> clashes) {
        was.sort(Comparator.comparing(Presence::at));
        for (int i = 1; i < was.size(); i++) {
            Presence before = was.get(i - 1);
            Presence after = was.get(i);
            double missing = travel - ChronoUnit.SECONDS.between(before.at(), after.at());
            if (!before.record().building().equals(after.record().building()) && missing > 0) {
                note(clashes, new Clash(before, after, missing, 1));
                note(clashes, new Clash(after, before, missing, 1));
            }
        }
    }

    private static void note(Map<Two, Clash> clashes, Clash clash) {
        clashes.merge(new Two(clash.here().record().id(), clash.there().record().id()), clash, Clash::and);
    }

    private static JobFound found(Clash clash, double u) {
        return new JobFound(
                Found.weighed(
                        ABOUT,
                        clash.here().record().id(),
                        Doubt.beyond(clash.deviations(u)),
                        Text.of(
                                "{signedBy} signed for {here} at {at} and for {there} at {then}.",
                                clash.here().record().signedBy(),
                                clash.here().record().building(),
                                MINUTE.format(clash.here().at()),
                                clash.there().record().building(),
                                MINUTE.format(clash.there().at())),
                        List.of(clash.here().key())),
                Optional.of(clash.here().record()),
                Optional.of(clash.there().record()));
    }
}
