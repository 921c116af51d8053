package org.undanus.core.evidence;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Years;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/**
 * One instrument of the toolcase.
 *
 * @param channels what it shows, one thing or several: a gauge set two pressures and two temperatures
 * @param refrigerants the refrigerants it is rated for, empty where it touches none
 * @param flammable whether it is rated for flammable refrigerants
 * @param mostPressure the highest pressure it may be put to, empty where it is put to none
 * @param calibrations oldest first; none for an instrument that is not calibrated
 */
public record Instrument(
        String id,
        String title,
        InstrumentKind kind,
        List<Channel> channels,
        List<String> refrigerants,
        boolean flammable,
        Optional<GaugePressure> mostPressure,
        List<Calibration> calibrations) {

    /** @param months for how long it holds */
    public record Calibration(LocalDate on, int months, String certificate) {
        public Calibration {
            Objects.requireNonNull(on);
            if (!Years.OF_MACHINES.hold(on)) {
                throw new RefusedException("A calibration lies in {ofMachines}.", Years.OF_MACHINES);
            }
            if (months < 1 || months > 120) {
                throw new IllegalArgumentException("A calibration holds for 1 to 120 months.");
            }
        }

        /** The last day it holds. */
        public LocalDate until() {
            return on.plusMonths(months);
        }
    }

    /**
     * What an instrument is used for.
     *
     * @param shown what it showed: the reading, of a curve its least and its most; nothing where it is no quantity
     * @param refrigerant in the system, where known
     * @param highSide the highest pressure the system is tested at, where known
     */
    public record Use(
            LocalDate on,
            List<Quantity> shown,
            Optional<String> refrigerant,
            boolean flammable,
            Optional<GaugePressure> highSide) {}

    public Instrument {
        Objects.requireNonNull(id);
        Objects.requireNonNull(title);
        Objects.requireNonNull(kind);
        channels = List.copyOf(channels);
        if (channels.isEmpty()) {
            throw new IllegalArgumentException("An instrument shows something.");
        }
        if (channels.stream().map(Channel::name).distinct().count() < channels.size()) {
            throw new IllegalArgumentException("Channels of one instrument have names of their own.");
        }
        refrigerants = List.copyOf(refrigerants);
        calibrations = calibrations.stream()
                .sorted(Comparator.comparing(Calibration::on))
                .toList();
    }

    /** An instrument of which only its accuracy is known. */
    public static Instrument plain(String id, String title, InstrumentKind kind, Accuracy accuracy) {
        return new Instrument(
                id,
                title,
                kind,
                List.of(Channel.only(kind.dimension().orElseThrow(), accuracy)),
                List.of(),
                false,
                Optional.empty(),
                List.of());
    }

    /** The channel on which such readings are taken; where it has several of a kind, the least exact. */
    public Optional<Channel> channel(Dimension read) {
        return channels.stream()
                .filter(channel -> channel.shows(read))
                .max(Comparator.comparingDouble((Channel c) -> c.accuracy().standardUncertainty(0, 0))
                        .thenComparingDouble(c -> c.accuracy().ofReading()));
    }

    /** Why a reading taken with it shows nothing; empty where it is fit for the use. */
    public Optional<Text> unfit(Use use) {
        Optional<Text> lapsed = lapsed(use.on);
        if (lapsed.isPresent()) {
            return lapsed;
        }
        return use.shown.stream()
                .flatMap(value -> outside(value).stream())
                .findFirst()
                .or(() -> unrated(use));
    }

    private Optional<Text> outside(Quantity value) {
        List<Channel> able =
                channels.stream().filter(c -> c.shows(value.dimension())).toList();
        if (able.isEmpty()) {
            return Optional.of(Text.of(
                    "{instrument} does not show {quantity}.",
                    title,
                    value.dimension().named()));
        }
        boolean inside = able.stream()
                .anyMatch(c -> c.range().filter(r -> !r.holds(value.si())).isEmpty());
        if (inside) {
            return Optional.empty();
        }
        Channel.Range r = able.get(0).range().orElseThrow();
        return Optional.of(Text.of(
                "{instrument} shows {least} to {most} only; this reading is out of its range.",
                title,
                r.dimension().of(r.lowest()),
                r.dimension().of(r.highest())));
    }

    /** The calibration that stands: the last one. */
    public Optional<Calibration> calibration() {
        return calibrations.isEmpty() ? Optional.empty() : Optional.of(calibrations.get(calibrations.size() - 1));
    }

    private Optional<Text> lapsed(LocalDate on) {
        Optional<Calibration> before =
                calibrations.stream().filter(c -> !c.on.isAfter(on)).reduce((older, newer) -> newer);
        if (calibrations.isEmpty() || before.filter(c -> !on.isAfter(c.until())).isPresent()) {
            return Optional.empty();
        }
        return Optional.of(before.map(c -> Text.of(
                        "{title} was out of calibration when it was read: its calibration held until {until}.",
                        title,
                        c.until()))
                .orElseGet(() -> Text.of(
                        "{title} was first calibrated on {on}, after it was read.", title, calibrations.get(0).on)));
    }

    private Optional<Text> unrated(Use use) {
        if (!refrigerants.isEmpty() && use.refrigerant.isPresent() && !refrigerants.contains(use.refrigerant.get())) {
            return Optional.of(Text.of("{title} is not rated for {refrigerant}.", title, use.refrigerant.get()));
        }
        if (!refrigerants.isEmpty() && use.flammable && !flammable) {
            return Optional.of(Text.of("{title} is not rated for flammable refrigerant.", title));
        }
        if (mostPressure.isPresent()
                && use.highSide.isPresent()
                && use.highSide.get().si() > mostPressure.get().si()) {
            return Optional.of(Text.of(
                    "{title} bears {mostPressure} at most; this system is tested at {highSide}.",
                    title,
                    mostPressure.get(),
                    use.highSide.get()));
        }
        return Optional.empty();
    }
}
