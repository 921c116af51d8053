package org.undanus.server.refrigerant;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.refrigerant.RefrigerantMapper.RefrigerantRow;
import org.undanus.server.words.Viewer;

/** Refrigerants over HTTP. */
@RestController
@RequestMapping("/api/refrigerants")
class RefrigerantController {

    /**
     * @param lowerFlammabilityLimit in words; empty where it does not burn
     * @param warmingPotential over 100 years, of a kilogram in kilograms of carbon dioxide
     * @param described from the coldest to the warmest temperature of its table
     * @param broughtBy empty where it ships with the application
     */
    record RefrigerantLine(
            String name,
            String safetyClass,
            Optional<String> lowerFlammabilityLimit,
            double warmingPotential,
            String described,
            Optional<String> broughtBy) {}

    /** @param columns of a file that can be brought in */
    record RefrigerantList(List<RefrigerantLine> refrigerants, List<String> columns) {}

    private final RefrigerantStore refrigerants;

    RefrigerantController(RefrigerantStore refrigerants) {
        this.refrigerants = refrigerants;
    }

    @GetMapping
    RefrigerantList all(Viewer viewer) {
        Map<String, RefrigerantRow> brought =
                refrigerants.brought().stream().collect(Collectors.toMap(RefrigerantRow::name, Function.identity()));
        return new RefrigerantList(
                refrigerants.known().known().stream()
                        .map(each -> new RefrigerantLine(
                                each.name(),
                                each.safetyClass(),
                                each.lowerFlammabilityLimit().map(limit -> limit + " kg/m³"),
                                each.warmingPotential(),
                                Text.of("{coldest} to {warmest}", each.coldest(), each.warmest())
                                        .in(viewer.wording(UnitSystem.US)),
                                Optional.ofNullable(brought.get(each.name())).map(RefrigerantRow::addedBy)))
                        .toList(),
                Refrigerants.columns());
    }

    /** Brings one in: a file of comma-separated values, checked as a whole. */
    @PostMapping(consumes = "text/csv")
    @ResponseStatus(HttpStatus.CREATED)
    @MayAlsoAnswer(HttpStatus.CONFLICT)
    RefrigerantLine bring(@RequestBody String file, Viewer viewer, @AuthenticationPrincipal Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("Refrigerants are kept by the quality lead.");
        }
        String name = refrigerants.bring(file, person.name());
        return all(viewer).refrigerants().stream()
                .filter(line -> line.name().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
