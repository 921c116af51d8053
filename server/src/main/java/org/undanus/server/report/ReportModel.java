package org.undanus.server.report;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Reading;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.StationSummary;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.Walk;
import org.undanus.server.correction.Correction;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.walk.FigureView;
import org.undanus.server.walk.JudgementView;

/** What the report prints. */
public record ReportModel(
        CaseFile.Header header,
        String elevation,
        String ruleBook,
        String decisionRule,
        String ruleBookNote,
        List<CountLine> counts,
        List<StationPart> stations,
        List<PhotoPart> photos,
        List<Correction> corrections,
        List<String> instruments,
        List<String> cautions,
        Instant printedAt,
        String printedBy) {

    private static final double WHOLE_FOOT = 0.3048;
    /** Dots; a page's width. */
    private static final int FIGURE_WIDTH = 620;

    private static final int FIGURE_HEIGHT = 210;

    /** @param source the picture, small, as a data address */
    public record PhotoPart(String source, String caption) {}

    /** @param mark the verdict's mark as SVG */
    public record CountLine(String mark, String word, long count) {}

    public record StationPart(
            int number,
            String title,
            String question,
            String mark,
            String word,
            List<FigurePart> figures,
            List<JudgementPart> judgements,
            List<ReadingLine> readings) {}

    /**
     * @param html lines as SVG under words
     * @param caption said under it
     */
    public record FigurePart(String title, String html, List<String> caption) {}

    /** @param bar as SVG, empty where nothing was measured */
    public record JudgementPart(JudgementView view, String mark, String word, String bar) {}

    public record ReadingLine(String unit, String line, String typed, String understood, String grade, String by) {}

    static ReportModel of(
            CaseFile file,
            List<Correction> corrections,
            List<PhotoPart> photos,
            UnitSystem units,
            Instant printedAt,
            String printedBy) {
        StationSummary summary = StationSummary.of(file.judgements().all());
        List<String> used = file.evidence().readings().stream()
                .flatMap(reading -> reading.instrument().stream())
                .distinct()
                .toList();
        List<StationPart> stations = Walk.plans().stream()
                .map(plan -> station(file, plan.station(), units))
                .toList();
        return new ReportModel(
                file.header(),
                QuantityFormat.of(units).format(file.facts().site().elevation(), WHOLE_FOOT),
                file.rules().title() + ", version " + file.rules().version(),
                file.rules().decisionRule().key(),
                file.rules().note(),
                Stream.of(Verdict.values())
                        .map(v -> new CountLine(VerdictPrint.mark(v), v.title(), summary.count(v)))
                        .toList(),
                stations,
                photos,
                corrections,
                file.facts().toolcase().instruments().stream()
                        .filter(instrument -> used.contains(instrument.id()))
                        .map(ReportModel::instrument)
                        .toList(),
                stations.stream()
                        .flatMap(s -> s.judgements.stream())
                        .flatMap(j -> j.view.cautions().stream())
                        .distinct()
                        .toList(),
                printedAt,
                printedBy);
    }

    private static String instrument(Instrument instrument) {
        return instrument.title() + " (" + instrument.kind().title()
                + instrument
                        .calibration()
                        .map(c -> ", calibrated " + c.on() + ", valid until " + c.until() + ", " + c.certificate())
                        .orElse("")
                + ")";
    }

    private static StationPart station(CaseFile file, Station station, UnitSystem units) {
        Verdict worst = StationSummary.of(file.judgements().of(station)).worst();
        return new StationPart(
                station.number(),
                station.title(),
                station.question(),
                VerdictPrint.mark(worst),
                worst.title(),
                FigureView.of(file, station, units, FIGURE_WIDTH, FIGURE_HEIGHT).stream()
                        .map(figure -> new FigurePart(figure.title(), FigurePrint.html(figure), figure.caption()))
                        .toList(),
                file.judgements().of(station).stream()
                        .map(j -> JudgementView.of(j, file.evidence(), units))
                        .map(ReportModel::judgement)
                        .toList(),
                file.lines(station).stream()
                        .flatMap(line -> file.evidence().latest(line.key()).stream()
                                .map(reading -> reading(line, reading, units)))
                        .toList());
    }

    private static JudgementPart judgement(JudgementView view) {
        return new JudgementPart(
                view,
                VerdictPrint.mark(view.verdict()),
                view.verdict().title(),
                view.bar().map(bar -> VerdictPrint.bar(bar, view.verdict())).orElse(""));
    }

    private static ReadingLine reading(CaseFile.Line line, Reading reading, UnitSystem units) {
        return new ReadingLine(
                line.subject().title(),
                line.point().title(),
                reading.said(),
                reading.value().in(units).orElse(""),
                reading.grade().title().toLowerCase(Locale.ROOT),
                reading.by());
    }
}
