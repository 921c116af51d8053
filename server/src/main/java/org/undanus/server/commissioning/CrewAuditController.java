package org.undanus.server.commissioning;

import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.words.Viewer;

/** All records, crew by crew. */
@RestController
@RequestMapping("/api/record-audits")
class CrewAuditController {
    private final CrewAudits audits;

    CrewAuditController(CrewAudits audits) {
        this.audits = audits;
    }

    /** Audits all records, crew by crew; how it goes on is asked under its id. */
    @PostMapping
    @ResponseStatus(HttpStatus.ACCEPTED)
    @KeepsNothing
    CrewAudit.CrewAuditView begin(Viewer viewer, @AuthenticationPrincipal Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Crews are looked at by the inspection office.");
        }
        return audits.begin(person.name(), viewer.wording(UnitSystem.SI));
    }

    @GetMapping("/{id}")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    CrewAudit.CrewAuditView state(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return audits.of(id, person.name()).view();
    }

    @DeleteMapping("/{id}")
    @KeepsNothing
    CrewAudit.CrewAuditView cancel(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CrewAudit audit = audits.of(id, person.name());
        audit.cancel();
        return audit.view();
    }
}
