package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Every line that both the record has and others read: whether the two can be of the same thing, each on its day. */
final class AgainstOwn implements Check {
    static final AboutCheck ABOUT = AboutCheck.of(
                    "record.own-reading",
                    "Record against own reading",
                    "What the record says of a line against what others read on it, with what may change between the days")
            .shows("That the line is not now what the record says it was", "What it was on that day")
            .innocently(
                    "Something was changed after the record was written",
                    "Another load, mode or weather than the rule book allows for",
                    "One of the two was read at another place")
            .asks("Was anything changed on this line after the record was written?")
            .sources(
                    "Difference against joint uncertainty (JCGM 106)",
                    "NUREG/CR-1278, table 20-10, for what is no number")
            .settings(AuditSettings.BETWEEN_DAYS, AuditSettings.OUTDOORS, AuditSettings.SLIP);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        List<Found> all = new ArrayList<>();
        for (Claim claim : paper.record().claims()) {
            Optional<Point> point = RecordLines.point(claim.key().point());
            Optional<Reading> own = paper.own().latest(claim.key());
            if (point.isPresent() && own.isPresent()) {
                all.add(compared(paper, point.get(), claim, own.get()));
            }
        }
        return all;
    }

    private static Found compared(AuditedRecord paper, Point point, Claim claim, Reading own) {
        String subject = claim.key().component();
        boolean open =
                ABOUT.settings().stream().anyMatch(setting -> !paper.rules().decides(setting));
        if (open || point.kind() == Point.Kind.LIST || point.kind() == Point.Kind.CURVE) {
            return Found.cannotTell(ABOUT, subject, Text.of("{point}: no two courses are compared.", point.title()));
        }
        if (point.during().isPresent() && !sameMode(paper)) {
            return Found.cannotTell(
                    ABOUT, subject, Text.of("{point}: the machine ran in another mode.", point.title()));
        }
        if (claim.measured().isEmpty() || !(own.value() instanceof Value.Measured read)) {
            boolean same = claim.said()
                    .toString()
                    .strip()
                    .equalsIgnoreCase(own.said().toString().strip());
            return Found.weighed(
                    ABOUT,
                    subject,
                    new Doubt(same ? 1 : paper.number(AuditSettings.SLIP).orElseThrow()),
                    Text.of("{point}: read {own}; the record says {claim}.", point.title(), own.said(), claim.said()),
                    List.of(claim.key()));
        }
        Value.Measured claimed = claim.measured().get();
        double days = point.during().isPresent() || point.id().startsWith("running.") ? days(paper, read) : 0;
        double u = Math.sqrt(Math.pow(claimed.standardUncertainty(), 2)
                + Math.pow(read.standardUncertainty(), 2)
                + Math.pow(claimed.rounding(), 2)
                + Math.pow(read.rounding(), 2)
                + days * days);
        double off = claimed.quantity().si() - read.quantity().si();
        return Found.weighed(
                        ABOUT,
                        subject,
                        u > 0 ? Doubt.twoSided(off / u) : new Doubt(off == 0 ? 1 : 0),
                        Text.of(
                                "{point}: read {read}; the record says {claimed}.",
                                point.title(),
                                read.quantity(),
                                claimed.quantity()),
                        List.of(claim.key()))
                .drawn(
                        read.quantity().dimension(),
                        new Uncertain(read.quantity().si(), u),
                        claimed.quantity().si());
    }

    private static double days(AuditedRecord paper, Value.Measured read) {
        return read.quantity().dimension() == Dimension.TEMPERATURE
                ? paper.number(AuditSettings.OUTDOORS).orElseThrow()
                : Math.abs(read.quantity().si())
                        * paper.number(AuditSettings.BETWEEN_DAYS).orElseThrow();
    }

    /** Whether both were read in the same mode, as far as both say. */
    private static boolean sameMode(AuditedRecord paper) {
        PointKey mode = new PointKey(OperationPoints.MODE.id(), PointKey.SYSTEM);
        Optional<String> then =
                paper.record().claim(mode).flatMap(claim -> claim.value().answer());
        Optional<String> now =
                paper.own().latest(mode).flatMap(reading -> reading.value().answer());
        return then.isEmpty() || now.isEmpty() || then.equals(now);
    }
}
