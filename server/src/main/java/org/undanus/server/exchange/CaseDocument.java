package org.undanus.server.exchange;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.commissioning.CarriedRecord;
import org.undanus.server.correction.Correction;
import org.undanus.server.correction.Step;
import org.undanus.server.datasheet.SheetRecord;
import org.undanus.server.instrument.InstrumentRecord;
import org.undanus.server.photo.PhotoMark;

/**
 * Installations in an open file, with the rule books, refrigerants, sheets and instruments they are judged by. Judgements are written for
 * whoever reads the file; they are never read back, but computed again.
 *
 * @param refrigerants files of those that do not ship with the application
 * @param ruleBooks YAML texts, those that others extend first; a book that is kept already need not be given
 */
record CaseDocument(
        String format,
        Optional<Instant> exportedAt,
        Optional<List<String>> ruleBooks,
        Optional<List<String>> refrigerants,
        Optional<List<SheetRecord>> dataSheets,
        Optional<List<InstrumentRecord>> instruments,
        List<InstallationRecord> installations) {

    static final String FORMAT = "undanus-case/1";

    CaseDocument with(List<InstallationRecord> others) {
        return new CaseDocument(format, exportedAt, ruleBooks, refrigerants, dataSheets, instruments, others);
    }

    record InstallationRecord(
            String reference,
            String title,
            String building,
            String elevation,
            Optional<String> zone,
            String system,
            String crew,
            Optional<String> owner,
            Optional<String> address,
            boolean replacement,
            Stage stage,
            LocalDate visitedOn,
            Optional<Boolean> unannounced,
            Optional<List<String>> scopes,
            BookRecord ruleBook,
            List<Component> components,
            Optional<List<Subject>> subjects,
            Optional<List<VisitRecord>> earlierVisits,
            Optional<Map<String, Object>> sitePlan,
            List<ReadingRecord> readings,
            Optional<List<CorrectionRecord>> corrections,
            Optional<List<PhotoRecord>> photos,
            Optional<List<TraceRecord>> traces,
            Optional<List<CarriedRecord>> records,
            Optional<List<FileRecord>> files,
            Optional<List<JudgementRecord>> judgements) {

        /** This installation with what it holds of files beside it. */
        InstallationRecord with(
                Optional<List<PhotoRecord>> otherPhotos,
                Optional<List<TraceRecord>> otherTraces,
                Optional<List<FileRecord>> otherFiles) {
            return new InstallationRecord(
                    reference,
                    title,
                    building,
                    elevation,
                    zone,
                    system,
                    crew,
                    owner,
                    address,
                    replacement,
                    stage,
                    visitedOn,
                    unannounced,
                    scopes,
                    ruleBook,
                    components,
                    subjects,
                    earlierVisits,
                    sitePlan,
                    readings,
                    corrections,
                    otherPhotos,
                    otherTraces,
                    records,
                    otherFiles,
                    judgements);
        }
    }

    record BookRecord(String id, int version) {}

    /** A visit before the one the installation names; oldest first. */
    record VisitRecord(
            Stage stage, LocalDate visitedOn, Optional<Boolean> unannounced, Optional<List<String>> scopes) {}

    /**
     * @param component empty for the system's own points
     * @param visit number of the earlier visit it was taken on, counted from 0; empty for the installation's last one
     * @param understood what it was understood as, in SI; checked on import where given
     * @param byCrew true where a crew entered it in its record
     */
    record ReadingRecord(
            Optional<String> id,
            String point,
            Optional<String> component,
            String typed,
            Optional<UnderstoodRecord> understood,
            Optional<String> instrument,
            Grade grade,
            String by,
            Instant at,
            Optional<Integer> visit,
            Optional<Boolean> byCrew) {}

    record UnderstoodRecord(double si, double standardUncertainty) {}

    /**
     * @param correction number of the correction it hangs on
     * @param sha256 of the file as it came in; the content may be without what the camera wrote
     * @param content base64, where it is within the document
     * @param file its name in a ZIP file, where it stands beside the document
     */
    record PhotoRecord(
            Optional<String> point,
            Optional<String> component,
            Optional<Integer> correction,
            String mediaType,
            String sha256,
            Optional<Instant> takenAt,
            String addedBy,
            Instant addedAt,
            Optional<List<PhotoMark>> marks,
            @Schema(type = "string", format = "byte") Optional<FileContent> content,
            Optional<String> file) {

        /** This photo with its content in a file beside the document. */
        PhotoRecord in(String name) {
            return new PhotoRecord(
                    point,
                    component,
                    correction,
                    mediaType,
                    sha256,
                    takenAt,
                    addedBy,
                    addedAt,
                    marks,
                    Optional.empty(),
                    Optional.of(name));
        }
    }

    /**
     * A logged curve, as CSV; what a reading of a curve says is its digest.
     *
     * @param point it is a curve of
     * @param content base64, where it is within the document
     * @param file its name in a ZIP file, where it stands beside the document
     */
    record TraceRecord(
            String sha256,
            String point,
            @Schema(type = "string", format = "byte") Optional<FileContent> content,
            Optional<String> file) {

        /** This curve with its content in a file beside the document. */
        TraceRecord in(String name) {
            return new TraceRecord(sha256, point, Optional.empty(), Optional.of(name));
        }
    }

    /**
     * A file hung on a correction, or a paper that a commissioning record stands on.
     *
     * @param correction number of the correction it hangs on
     * @param record number of the record that stands on it, from 1
     * @param sha256 of the file as it came in; the content may be without what the camera wrote
     * @param content base64, where it is within the document
     * @param file its name in a ZIP file, where it stands beside the document
     */
    record FileRecord(
            Optional<Integer> correction,
            Optional<Integer> record,
            String name,
            String mediaType,
            String sha256,
            String addedBy,
            Instant addedAt,
            @Schema(type = "string", format = "byte") Optional<FileContent> content,
            Optional<String> file) {

        /** This file with its content in a file beside the document. */
        FileRecord in(String other) {
            return new FileRecord(
                    correction,
                    record,
                    name,
                    mediaType,
                    sha256,
                    addedBy,
                    addedAt,
                    Optional.empty(),
                    Optional.of(other));
        }
    }

    record CorrectionRecord(
            int number,
            String requirement,
            String component,
            String what,
            String finding,
            String limits,
            String words,
            Optional<LocalDate> due,
            Correction.State state,
            String raisedBy,
            Instant raisedAt,
            Optional<Severity> severity,
            Optional<List<StepRecord>> steps) {}

    /** @param readings ids of readings that came with it */
    record StepRecord(Step.Kind kind, String words, Optional<List<String>> readings, String by, Instant at) {}

    record JudgementRecord(
            String requirement,
            String component,
            Verdict verdict,
            String because,
            Optional<Double> value,
            Optional<Double> expandedUncertainty,
            List<LimitRecord> limits,
            Optional<String> school) {}

    /** @param value in SI */
    record LimitRecord(String authority, String bound, double value, String source, boolean binds) {}
}
