package org.undanus.server.simulated;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.simulated.Act;
import org.undanus.core.simulated.VirtualRun;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.space.KeepsNothing;

/** The demo's simulated instruments, over HTTP. */
@RestController
@RequestMapping("/api/simulated")
class SimulatedController {

    /**
     * @param name of what the line set or the machine is like
     * @param refrigerant in the machine; empty for a line set
     * @param orifice whether a fixed orifice meters it, else a valve
     */
    record Start(
            @NotBlank(message = "is empty") String name,
            @DecimalMin(value = "1", message = "is at least 1") @DecimalMax(value = "600", message = "is at most 600")
                    double speed,
            Optional<String> refrigerant,
            Optional<Boolean> orifice) {}

    /**
     * @param act one that can be done; empty where only something else changes
     * @param runs whether the machine is to run
     */
    record Work(Optional<Marks.Act> act, Optional<Boolean> warmed, Optional<Boolean> runs) {}

    /**
     * @param done last, in words
     * @param machine whether it is a machine, not a line set
     * @param runs whether that runs
     */
    record Running(
            String name,
            double speed,
            Instant clock,
            Optional<String> done,
            boolean warmed,
            boolean machine,
            boolean runs) {}

    /**
     * @param there only in the demo
     * @param names what the line set can be like
     * @param machines what a machine can be like
     * @param refrigerants that can be in it
     * @param acts what can be done to a line set
     * @param running empty while it is switched off
     */
    record Simulated(
            boolean there,
            List<String> names,
            List<String> machines,
            List<String> refrigerants,
            List<Doing> acts,
            Optional<Running> running) {}

    record Doing(Marks.Act act, String title) {}

    private static final List<Doing> ACTS = Stream.of(
                    Marks.Act.NITROGEN_IN, Marks.Act.PUMP_ON, Marks.Act.ISOLATED, Marks.Act.VALVE_OPENED)
            .map(act -> new Doing(act, act.title()))
            .toList();

    private final RefrigerantStore refrigerants;
    private final ObjectProvider<InstrumentSimulator> simulator;

    SimulatedController(RefrigerantStore refrigerants, ObjectProvider<InstrumentSimulator> simulator) {
        this.refrigerants = refrigerants;
        this.simulator = simulator;
    }

    @GetMapping
    Simulated simulated() {
        InstrumentSimulator there = simulator.getIfAvailable();
        return new Simulated(
                there != null,
                Act.NAMES,
                VirtualRun.names(),
                refrigerants.known().names(),
                ACTS,
                Optional.ofNullable(there).flatMap(InstrumentSimulator::state).map(SimulatedController::running));
    }

    private static Running running(InstrumentSimulator.State state) {
        return new Running(
                state.name(),
                state.speed(),
                state.clock(),
                state.done().map(Marks.Act::title),
                state.warmed(),
                state.machine(),
                state.runs());
    }

    private InstrumentSimulator there(Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Whoever inspects works the simulated instruments.");
        }
        InstrumentSimulator there = simulator.getIfAvailable();
        if (there == null) {
            throw new NotFoundException("Simulated instruments are there in the demo only.");
        }
        return there;
    }

    /** Switches them on, from the beginning. */
    @PostMapping
    @KeepsNothing
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    Simulated start(@Valid @RequestBody Start asked, @AuthenticationPrincipal Person person) {
        InstrumentSimulator there = there(person);
        if (asked.refrigerant().isPresent()) {
            startMachine(there, asked, asked.refrigerant().get());
        } else if (Act.NAMES.contains(asked.name())) {
            there.start(asked.name(), asked.speed());
        } else {
            throw new UnsuitableException("name", Text.of("There are {names}.", String.join(", ", Act.NAMES)));
        }
        return simulated();
    }

    private static void startMachine(InstrumentSimulator there, Start asked, String refrigerant) {
        try {
            there.start(
                    asked.name(), asked.speed(), refrigerant, !asked.orifice().orElse(false));
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("name", RefusedException.said(e));
        }
    }

    /** Works the line set, or runs the machine. */
    @PostMapping("/work")
    @KeepsNothing
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    Simulated work(@Valid @RequestBody Work asked, @AuthenticationPrincipal Person person) {
        InstrumentSimulator there = there(person);
        asked.act().ifPresent(there::act);
        asked.warmed().ifPresent(there::warm);
        asked.runs().ifPresent(there::run);
        return simulated();
    }

    /** Switches them off. */
    @PostMapping("/stop")
    @KeepsNothing
    Simulated stop(@AuthenticationPrincipal Person person) {
        there(person).stop();
        return simulated();
    }
}
