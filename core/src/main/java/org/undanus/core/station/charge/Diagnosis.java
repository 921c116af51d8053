package org.undanus.core.station.charge;

import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.hipparchus.special.Erf;

/**
 * What a running cycle's readings come to. Each cause moves each reading up, down or not at all; how likely the readings are under
 * each cause is told from their uncertainties, and all causes count the same before anything is read. The signs are those of
 * rule-based fault detection (Rossi and Braun, HVAC&amp;R Research 3, 1997), with the metering device as it is: a valve holds
 * superheat where an orifice cannot.
 *
 * <p>Departures count in bands: one band is what a sound machine may be off by. How far causes move readings is the rule book's ({@link Moves}).
 *
 * @param shares of all causes, the likeliest first; they add up to 1
 */
record Diagnosis(List<Share> shares) {

    /** A reading as it departs from what is expected. */
    enum Sign {
        SUPERHEAT("superheat", "superheat"),
        SUBCOOLING("subcooling", "subcooling"),
        CONDENSING("condensing temperature over the outdoor air", "high side's pressure and the outdoor air"),
        EVAPORATING("evaporating temperature for this air", "return air, dry and wet bulb"),
        SPLIT("temperature split", "return air, dry and wet bulb, and the supply air"),
        DRIER("temperature drop across the drier", "temperature drop across the drier"),
        REST(
                "pressure at rest against the refrigerant's",
                "pressure at rest, hours after it ran, and the coil's temperature then"),
        LEAVING("temperature of the air that leaves the outdoor coil", "air that leaves the outdoor coil"),
        DISCHARGE("discharge line temperature", "discharge line temperature"),
        CURRENT("compressor current against its plate", "compressor current, and its rated-load current on the plate");

        private final String title;
        private final String asked;

        Sign(String title, String asked) {
            this.title = title;
            this.asked = asked;
        }

        String title() {
            return title;
        }

        /** What is read to know it. */
        String asked() {
            return asked;
        }
    }

    /**
     * What can be wrong; {@code NONE} that nothing is. Marks in the order of {@link Sign}: + and - a band or more, ^ and v less than a
     * band, 0 not at all; of several each counts its share.
     */
    enum Cause {
        NONE("nothing", "0 0 0 0 0 0 0 0 0 0", "0 0 0 0 0 0 0 0 0 0", "", ""),
        SHORT(
                "short of charge",
                "+^ -v -v -v -v0 0 0 v0 +^0 v0",
                "0^+ - v0- ^0v- v0- 0 0 v0 ^0 v0",
                "Too little liquid stands in the condenser, and the coil runs dry before its end.",
                ""),
        OVER(
                "overcharged",
                "-v0 + ^^0+ ^+0 v0 0 0 v0 v0 ^0",
                "0 + ^^0+ 0v v0 0 0 0 ^0 ^0",
                "Liquid stands back in the condenser and takes its surface away.",
                ""),
        RESTRICTION(
                "restricted liquid line",
                "+ +^ v0 - -v0 ++++++0 0 v0 +^ v0",
                "+ +^0 v0 v-- v0-- ++++++0 0 v0 +^ v0",
                "Liquid boils at the restriction, before the coil, unless it is much subcooled: then the drier is colder behind than before.",
                "Replace the drier or the pinched piece; add nothing."),
        LOW_AIRFLOW(
                "low airflow over the indoor coil",
                "-v0 v0 v- v- + 0 0 v0 v0 v0",
                "v0 v0 v0- v- + 0 0 v0 0 v0",
                "Too little warm air passes the coil: it boils colder, with low superheat.",
                "Look at filter, coil, fan speed and ducts first."),
        AIR_IN_IT(
                "air or nitrogen in the refrigerant",
                "v0 + + 0^ 0v- 0 ++^ 0 0^ ^0+",
                "0 + + 0^ 0v- 0 ++^ 0 0^ ^0+",
                "Gas that does not condense adds its own pressure in the condenser.",
                "Recover the charge, evacuate deeply, and weigh it in again."),
        OVERFED(
                "liquid returns: the metering piece lets too much through",
                "-v - v0 ^+ 0v- 0 0 0v -v 0",
                "- - v0 ^+ 0v- 0 0 0v -v 0",
                "More liquid comes into the coil than its air can boil.",
                "Look at the orifice's size and seat, or the valve and its bulb."),
        UNDERFED(
                "metering piece lets too little through",
                "+ +^ v0 - -v 0 0 v0 +^ v0",
                "+ +^0 v0 v-- v0-- 0 0 v0 +^ v0",
                "The coil starves while liquid stands back in the condenser.",
                "Look at the orifice's size, its screen, or the valve and its bulb; add nothing."),
        WARM_CONDENSER(
                "outdoor coil fouled or short of air",
                "0v- 0v^+ + ^0 v0- 0 0 +00^ 0^ ^0+",
                "0 -0^++ + 0^ v0- 0 0 +00^ 0^ ^0+",
                "The condenser gives its heat away only at a higher temperature.",
                "Look at the coil, its fan, and what stands before it."),
        WEAK_COMPRESSOR(
                "compressor pumps too little",
                "-v0 -v0 v-0 + -v 0 0 v- 0^v -v",
                "0 v0- v-0 ^+ v- 0 0 v- ^0+ -v",
                "Less vapour is drawn off than the coil could boil: its pressure rises, the high side's falls, and less heat is moved.",
                "A licensed technician looks at it: valves, scroll or windings, and on a heat pump the reversing valve, which leaks alike. Add and recover nothing.");

        private final String title;
        private final String[] orifice;
        private final String[] valve;
        private final String reason;
        private final String cure;

        Cause(String title, String orifice, String valve, String reason, String cure) {
            this.title = title;
            this.orifice = orifice.split(" ");
            this.valve = valve.split(" ");
            this.reason = reason;
            this.cure = cure;
        }

        String title() {
            return title;
        }

        String reason() {
            return reason;
        }

        String cure() {
            return cure;
        }

        private String moves(Sign sign, boolean byOrifice) {
            return (byOrifice ? orifice : valve)[sign.ordinal()];
        }
    }

    /**
     * A departure.
     *
     * @param bands from what is expected
     * @param uncertainty standard, in bands
     */
    record Departure(double bands, double uncertainty) {}

    /** @param share how likely it is among all causes */
    record Share(Cause cause, double share) {}

    /**
     * How far causes move readings, in bands, as the rule book takes it.
     *
     * @param least that a cause moves what it moves
     * @param most likewise
     * @param sound standard spread of what nothing moves
     */
    record Moves(double least, double most, double sound) {
        private static final double APART = 0.01;

        Moves {
            // a book that takes two for the same still has to be computed with
            least = Math.max(least, APART);
            most = Math.max(most, least + APART);
            sound = Math.max(sound, APART);
        }

        private double likelihood(char way, double bands, double spread) {
            return switch (way) {
                case '+' -> (below(bands - least, spread) - below(bands - most, spread)) / (most - least);
                case '-' -> likelihood('+', -bands, spread);
                case '^' -> (below(bands, spread) - below(bands - least, spread)) / least;
                case 'v' -> likelihood('^', -bands, spread);
                default -> Math.exp(-bands * bands / (2 * spread * spread)) / (spread * Math.sqrt(2 * Math.PI));
            };
        }

        private double likelihood(String moves, Departure read) {
            double sum = 0;
            for (char way : moves.toCharArray()) {
                // what moved farther still than any cause is said to moved as far
                double bands = Math.max(-most, Math.min(most, read.bands));
                sum += likelihood(way, bands, Math.hypot(read.uncertainty, sound));
            }
            return sum / moves.length();
        }

        /** Share of a normal spread below a value. */
        private static double below(double value, double spread) {
            return 0.5 * (1 + Erf.erf(value / (spread * Math.sqrt(2))));
        }
    }

    /** @param byOrifice whether a fixed orifice meters, else a valve */
    static Diagnosis of(Map<Sign, Departure> departures, boolean byOrifice, Moves moves) {
        Map<Cause, Double> likely = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            double product = 1;
            for (Map.Entry<Sign, Departure> each : departures.entrySet()) {
                product *= moves.likelihood(cause.moves(each.getKey(), byOrifice), each.getValue());
            }
            likely.put(cause, product);
        }
        double sum = likely.values().stream().mapToDouble(Double::doubleValue).sum();
        return new Diagnosis(likely.entrySet().stream()
                .map(each -> new Share(each.getKey(), sum > 0 ? each.getValue() / sum : 1.0 / likely.size()))
                .sorted(Comparator.comparingDouble(Share::share).reversed())
                .toList());
    }

    Share likeliest() {
        return shares.get(0);
    }

    double share(Cause cause) {
        return shares.stream()
                .filter(each -> each.cause == cause)
                .mapToDouble(Share::share)
                .findFirst()
                .orElseThrow();
    }

    /**
     * The reading not taken yet that tells the two likeliest apart: one that they move in ways with nothing in common, else in ways that
     * differ; empty where none does.
     */
    Optional<Sign> tellsApart(Map<Sign, Departure> read, boolean byOrifice) {
        Cause one = shares.get(0).cause;
        Cause other = shares.get(1).cause;
        List<Sign> differ = Arrays.stream(Sign.values())
                .filter(sign -> !read.containsKey(sign))
                .filter(sign -> !ways(one, sign, byOrifice).equals(ways(other, sign, byOrifice)))
                .toList();
        return differ.stream()
                .filter(sign -> Collections.disjoint(ways(one, sign, byOrifice), ways(other, sign, byOrifice)))
                .findFirst()
                .or(() -> differ.stream().findFirst());
    }

    private static Set<Integer> ways(Cause cause, Sign sign, boolean byOrifice) {
        return cause.moves(sign, byOrifice).chars().boxed().collect(Collectors.toSet());
    }
}
