package org.undanus.server.simulated;

import jakarta.annotation.PreDestroy;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.simulated.VirtualRun;
import org.undanus.core.simulated.VirtualVisit;
import org.undanus.server.live.InstrumentIntake;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.simulated.Packs.Sender;
import org.undanus.server.simulated.Packs.Shown;

/**
 * The demo's simulated instruments: a virtual line set that a person works, or a machine that they run, whose instruments send to
 * the same door as real ones. Its clock begins some hours ago and runs faster than life until it has caught up.
 */
@Component
@ConditionalOnProperty("undanus.demo")
class InstrumentSimulator {
    private static final Logger LOG = LoggerFactory.getLogger(InstrumentSimulator.class);
    private static final Duration AGO = Duration.ofHours(8);
    private static final long TICK_MS = 1000;
    private static final double BETWEEN_S = 5;
    private static final double AIR = 101_325;

    /**
     * How it stands.
     *
     * @param name of what the line set is like
     * @param speed by how much faster than in life
     * @param clock of its instruments
     * @param done last; empty while nothing was
     * @param warmed whether the lines are being warmed
     * @param machine whether it is a machine, not a line set
     * @param runs whether that machine runs
     */
    record State(
            String name,
            double speed,
            Instant clock,
            Optional<Marks.Act> done,
            boolean warmed,
            boolean machine,
            boolean runs) {
        private State done(Marks.Act act) {
            return new State(name, speed, clock, Optional.of(act), warmed, machine, runs);
        }

        private State warmed(boolean on) {
            return new State(name, speed, clock, done, on, machine, runs);
        }

        private State runs(boolean on) {
            return new State(name, speed, clock, done, warmed, machine, on);
        }

        private State at(Instant later) {
            return new State(name, speed, later, done, warmed, machine, runs);
        }
    }

    private final Clock clock;
    private final InstrumentIntake intake;
    private final ScheduledExecutorService runs = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "simulated instruments");
        thread.setDaemon(true);
        return thread;
    });

    private VirtualVisit visit;
    private VirtualRun machine;
    private State state;

    InstrumentSimulator(Clock clock, InstrumentIntake intake) {
        this.clock = clock;
        this.intake = intake;
        runs.scheduleWithFixedDelay(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
    }

    @PreDestroy
    void end() {
        runs.shutdownNow();
    }

    /** How it stands; empty while it is switched off. */
    synchronized Optional<State> state() {
        return Optional.ofNullable(state);
    }

    /** Switches a line set on, from the beginning where it was on. */
    synchronized void start(String name, double speed) {
        machine = null;
        visit = new VirtualVisit(name, new Random());
        state = new State(name, speed, clock.instant().minus(AGO), Optional.empty(), false, false, false);
    }

    /** Switches a machine on, at rest. */
    synchronized void start(String name, double speed, String refrigerant, boolean valve) {
        visit = null;
        machine = new VirtualRun(name, refrigerant, valve, new Random());
        state = new State(name, speed, clock.instant().minus(AGO), Optional.empty(), false, true, false);
    }

    synchronized void stop() {
        visit = null;
        machine = null;
        state = null;
    }

    /** @throws UnsuitableException while no line set is switched on */
    synchronized void act(Marks.Act act) {
        requireOn(visit);
        visit.act(act);
        state = state.done(act);
        for (Sender sender : List.of(Packs.VACUUM, Packs.GAUGE)) {
            send(sender, sender.done(act, state.clock));
        }
    }

    /** Warms the lines, or lets them cool again. */
    synchronized void warm(boolean on) {
        requireOn(visit);
        if (on != state.warmed) {
            visit.warm(on ? VirtualVisit.WARMER : -VirtualVisit.WARMER);
            state = state.warmed(on);
        }
    }

    /**
     * Starts or stops the machine.
     *
     * @throws UnsuitableException while none is switched on
     */
    synchronized void run(boolean on) {
        requireOn(machine);
        machine.run(on);
        state = state.runs(on);
    }

    private static void requireOn(Object what) {
        if (what == null) {
            throw new UnsuitableException("act", "Switch the simulated instruments on first.");
        }
    }

    private synchronized void tick() {
        if (state == null) {
            return;
        }
        Instant until = state.clock.plusMillis((long) (TICK_MS * state.speed));
        Instant now = clock.instant();
        until = until.isAfter(now) ? now : until;
        if (machine != null) {
            show(until);
        } else {
            take(until);
        }
    }

    private void show(Instant until) {
        machine.goOn(Duration.between(state.clock, until).toMillis() / 1000.0);
        state = state.at(until);
        for (Packs.Channel channel : Packs.MACHINE) {
            double value = machine.shown(channel.probe()) - channel.less();
            send(channel.sender(), channel.sender().value(channel.name(), new Shown(until, value)));
        }
    }

    private void take(Instant until) {
        Map<Sender, List<Shown>> shown = Map.of(
                Packs.VACUUM, new ArrayList<>(), Packs.GAUGE, new ArrayList<>(), Packs.THERMOMETER, new ArrayList<>());
        Instant clock = state.clock;
        while (Duration.between(clock, until).toMillis() >= BETWEEN_S * 1000) {
            visit.goOn(BETWEEN_S);
            clock = clock.plusMillis((long) (BETWEEN_S * 1000));
            double vacuum = visit.vacuum();
            if (vacuum <= AIR) {
                shown.get(Packs.VACUUM).add(new Shown(clock, vacuum));
            }
            shown.get(Packs.GAUGE).add(new Shown(clock, visit.gauge()));
            shown.get(Packs.THERMOMETER)
                    .add(new Shown(clock, Temperature.ofKelvin(visit.wall()).celsius()));
        }
        state = state.at(clock);
        shown.forEach((sender, values) -> {
            if (!values.isEmpty()) {
                send(sender, sender.values(values));
            }
        });
    }

    private void send(Sender sender, String pack) {
        try {
            intake.receive(SimulatedInstruments.TOKENS.get(sender.instrument()), pack.getBytes(StandardCharsets.UTF_8));
        } catch (ConflictException nobodyListens) {
            LOG.debug("{}: nobody listens.", sender.instrument());
        } catch (RuntimeException refused) {
            // whatever it is, the next pack is tried: a task that throws is never run again
            LOG.warn("{}: {}", sender.instrument(), refused.getMessage());
        }
    }
}
