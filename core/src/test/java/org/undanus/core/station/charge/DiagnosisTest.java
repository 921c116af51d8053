package org.undanus.core.station.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.station.charge.Diagnosis.Cause;
import org.undanus.core.station.charge.Diagnosis.Departure;
import org.undanus.core.station.charge.Diagnosis.Share;
import org.undanus.core.station.charge.Diagnosis.Sign;

class DiagnosisTest {
    /** As the general rule books take it. */
    static final Diagnosis.Moves USUAL = new Diagnosis.Moves(1, 4, 0.5);

    /** Departures in bands, in the order of the signs; x where it was not read. */
    private static Map<Sign, Departure> read(String bands, double uncertainty) {
        Map<Sign, Departure> read = new EnumMap<>(Sign.class);
        String[] each = bands.trim().split(" ");
        for (int i = 0; i < each.length; i++) {
            if (!each[i].equals("x")) {
                read.put(Sign.values()[i], new Departure(Double.parseDouble(each[i]), uncertainty));
            }
        }
        return read;
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "0 0 0 0 0 0 0 0 0 0, true, NONE",
        "2 -2 -0.5 -2 -0.5 0 0 0 0 0, true, SHORT",
        "-2 2 0.5 1 0 0 0 0 0 0, true, OVER",
        "2 2 0 -2 -2 2 0 0 0 0, true, RESTRICTION",
        "-2 0 -0.5 -2 2 0 0 0 0 0, true, LOW_AIRFLOW",
        "0 2 2 0 0 0 3 0 0 0, true, AIR_IN_IT",
        "-2 -2 0 1 0 0 0 0 -1 0, true, OVERFED",
        "2 2 0 -2 -2 0 0 0 2 0, true, UNDERFED",
        "0 0 3 0 0 0 0 2 0 0.5, true, WARM_CONDENSER",
        "-0.5 -1 -1 2 -2 0 0 -1 0 -2, true, WEAK_COMPRESSOR",
        "0 -2 -0.5 0 0 0 0 0 0 0, false, SHORT",
        "0 2 0.5 0 0 0 0 0 0 0, false, OVER",
        "2 2 0 -1 -1 2 0 0 0 0, false, RESTRICTION",
        "0 0 -0.5 -2 2 0 0 0 0 0, false, LOW_AIRFLOW",
        "0 2 2 0 0 0 3 0 0 0, false, AIR_IN_IT",
        "-2 -2 0 1 0 0 0 0 -1 0, false, OVERFED",
        "2 2 0 -2 -1 0 0 0 2 0, false, UNDERFED",
        "0 1 3 0 0 0 0 2 0 0.5, false, WARM_CONDENSER",
        "0 -0.5 -0.5 1.5 -1.5 0 0 -1 1 -2, false, WEAK_COMPRESSOR",
    })
    void eachCauseIsNamedByItsSigns(String bands, boolean orifice, Cause cause) {
        Diagnosis told = Diagnosis.of(read(bands, 0.2), orifice, USUAL);
        assertThat(told.likeliest().cause()).isEqualTo(cause);
        assertThat(told.likeliest().share()).isGreaterThan(0.8);
        assertThat(told.shares().stream().mapToDouble(Share::share).sum()).isCloseTo(1, within(1e-9));
    }

    @Test
    void coarseInstrumentsNameNothing() {
        assertThat(Diagnosis.of(read("1 -1 x x x x x x x x", 2), true, USUAL)
                        .likeliest()
                        .share())
                .isLessThan(0.5);
    }

    @Test
    void itSaysWhatWouldTellTwoApart() {
        Map<Sign, Departure> read = read("2 2 0 -2 -2 x x x x x", 0.2);
        Diagnosis told = Diagnosis.of(read, false, USUAL);
        assertThat(told.likeliest().share()).isLessThan(0.8);
        assertThat(told.shares().subList(0, 2).stream().map(Share::cause))
                .containsExactlyInAnyOrder(Cause.RESTRICTION, Cause.UNDERFED);
        assertThat(told.tellsApart(read, false)).contains(Sign.DRIER);
        Map<Sign, Departure> all = read("2 2 0 -2 -2 1 0 0 0 0", 0.2);
        assertThat(Diagnosis.of(all, false, USUAL).tellsApart(all, false)).isEmpty();
        Map<Sign, Departure> high = read("0 2 2 0 0 x x x x x", 0.2);
        assertThat(Diagnosis.of(high, false, USUAL).tellsApart(high, false))
                .as("a warm condenser, or air in it")
                .contains(Sign.REST);
    }

    /** What a dirty condenser under a valve reads like overcharge must not be named so: the air that leaves it would tell. */
    @Test
    void aWarmCondenserIsNotCalledOvercharged() {
        Map<Sign, Departure> read = read("0 1.4 1.3 0 0 x x x x x", 0.2);
        assertThat(Diagnosis.of(read, false, USUAL).share(Cause.OVER)).isLessThan(0.5);
        Map<Sign, Departure> air = read("0 2 2.4 0 0 x 0 2.4 x x", 0.2);
        assertThat(Diagnosis.of(air, false, USUAL).likeliest().cause()).isEqualTo(Cause.WARM_CONDENSER);
    }

    /** A quarter short of flow under a valve: little moves much, and it is not sound. */
    @Test
    void aWeakCompressorIsNotSound() {
        Diagnosis told = Diagnosis.of(read("0 -0.6 -0.6 1.0 -1.0 x x x x x", 0.2), false, USUAL);
        assertThat(told.likeliest().cause()).isEqualTo(Cause.WEAK_COMPRESSOR);
        assertThat(told.share(Cause.NONE)).isLessThan(0.2);
    }

    @Test
    void aRestrictionThatIsMuchSubcooledLooksLikeASmallMeteringPiece() {
        Diagnosis told = Diagnosis.of(read("2 2 0 -2 -2 0 0 0 0 0", 0.2), true, USUAL);
        assertThat(told.shares().get(1).cause()).isEqualTo(Cause.RESTRICTION);
        assertThat(told.shares().get(1).share()).isBetween(0.05, 0.2);
        assertThat(Diagnosis.of(read("2 2 0 -2 -2 15 0 0 0 0", 0.2), true, USUAL)
                        .likeliest()
                        .cause())
                .as("a large drop is a drop too")
                .isEqualTo(Cause.RESTRICTION);
    }

    @Test
    void whatLiesOutsideEverythingStillAddsUp() {
        Diagnosis wild = Diagnosis.of(read("60 -60 60 60 60 60 60 60 60 60", 0.01), true, USUAL);
        assertThat(wild.shares().stream().mapToDouble(Share::share).sum()).isCloseTo(1, within(1e-9));
    }
}
