package org.undanus.server.report;

import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Reading;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Outcome;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.rules.InspectionScope;
import org.undanus.core.rules.Limit;
import org.undanus.core.station.Walk;
import org.undanus.core.visit.StationSummary;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.correction.Correction;
import org.undanus.server.qr.QrCode;
import org.undanus.view.CaseFile;
import org.undanus.view.FigureView;
import org.undanus.view.JudgementView;

/**
 * What the report prints.
 *
 * @param outcome in a sentence
 * @param failing what must be put right, most at stake first
 * @param unsettled what is too close to call or referred
 * @param notShown what would show it, and what that settles
 * @param lines how many of the lines due were read, in words
 * @param link where what is to be put right is answered, as SVG
 * @param seal of the visit; empty while it goes on
 * @param records commissioning records and what does not fit together in them
 */
public record ReportModel(
        CaseFile.Header header,
        String elevation,
        String ruleBook,
        String decisionRule,
        String ruleBookNote,
        String outcome,
        List<CountLine> counts,
        String lines,
        List<ToDo> failing,
        List<ToDo> unsettled,
        List<Ask> notShown,
        List<StationPart> stations,
        List<PhotoPart> photos,
        List<Correction> corrections,
        List<String> instruments,
        List<String> cautions,
        OwnersPage owner,
        String link,
        Optional<SealPart> seal,
        List<RecordNotes.RecordNote> records,
        Instant printedAt,
        String printedBy) {

    /** @param code number, root and key as an SVG to be read by a camera */
    public record SealPart(String number, String root, String fingerprint, String code) {
        static SealPart of(SealNotes.SealNote seal) {
            return new SealPart(
                    seal.number(),
                    seal.root(),
                    seal.fingerprint(),
                    QrCode.svg(
                            "Undanus seal " + seal.number() + "\nroot " + seal.root() + "\nkey " + seal.fingerprint(),
                            CODE_SIDE));
        }
    }

    private static final double WHOLE_FOOT = 0.3048;

    /**
     * @param source the picture, small, as a data address
     * @param forOwner whether it belongs on the owner's page
     */
    public record PhotoPart(
            int number,
            Optional<String> point,
            Optional<String> component,
            String source,
            String caption,
            boolean forOwner) {}

    /** @param mark the verdict's mark as SVG */
    public record CountLine(String mark, String word, long count) {}

    /**
     * Something to put right, to settle or to show.
     *
     * @param limit whose, how much and where it is written
     * @param photos numbers of those that show it
     * @param correction number of the one that is open for it
     */
    public record ToDo(
            int number,
            String mark,
            String severity,
            String what,
            String subject,
            String finding,
            String limit,
            String remedy,
            String photos,
            Optional<Integer> correction,
            List<String> cautions) {}

    /**
     * What somebody is asked to show or read, once for all that rests on it.
     *
     * @param why it is not shown; empty where it was only not read
     * @param settles requirements with their units
     */
    public record Ask(String what, String why, List<String> settles) {}

    /**
     * @param open what fails or is not settled or shown, in full
     * @param meets what meets, in brief
     * @param doesNotApply titles in one line
     */
    public record StationPart(
            int number,
            String title,
            String question,
            String mark,
            String word,
            List<FigurePart> figures,
            List<JudgementPart> judgements,
            List<JudgementPart> open,
            List<JudgementPart> meets,
            String doesNotApply,
            List<ReadingLine> readings,
            List<UnreadLine> unread) {}

    /** @param why in words: {@code Not accessible: the hatch is screwed shut} */
    public record UnreadLine(String unit, String line, String why) {}

    /**
     * @param html lines as SVG under words
     * @param caption said under it
     */
    public record FigurePart(String title, String html, List<String> caption) {}

    /** @param bar as SVG, empty where nothing was measured */
    public record JudgementPart(JudgementView view, String mark, String word, String bar) {}

    public record ReadingLine(
            String unit, String line, String typed, String understood, String uncertainty, String grade, String by) {}

    /**
     * What a report is made of.
     *
     * @param width of figures, in dots
     * @param link where corrections are answered
     * @param seal of the visit
     */
    record Material(
            CaseFile file,
            List<Correction> corrections,
            List<PhotoPart> photos,
            Wording wording,
            int width,
            int height,
            String link,
            Optional<SealNotes.SealNote> seal,
            List<RecordNotes.RecordNote> records,
            Instant printedAt,
            String printedBy) {}

    private static final int CODE_SIDE = 110;
    /** Of a figure, dots: a telephone's width stays whole. */
    private static final int LEAST_WIDTH = 300;

    static ReportModel of(Material from) {
        CaseFile file = from.file;
        List<Judgement> all = file.told();
        StationSummary summary = StationSummary.of(all);
        Outcome outcome = Outcome.of(all);
        List<String> used = file.evidence().readings().stream()
                .flatMap(reading -> reading.instrument().stream())
                .distinct()
                .toList();
        List<StationPart> stations =
                Walk.plans().stream().map(plan -> station(from, plan.station())).toList();
        return new ReportModel(
                file.header(),
                QuantityFormat.of(from.wording.units())
                        .format(file.facts().site().elevation(), WHOLE_FOOT),
                Text.of(
                                "{rules}, version {version}",
                                file.rules().title(),
                                file.rules().version())
                        .in(from.wording),
                file.rules().decisionRule().key(),
                file.rules().note(),
                outcome.sentence().in(from.wording),
                Stream.of(Verdict.values())
                        .map(v -> new CountLine(VerdictPrint.mark(v), from.wording.say(v.title()), summary.count(v)))
                        .toList(),
                looked(file).in(from.wording),
                toDo(outcome.failing(), from),
                toDo(outcome.unsettled(), from),
                asked(outcome.notShown(), from),
                stations,
                from.photos,
                from.corrections,
                file.facts().toolcase().instruments().stream()
                        .filter(instrument -> used.contains(instrument.id()))
                        .map(instrument -> instrument(instrument, from.wording))
                        .toList(),
                stations.stream()
                        .flatMap(s -> s.open.stream())
                        .flatMap(j -> j.view.cautions().stream())
                        .distinct()
                        .toList(),
                OwnersPage.of(file, from.photos, from.wording),
                QrCode.svg(from.link, CODE_SIDE),
                from.seal.map(SealPart::of),
                from.records,
                from.printedAt,
                from.printedBy);
    }

    /** How far the visit came, and before it what it was confined to. */
    private static Text looked(CaseFile file) {
        int left = file.judgements().all().size() - file.told().size();
        return file.scopes().isEmpty()
                ? file.linesRead().said()
                : Text.of(
                        "{scopes} ({left} judgements outside were not looked at): {lines}",
                        Text.list(file.scopes().stream()
                                .map(InspectionScope::title)
                                .toList()),
                        left,
                        file.linesRead().said());
    }

    private static List<ToDo> toDo(List<Judgement> judgements, Material from) {
        Map<String, Integer> raised = new HashMap<>();
        from.corrections.stream()
                .filter(correction -> !correction.state().ended())
                .forEach(correction ->
                        raised.put(correction.requirement() + "@" + correction.component(), correction.number()));
        return IntStream.range(0, judgements.size())
                .mapToObj(i -> toDo(
                        i + 1,
                        judgements.get(i),
                        Optional.ofNullable(raised.get(judgements.get(i).key())),
                        from))
                .toList();
    }

    private static ToDo toDo(int number, Judgement judgement, Optional<Integer> correction, Material from) {
        return new ToDo(
                number,
                VerdictPrint.mark(judgement.verdict()),
                from.wording.say(judgement.about().severity().title()),
                from.wording.say(judgement.about().title()),
                judgement.subject(),
                judgement.finding().in(from.wording),
                limit(judgement, from.wording),
                judgement.remedy().map(remedy -> remedy.in(from.wording)).orElse(""),
                from.photos.stream()
                        .filter(photo -> shows(photo, judgement))
                        .map(photo -> "" + photo.number)
                        .collect(Collectors.joining(", ")),
                correction,
                judgement.about().cautions().stream().map(from.wording::say).toList());
    }

    /** In the order of what is at stake: where the first of those that rest on it stands. */
    private static List<Ask> asked(List<Judgement> notShown, Material from) {
        Map<String, List<Judgement>> together = notShown.stream()
                .collect(Collectors.groupingBy(
                        judgement ->
                                judgement.remedy().orElse(judgement.finding()).in(from.wording),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return together.entrySet().stream()
                .map(each -> new Ask(
                        each.getKey(),
                        each.getValue().stream()
                                .filter(judgement -> !unread(judgement, from.file)
                                        && judgement.remedy().isPresent())
                                .map(judgement -> judgement.finding().in(from.wording))
                                .distinct()
                                .collect(Collectors.joining(" ")),
                        each.getValue().stream()
                                .map(judgement -> judgement.called().in(from.wording))
                                .toList()))
                .toList();
    }

    /** Whether what is asked for says it already: its line was not read, or what is to be read is named in both. */
    private static boolean unread(Judgement judgement, CaseFile file) {
        Optional<Object> named = judgement.because().arguments().stream().findFirst();
        boolean askedFor = named.isPresent()
                && named.equals(judgement.remedy().flatMap(remedy -> remedy.arguments().stream()
                        .findFirst()));
        return askedFor
                || judgement
                        .line(file.evidence())
                        .filter(line -> file.evidence().latest(line).isEmpty())
                        .isPresent();
    }

    private static String limit(Judgement judgement, Wording wording) {
        return judgement
                .comparison()
                .map(comparison -> comparison.binding().limit())
                .map(limit -> limit(limit, wording))
                .orElseGet(() -> Text.series(judgement.about().sources()).in(wording));
    }

    private static String limit(Limit limit, Wording wording) {
        Text said = Text.of(
                "{authority}: {bound} {limit}",
                limit.authority().name(),
                limit.bound().words(),
                limit.value());
        return (limit.source().isEmpty() ? said : Text.of("{limit} ({source})", said, limit.source())).in(wording);
    }

    /** Hung on a line that the judgement looked at. */
    private static boolean shows(PhotoPart photo, Judgement judgement) {
        return judgement.evidence().stream()
                .anyMatch(key -> photo.point.filter(key.point()::equals).isPresent()
                        && photo.component.filter(key.component()::equals).isPresent());
    }

    private static String instrument(Instrument instrument, Wording wording) {
        return instrument
                .calibration()
                .map(c -> Text.of(
                        "{instrument} ({kind}, calibrated {on}, valid until {until}, {certificate})",
                        instrument.title(),
                        instrument.kind().title(),
                        c.on(),
                        c.until(),
                        c.certificate()))
                .orElseGet(() -> Text.of(
                        "{instrument} ({kind})",
                        instrument.title(),
                        instrument.kind().title()))
                .in(wording);
    }

    private static StationPart station(Material from, Station station) {
        CaseFile file = from.file;
        List<Judgement> told = file.told().stream()
                .filter(judgement -> judgement.about().station() == station)
                .toList();
        Verdict worst = StationSummary.of(told).worst();
        List<JudgementPart> all = told.stream()
                .map(j -> judgement(JudgementView.of(j, file.evidence(), from.wording), from.wording))
                .toList();
        return new StationPart(
                station.number(),
                from.wording.say(station.title()),
                from.wording.say(station.question()),
                VerdictPrint.mark(worst),
                from.wording.say(worst.title()),
                figures(from, station),
                all,
                all.stream().filter(part -> part.view.verdict().open()).toList(),
                all.stream()
                        .filter(part -> part.view.verdict() == Verdict.MEETS)
                        .toList(),
                all.stream()
                        .filter(part -> part.view.verdict() == Verdict.DOES_NOT_APPLY)
                        .map(part -> part.view.title()
                                + (part.view.subject().isEmpty() ? "" : " (" + part.view.subject() + ")"))
                        .collect(Collectors.joining("; ")),
                file.lines(station).stream()
                        .flatMap(line -> file.evidence().latest(line.key()).stream()
                                .map(reading -> reading(line, reading, from.wording)))
                        .toList(),
                file.lines(station).stream()
                        .flatMap(line -> file.evidence().unread(line.key()).stream()
                                .map(unread -> new UnreadLine(
                                        from.wording.say(line.subject().title()),
                                        from.wording.say(line.point().title()),
                                        unread.said().in(from.wording))))
                        .toList());
    }

    /** Several stand beside each other, each as wide as half the page. */
    private static List<FigurePart> figures(Material from, Station station) {
        List<FigureView> alone = FigureView.of(from.file, station, from.wording, from.width, from.height);
        List<FigureView> drawn = alone.size() < 2
                ? alone
                : FigureView.of(from.file, station, from.wording, Math.max(LEAST_WIDTH, from.width / 2), from.height);
        return drawn.stream()
                .map(figure -> new FigurePart(figure.title(), FigurePrint.html(figure), figure.caption()))
                .toList();
    }

    private static JudgementPart judgement(JudgementView view, Wording wording) {
        return new JudgementPart(
                view,
                VerdictPrint.mark(view.verdict()),
                wording.say(view.verdict().title()),
                view.bar().map(bar -> VerdictPrint.bar(bar, view.verdict())).orElse(""));
    }

    private static ReadingLine reading(CaseFile.Line line, Reading reading, Wording wording) {
        return new ReadingLine(
                wording.say(line.subject().title()),
                wording.say(line.point().title()),
                reading.said().in(wording),
                reading.value().in(wording).orElse(""),
                reading.value().uncertaintyIn(wording.units()).orElse(""),
                Text.lowered(reading.grade().title()).in(wording),
                reading.by());
    }
}
