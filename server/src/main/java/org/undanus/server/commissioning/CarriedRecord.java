package org.undanus.server.commissioning;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A commissioning record as a case file carries it from one system to another. See docs/formats/case.md.
 *
 * @param coldest of the day, with its unit; empty where nobody entered it, as {@code warmest}
 * @param released true where the crew's copy of the report has what was found
 */
public record CarriedRecord(
        String signedBy,
        LocalDate day,
        Optional<String> coldest,
        Optional<String> warmest,
        String broughtBy,
        Instant broughtAt,
        Optional<Boolean> released,
        List<CarriedValue> values,
        Optional<List<CarriedQuestion>> questions) {

    /**
     * @param id that its recorded reading has too, where it has one
     * @param component empty for the system's own lines
     * @param readAt as it stands on the paper, by the clock there
     */
    public record CarriedValue(
            Optional<String> id,
            String point,
            Optional<String> component,
            String typed,
            Optional<String> readAt,
            Optional<String> instrument,
            Optional<CarriedBox> box) {}

    /**
     * Round the value on its paper; shares of the page.
     *
     * @param paper number among the papers of the record, from 1
     * @param page from 1
     */
    public record CarriedBox(int paper, int page, double left, double top, double width, double height) {}

    public record CarriedQuestion(
            String check,
            Optional<String> subject,
            String question,
            String askedBy,
            Instant askedAt,
            Optional<String> answer,
            Optional<String> answeredBy,
            Optional<Instant> answeredAt,
            Optional<List<String>> readings) {}
}
