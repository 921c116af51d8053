package org.undanus.server.reckoner;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.reckoner.Computation;
import org.undanus.core.reckoner.InputException;
import org.undanus.core.reckoner.Reckoner;
import org.undanus.core.station.Walk;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.space.KeepsNothing;
import org.undanus.view.FigureView;

/** Computations without a case: nothing is kept. */
@RestController
@RequestMapping("/api/reckoner")
class ReckonerController {

    record ComputationView(
            String id, int station, String stationTitle, String title, String source, List<InputView> inputs) {}

    /** @param notation an example of what may be typed; empty for a choice */
    record InputView(String id, String title, String notation, List<String> options, boolean several, String example) {}

    /** @param figure what is computed, where it can be drawn */
    record AnswerView(List<ReckonedStep> steps, Optional<FigureView> figure) {}

    record ReckonedStep(String name, String how, String value) {}

    private static final int LONGEST_INPUT = 400;
    /** Dots. */
    private static final int FIGURE_WIDTH = 420;

    private static final int FIGURE_HEIGHT = 280;

    private final RefrigerantStore refrigerants;

    ReckonerController(RefrigerantStore refrigerants) {
        this.refrigerants = refrigerants;
    }

    private Reckoner reckoner() {
        return Reckoner.of(refrigerants.known());
    }

    @GetMapping
    List<ComputationView> all() {
        return reckoner().all().stream().map(ReckonerController::view).toList();
    }

    @PostMapping("/{id}")
    @KeepsNothing
    AnswerView answer(
            @PathVariable String id, @RequestParam Optional<UnitSystem> units, @RequestBody Map<String, String> typed) {
        Computation computation =
                reckoner().named(id).orElseThrow(() -> new NotFoundException("There is no such computation."));
        typed.forEach((input, text) -> {
            if (text == null || text.length() > LONGEST_INPUT) {
                throw new UnsuitableException(input, "This is longer than a figure can be, or nothing at all.");
            }
        });
        UnitSystem system = units.orElse(UnitSystem.SI);
        try {
            return new AnswerView(
                    computation.answer(typed).stream()
                            .map(step -> new ReckonedStep(
                                    step.name(), step.how(), step.value().in(system)))
                            .toList(),
                    computation.drawing(typed).map(drawn -> FigureView.of(drawn, system, FIGURE_WIDTH, FIGURE_HEIGHT)));
        } catch (InputException e) {
            throw new UnsuitableException(e.input(), e.getMessage());
        }
    }

    private static ComputationView view(Computation computation) {
        return new ComputationView(
                computation.id(),
                computation.station(),
                Walk.plans().stream()
                        .filter(plan -> plan.station().number() == computation.station())
                        .map(plan -> plan.station().title())
                        .findFirst()
                        .orElse(""),
                computation.title(),
                computation.source(),
                computation.inputs().stream()
                        .map(input -> new InputView(
                                input.id(),
                                input.title(),
                                input.dimension().map(Dimension::example).orElse(""),
                                input.options(),
                                input.several(),
                                input.example()))
                        .toList());
    }
}
