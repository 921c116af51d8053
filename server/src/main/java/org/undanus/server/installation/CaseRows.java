package org.undanus.server.installation;

import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Traces;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.Site;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judge;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Length;
import org.undanus.core.station.Walk;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.installation.InstallationMapper.ComponentRow;
import org.undanus.server.installation.InstallationMapper.InstallationRow;
import org.undanus.server.installation.InstallationMapper.ReadingRow;
import org.undanus.server.installation.InstallationMapper.SubjectRow;
import org.undanus.server.installation.InstallationMapper.VisitRow;
import org.undanus.server.instrument.Instruments;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.view.CaseFile;

/** Puts case files together from their rows and from what else belongs to a case. */
@Service
class CaseRows {

    private final Clock clock;
    private final RuleBooks books;
    private final CaseMaterial.Sheets sheets;
    private final Instruments instruments;
    private final CaseMaterial.Curves curves;
    private final RefrigerantStore refrigerants;
    private final Judge judge;

    CaseRows(
            Clock clock,
            RuleBooks books,
            CaseMaterial.Sheets sheets,
            Instruments instruments,
            CaseMaterial.Curves curves,
            RefrigerantStore refrigerants,
            ComputationFailures failures) {
        this.clock = clock;
        this.books = books;
        this.sheets = sheets;
        this.instruments = instruments;
        this.curves = curves;
        this.refrigerants = refrigerants;
        this.judge = Walk.judge().containing(failures);
    }

    CaseFile file(
            InstallationRow row,
            List<ComponentRow> components,
            List<SubjectRow> subjects,
            List<VisitRow> visits,
            CaseFile.Known known,
            Optional<SitePlan> plan) {
        VisitRow visit = visits.get(visits.size() - 1);
        Case facts = new Case(
                new Site(
                        row.siteName(),
                        Length.ofMetres(row.elevation()),
                        row.zone() == null ? clock.getZone() : ZoneId.of(row.zone())),
                components.stream()
                        .map(c -> new Component(c.id(), c.kind(), c.title(), c.ownSupply()))
                        .toList(),
                sheets.sheets(),
                visit.visitedOn(),
                visit.stage(),
                row.replacement(),
                instruments.toolcase(),
                plan,
                subjects.stream()
                        .filter(subject -> !subject.removed())
                        .map(SubjectRow::subject)
                        .toList(),
                curves.curves(row.id()),
                refrigerants.known());
        CaseFile.Header header = new CaseFile.Header(
                row.id(),
                row.reference(),
                row.title(),
                row.siteName(),
                row.system(),
                row.crew(),
                row.ownership(),
                row.replacement(),
                visit.stage(),
                visit.visitedOn(),
                visit.id(),
                visits.stream().map(CaseRows::visit).toList(),
                row.version());
        return new CaseFile(
                header, facts, known, books.book(row.ruleBook(), row.ruleBookVersion()), judge, Optional.empty());
    }

    private static CaseFile.Visit visit(VisitRow row) {
        return new CaseFile.Visit(
                row.id(),
                row.stage(),
                row.visitedOn(),
                Boolean.TRUE.equals(row.unannounced()),
                Optional.ofNullable(row.sealedAs()),
                row.scopes() == null ? List.of() : List.of(row.scopes().split(" ")));
    }

    List<Reading> readings(String id, List<ReadingRow> rows, List<VisitRow> visits) {
        Map<String, Stage> stages = visits.stream().collect(Collectors.toMap(VisitRow::id, VisitRow::stage));
        Traces traces = curves.curves(id);
        Refrigerants known = refrigerants.known();
        return rows.stream()
                .flatMap(row -> reading(row, stages.get(row.visitId()), traces, known).stream())
                .toList();
    }

    /** One reading; empty for a point this version no longer knows. */
    Optional<Reading> reading(ReadingRow row, Stage stage) {
        return reading(row, stage, curves.curves(row.installationId()), refrigerants.known());
    }

    /** Empty for a point this version no longer knows. */
    private static Optional<Reading> reading(ReadingRow row, Stage stage, Traces traces, Refrigerants known) {
        return Walk.point(row.point()).map(point -> {
            Entry.Understood read = understood(row, known.asked(point), traces);
            return new Reading(
                    UUID.fromString(row.id()),
                    new PointKey(row.point(), row.component()),
                    read.kept(row.typed()),
                    read.value(),
                    row.unit(),
                    Optional.ofNullable(row.instrument()),
                    row.grade(),
                    row.enteredBy(),
                    row.enteredAt(),
                    stage,
                    Boolean.TRUE.equals(row.byCrew()));
        });
    }

    /** As kept; set aside where this version could not take it: a list must not fail for one reading. */
    private static Entry.Understood understood(ReadingRow row, Point point, Traces traces) {
        try {
            return point.kind() == Point.Kind.QUANTITY && row.si() != null
                    ? new Entry.Understood(measured(row, point), row.unit(), true)
                    : Entry.answer(point, row.typed(), Accuracy.EXACT, traces);
        } catch (IllegalArgumentException e) {
            return new Entry.Understood(new Value.SetAside(RefusedException.said(e)), row.unit(), true);
        }
    }

    private static Value measured(ReadingRow row, Point point) {
        return point.possible(row.si())
                ? new Value.Measured(
                        point.dimension().orElseThrow().of(row.si()), row.standardUncertainty(), row.resolution())
                : new Value.SetAside(Text.of("No such value is possible on this line."));
    }
}
