package org.undanus.core.station.charge;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.simulated.ZonedMachine;
import org.undanus.core.simulated.ZonedMachine.Fault;
import org.undanus.core.simulated.ZonedMachine.Running;
import org.undanus.core.station.charge.Diagnosis.Cause;
import org.undanus.core.station.charge.Diagnosis.Sign;

/**
 * Machines with hidden faults, each of a design of its own, read with the errors of instruments and judged as a visit is: what is named
 * first, and what is not told. Expected is what the rule book expects of any machine, not what this one does when sound.
 */
class DiagnosisOfMachinesTest {
    private static final int MACHINES = 600;
    private static final int UNTOLD = Cause.values().length;
    private static final Path TABLE = Path.of("../docs/diagnosis.md");
    private static final List<String> REFRIGERANTS = List.of("R410A", "R32", "R454B", "R22");

    private static double between(Random chance, double low, double high) {
        return low + (high - low) * chance.nextDouble();
    }

    private static Fault hidden(Cause cause, Random chance) {
        return switch (cause) {
            case NONE -> Fault.NONE;
            case SHORT -> new Fault(between(chance, 0.70, 0.86), 1, 1, 1, 1, false, 0, 0, 1);
            case OVER -> new Fault(between(chance, 1.15, 1.35), 1, 1, 1, 1, false, 0, 0, 1);
            case RESTRICTION -> new Fault(1, 1, 1, 1, 1, false, between(chance, 0.85, 1.1), 0, 1);
            case LOW_AIRFLOW -> new Fault(1, between(chance, 0.45, 0.65), 1, 1, 1, false, 0, 0, 1);
            case AIR_IN_IT -> new Fault(1, 1, 1, 1, 1, false, 0, between(chance, 0.06, 0.12), 1);
            case OVERFED -> new Fault(1, 1, 1, 1, between(chance, 1.2, 1.4), true, 0, 0, 1);
            case UNDERFED -> new Fault(1, 1, 1, 1, between(chance, 0.55, 0.72), true, 0, 0, 1);
            case WARM_CONDENSER ->
                chance.nextBoolean()
                        ? new Fault(1, 1, between(chance, 0.45, 0.65), 1, 1, false, 0, 0, 1)
                        : new Fault(1, 1, 1, between(chance, 0.40, 0.60), 1, false, 0, 0, 1);
            case WEAK_COMPRESSOR -> new Fault(1, 1, 1, 1, 1, false, 0, 0, between(chance, 0.55, 0.78));
        };
    }

    /** A machine as somebody reads it. */
    private record Visit(CaseFixture fixture, Running is, Refrigerant refrigerant, double outdoor, Random chance) {

        private static String celsius(double kelvin, double error, Random chance) {
            return String.format(Locale.ROOT, "%.1f °C", kelvin - 273.15 + error * chance.nextGaussian());
        }

        private static String gauge(double pascals, Random chance) {
            return String.format(
                    Locale.ROOT, "%.2f barg", (pascals - 101_325) / 1e5 * (1 + 0.005 * chance.nextGaussian()));
        }

        /** Empty where it cannot run. */
        static Optional<Visit> of(Cause cause, boolean valve, Refrigerant refrigerant, Random chance) {
            ZonedMachine machine = new ZonedMachine(refrigerant, valve, hidden(cause, chance), chance);
            double dry = between(chance, 296.5, 300.5);
            double wet = dry - between(chance, 5.5, 8.5);
            double outdoor = between(chance, 299, 311);
            Running is;
            try {
                is = machine.running(dry, wet, outdoor);
            } catch (IllegalArgumentException cannotRun) {
                return Optional.empty();
            }
            DataSheet sheet = CaseFixture.listing(
                    CaseFixture.outdoorSheet(),
                    List.of(DataSheet.Pair.rated(
                            "WS-12 I",
                            Optional.of(Power.ofWatts(machine.rated)),
                            Optional.of(VolumeFlow.ofCubicMetresPerSecond(machine.airflow)),
                            Optional.of(Ratio.ofFraction(0.75)))),
                    List.of());
            CaseFixture fixture = new CaseFixture()
                    .sheets(sheet)
                    .outdoor("plate.model", "WS-12")
                    .indoor("plate.model", "WS-12 I")
                    .indoor("plate.metering-device", valve ? "thermostatic valve" : "fixed orifice")
                    .outdoor("plate.refrigerant", refrigerant.name())
                    .outdoor("plate.compressor-current", "10.0 A")
                    .outdoor("plate.target-subcooling", String.format(Locale.ROOT, "%.1f K", machine.subcooled))
                    .outdoor("charge.compressor-mode", "one speed or stage")
                    .outdoor("charge.sensor", "clamped on bare tube and wrapped")
                    .read("operation.mode", "system", "cooling")
                    .read("operation.run-time", "system", "60 min")
                    .read("running.outdoor-dry-bulb", "system", celsius(outdoor, 0.3, chance))
                    .indoor("running.return-dry-bulb", celsius(dry, 0.2, chance))
                    .indoor("running.return-wet-bulb", celsius(wet, 0.2, chance))
                    .indoor("running.supply-dry-bulb", celsius(is.supply(), 0.2, chance))
                    .outdoor("charge.liquid-pressure", gauge(is.head(), chance))
                    .outdoor("charge.suction-pressure", gauge(is.suction(), chance))
                    .outdoor("charge.liquid-temperature", celsius(is.liquidLine(), 0.3, chance))
                    .outdoor("charge.suction-temperature", celsius(is.suctionLine(), 0.3, chance));
            return Optional.of(new Visit(fixture, is, refrigerant, outdoor, chance));
        }

        void read(Sign sign) {
            switch (sign) {
                case DRIER ->
                    fixture.outdoor(
                            "charge.drier-drop",
                            String.format(
                                    Locale.ROOT, "%.1f K", Math.max(0, is.drier() + 0.3 * chance.nextGaussian())));
                case REST ->
                    fixture.outdoor(
                                    "charge.rest-pressure",
                                    gauge(
                                            is.rest()
                                                    + refrigerant
                                                            .saturation()
                                                            .bubble(Temperature.ofKelvin(outdoor))
                                                            .si(),
                                            chance))
                            .outdoor("charge.rest-temperature", celsius(outdoor, 0.3, chance));
                case LEAVING -> fixture.outdoor("running.outdoor-leaving", celsius(is.outdoorLeaving(), 0.5, chance));
                case DISCHARGE ->
                    fixture.outdoor("charge.discharge-temperature", celsius(is.discharge() - 2, 1, chance));
                case CURRENT ->
                    fixture.outdoor(
                            "electrical.running-current",
                            String.format(
                                    Locale.ROOT, "%.1f A", 10 * is.current() * (1 + 0.02 * chance.nextGaussian())));
                default -> throw new IllegalStateException(sign + " has been read");
            }
        }

        Judgement judged() {
            return fixture.judge("charge.cycle");
        }
    }

    /** Where in {@link Cause} what is named stands; after all where nothing is. */
    private static int named(Judgement judged) {
        if (judged.verdict() == Verdict.MEETS) {
            return Cause.NONE.ordinal();
        }
        String because = judged.because().toString().toLowerCase(Locale.ROOT);
        return Arrays.stream(Cause.values())
                .filter(cause -> cause != Cause.NONE && because.startsWith(cause.title()))
                .findFirst()
                .map(Cause::ordinal)
                .orElse(UNTOLD);
    }

    private static Optional<Sign> asked(Judgement judged) {
        String remedy = judged.remedy().map(Object::toString).orElse("");
        return Arrays.stream(Sign.values())
                .filter(sign -> remedy.contains("To tell them apart read the " + sign.asked() + "."))
                .findFirst();
    }

    @Test
    void theRightCauseIsNamedFirstOrNoneAtAll() throws IOException {
        Random chance = new Random(12);
        int[][] first = new int[UNTOLD][UNTOLD + 1];
        int[][] further = new int[UNTOLD][UNTOLD + 1];
        int visits = 0;
        for (int i = 0; visits < MACHINES; i++) {
            Cause cause = Cause.values()[i % UNTOLD];
            Optional<Visit> found = Visit.of(
                    cause,
                    i / UNTOLD % 2 == 0,
                    Refrigerant.shipped(REFRIGERANTS.get(i / UNTOLD / 2 % REFRIGERANTS.size()))
                            .orElseThrow(),
                    chance);
            if (found.isEmpty()) {
                continue;
            }
            visits++;
            Visit visit = found.get();
            Judgement judged = visit.judged();
            first[cause.ordinal()][named(judged)]++;
            for (int more = 0;
                    more < 2 && named(judged) == UNTOLD && asked(judged).isPresent();
                    more++) {
                visit.read(asked(judged).get());
                judged = visit.judged();
            }
            further[cause.ordinal()][named(judged)]++;
        }
        String table = page(first, further);
        if (Boolean.getBoolean("golden.update")) {
            Files.writeString(TABLE, table);
        }
        assertThat(wrong(first)).as(table).isLessThanOrEqualTo(0.03);
        assertThat(wrong(further)).as(table).isLessThanOrEqualTo(0.03);
        assertThat(right(further)).as(table).isGreaterThanOrEqualTo(0.6);
        assertThat(Files.readString(TABLE)).isEqualTo(table);
    }

    private static double right(int[][] counts) {
        double right = 0;
        for (int i = 0; i < counts.length; i++) {
            right += counts[i][i];
        }
        return right / MACHINES;
    }

    private static double wrong(int[][] counts) {
        double told = 0;
        for (int[] row : counts) {
            told += Arrays.stream(row).limit(UNTOLD).sum();
        }
        return told / MACHINES - right(counts);
    }

    private static String page(int[][] first, int[][] further) {
        return String.format(
                Locale.ROOT,
                """
                # Diagnosis of simulated machines

                %d machines with one hidden fault each, orifice and valve in turn, four refrigerants, in air of 23 to 27 °C inside and 26 to 38 °C
                outside, read with the errors of common instruments and judged as a visit is. No machine is like another: coils, airflows, held
                superheat and compressor differ, and what is expected of each is what the general rule book expects of any. Named is a cause
                that is likelier than 85 %%; else it cannot tell. Rows: what was hidden. These machines (`ZonedMachine`) are built otherwise than
                the simulated one that the application ships (`VirtualMachine`), from which and from the literature the marks of the causes were
                taken; marks were then widened where these machines disagreed with them. Made anew by `./undanus accept`.

                ## At first, from pressures, line temperatures and air

                %.1f %% named wrongly, %.1f %% rightly, the rest not told.

                %s
                ## After at most two further readings that the diagnosis asks for

                %.1f %% named wrongly, %.1f %% rightly, the rest not told.

                %s""",
                MACHINES,
                100 * wrong(first),
                100 * right(first),
                table(first),
                100 * wrong(further),
                100 * right(further),
                table(further));
    }

    private static String table(int[][] counts) {
        StringBuilder page = new StringBuilder("| hidden |");
        for (Cause cause : Cause.values()) {
            page.append(' ')
                    .append(cause.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                    .append(" |");
        }
        page.append(" cannot tell |\n|---|");
        page.append("---|".repeat(UNTOLD + 1)).append('\n');
        for (Cause cause : Cause.values()) {
            page.append("| ").append(cause.title()).append(" |");
            for (int count : counts[cause.ordinal()]) {
                page.append(' ').append(count).append(" |");
            }
            page.append('\n');
        }
        return page.toString();
    }
}
