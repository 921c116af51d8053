package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.OUTDOOR_AIR;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;

/** Whether the air outdoors lies within the weather of that day. */
final class WeatherOfDay implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.weather",
                    "Weather of the day",
                    "The air outdoors as the record has it against the coldest and warmest of the day")
            .shows("That the reading is not of that day and place", "Whether it was read at all, where it fits")
            .innocently(
                    "The thermometer stood in the sun, or in the unit's own air",
                    "The weather entered is of another place",
                    "The day on the record is wrong")
            .asks("On which day, and where, was the air outdoors read?")
            .sources("Weather of the day as entered")
            .settings(AuditSettings.OUTDOORS);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        Optional<CommissioningRecord.DayWeather> day = paper.record().weather();
        Optional<Double> place = paper.number(AuditSettings.OUTDOORS);
        Optional<Subject> subject = paper.facts().subjects(OUTDOOR_AIR.scope()).stream()
                .filter(each -> paper.measured(OUTDOOR_AIR, each).isPresent())
                .findFirst();
        if (day.isEmpty() || place.isEmpty() || subject.isEmpty()) {
            return List.of(Found.cannotTell(
                    ABOUT,
                    PointKey.SYSTEM,
                    Text.of(
                            day.isEmpty()
                                    ? "The weather of that day is not entered."
                                    : "The record lacks the air outdoors.")));
        }
        Value.Measured read = paper.measured(OUTDOOR_AIR, subject.get()).orElseThrow();
        double coldest = day.get().coldest().si();
        double warmest = day.get().warmest().si();
        double u = Math.hypot(read.standardUncertainty(), place.get());
        double outside =
                Math.max(coldest - read.quantity().si(), read.quantity().si() - warmest);
        // outside on either side
        Doubt doubt = new Doubt(Math.min(1, 2 * Doubt.beyond(outside / u).chance()));
        return List.of(Found.weighed(
                        ABOUT,
                        subject.get().id(),
                        doubt,
                        Text.of(
                                "That day had {coldest} to {warmest}; the record says {read}.",
                                day.get().coldest(),
                                day.get().warmest(),
                                read.quantity()),
                        AuditedRecord.keys(subject.get(), OUTDOOR_AIR))
                .drawn(new Found.Band(
                        Dimension.TEMPERATURE,
                        coldest - 2 * u,
                        warmest + 2 * u,
                        read.quantity().si())));
    }
}
