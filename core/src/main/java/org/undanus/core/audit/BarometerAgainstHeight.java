package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.BAROMETER;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether the air pressure is that of the height. */
final class BarometerAgainstHeight implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.barometer",
                    "Air pressure against height",
                    "The air pressure in the record against that of the site's height, give or take the weather")
            .shows("That the air pressure was not measured at the place", "What the gauges counted from")
            .innocently("The weather report's pressure, which is brought to sea level, was written")
            .asks("Where was the air pressure taken from?")
            .sources("International Standard Atmosphere, ISO 2533")
            .settings(AuditSettings.WEATHER_PRESSURE);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        Optional<Value.Measured> claimed = paper.record()
                .claim(new PointKey(BAROMETER.id(), PointKey.SYSTEM))
                .flatMap(Claim::measured);
        Optional<Double> weather = paper.number(AuditSettings.WEATHER_PRESSURE);
        if (claimed.isEmpty() || weather.isEmpty()) {
            return List.of(Found.cannotTell(ABOUT, PointKey.SYSTEM, Text.of("The record lacks the air pressure.")));
        }
        double height = paper.facts().site().atmosphere().si();
        double u = Math.hypot(weather.get(), claimed.get().rounding());
        double read = claimed.get().quantity().si();
        double sea = AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(0)).si();
        boolean ofSeaLevel = Math.abs(read - sea) < 2 * u && Math.abs(read - height) > 2 * u;
        return List.of(Found.weighed(
                        ABOUT,
                        PointKey.SYSTEM,
                        Doubt.twoSided((read - height) / u),
                        Text.of(
                                "At {elevation} the air has {absolutePressure}; the record says {claimed}.",
                                paper.facts().site().elevation(),
                                Dimension.ABSOLUTE_PRESSURE.of(height),
                                claimed.get().quantity()),
                        List.of(new PointKey(BAROMETER.id(), PointKey.SYSTEM)))
                .drawn(Dimension.ABSOLUTE_PRESSURE, new Uncertain(height, u), read)
                .explained(ofSeaLevel ? Optional.of(Text.of("It fits the air at sea level.")) : Optional.empty()));
    }
}
