package org.undanus.core.audit;

import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.words.Text;

/** Whether the editions of standards that a record names were out on its day: a designation ends in the year of its edition. */
final class NamedStandards implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.standards",
                    "Standards named",
                    "The year of each edition named against the day of the record")
            .shows("That the record was written, or its heading printed, after its day", "Whether the work is to it")
            .innocently(
                    "A new form was used to copy out an older record",
                    "The year is that of an amendment or of a translation")
            .asks("When was this record written out?")
            .sources(
                    "Designation of a standard: number, colon, year",
                    "NUREG/CR-1278, table 20-10, for how often hands slip")
            .needs(RecordLines.STANDARDS)
            .settings(AuditSettings.SLIP);
    private static final Pattern EDITION = Pattern.compile("[A-Z][A-Z /]*[ -]?\\d[\\d.-]*\\s?[:]\\s?((?:19|20)\\d\\d)");

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        Optional<Claim> named = paper.record().claim(new PointKey(RecordLines.STANDARDS.id(), PointKey.SYSTEM));
        List<MatchResult> editions = named.map(
                        claim -> EDITION.matcher(claim.typed()).results().toList())
                .orElse(List.of());
        Optional<Double> slip = paper.number(AuditSettings.SLIP);
        if (editions.isEmpty() || slip.isEmpty()) {
            return List.of(Found.cannotTell(
                    ABOUT, PointKey.SYSTEM, Text.of("The record names no standard with the year of its edition.")));
        }
        List<MatchResult> later = editions.stream()
                .filter(edition ->
                        Integer.parseInt(edition.group(1)) > paper.record().on().getYear())
                .toList();
        return List.of(Found.weighed(
                ABOUT,
                PointKey.SYSTEM,
                new Doubt(Math.pow(slip.get(), later.size())),
                later.isEmpty()
                        ? Text.of("Every edition named was out by then.")
                        : Text.of(
                                "{group} was not out on {on}.",
                                later.get(0).group().strip(),
                                paper.record().on()),
                List.of(named.get().key())));
    }
}
