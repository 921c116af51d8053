package org.undanus.server.calculator;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.calculator.Calculators;
import org.undanus.core.calculator.Computation;
import org.undanus.core.calculator.InputException;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.words.Viewer;
import org.undanus.view.FigureView;

/** Computations without a case: nothing is kept. */
@RestController
@RequestMapping("/api/calculators")
class CalculatorController {

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

    CalculatorController(RefrigerantStore refrigerants) {
        this.refrigerants = refrigerants;
    }

    private Calculators calculators() {
        return Calculators.of(refrigerants.known());
    }

    @GetMapping
    List<ComputationView> all(Viewer viewer) {
        Wording wording = viewer.wording(UnitSystem.SI);
        return calculators().all().stream().map(each -> view(each, wording)).toList();
    }

    @PostMapping("/{id}")
    @KeepsNothing
    AnswerView answer(@PathVariable String id, Viewer viewer, @RequestBody Map<String, String> typed) {
        Computation computation =
                calculators().named(id).orElseThrow(() -> new NotFoundException("There is no such computation."));
        typed.forEach((input, text) -> {
            if (text == null || text.length() > LONGEST_INPUT) {
                throw new UnsuitableException(input, "This is longer than a figure can be, or nothing at all.");
            }
        });
        Wording wording = viewer.wording(UnitSystem.SI);
        try {
            return new AnswerView(
                    computation.answer(typed).stream()
                            .map(step -> new ReckonedStep(
                                    step.name().in(wording),
                                    step.how().in(wording),
                                    step.value().in(wording)))
                            .toList(),
                    computation
                            .drawing(typed)
                            .map(drawn -> FigureView.of(drawn, wording, FIGURE_WIDTH, FIGURE_HEIGHT)));
        } catch (InputException e) {
            throw new UnsuitableException(e.input(), e.said());
        }
    }

    private static ComputationView view(Computation computation, Wording wording) {
        return new ComputationView(
                computation.id(),
                computation.station(),
                Walk.plans().stream()
                        .filter(plan -> plan.station().number() == computation.station())
                        .map(plan -> wording.say(plan.station().title()))
                        .findFirst()
                        .orElse(""),
                wording.say(computation.title()),
                wording.say(computation.source()),
                computation.inputs().stream()
                        .map(input -> new InputView(
                                input.id(),
                                wording.say(input.title()),
                                input.dimension()
                                        .map(dimension -> dimension.example().in(wording))
                                        .orElse(""),
                                input.options(),
                                input.several(),
                                input.example()))
                        .toList());
    }
}
