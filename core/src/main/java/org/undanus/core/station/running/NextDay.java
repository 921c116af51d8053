package org.undanus.core.station.running;

import java.util.Optional;
import org.undanus.core.derived.Forecast;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Weather;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.Bound;
import org.undanus.core.words.Text;

/** When to come back for weather that a reading needs: in words, and by the forecast where one was entered. */
final class NextDay {
    private NextDay() {}

    static Text of(Examination x, Weather needed) {
        Bound bound = needed.bound();
        Quantity limit = needed.outdoors();
        Text asked = Text.of("Come back when it is {bound} {limit} outdoors.", bound.words(), limit);
        Optional<Forecast> forecast = x.listed(RunningPoints.FORECAST, Forecast.class);
        if (forecast.isEmpty()) {
            return asked;
        }
        return forecast.get()
                .next(
                        x.facts().on(),
                        day -> bound == Bound.AT_LEAST ? day.warmest() >= limit.si() : day.coldest() <= limit.si())
                .map(day -> Text.of(
                        "{asked} By the forecast {date} allows it: {coldest} to {warmest}.",
                        asked,
                        day.date(),
                        Temperature.ofKelvin(day.coldest()),
                        Temperature.ofKelvin(day.warmest())))
                .orElseGet(() -> asked.then(Text.of("No day of the forecast allows it.")));
    }
}
