package org.undanus.server.installation;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Subject;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.InstallationMapper.ComponentRow;
import org.undanus.server.installation.InstallationMapper.InstallationRow;
import org.undanus.server.installation.InstallationMapper.InstallationState;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;

/** Changes what the register says of an installation. */
@Service
public class Amendments {

    private final InstallationMapper mapper;
    private final CaseFiles cases;
    private final Journal journal;

    Amendments(InstallationMapper mapper, CaseFiles cases, Journal journal) {
        this.mapper = mapper;
        this.cases = cases;
        this.journal = journal;
    }

    /**
     * What the register is to say of an installation.
     *
     * @param version of what was seen when this was asked for
     */
    public record Amended(
            String title,
            String system,
            String crew,
            CaseFile.Owner owner,
            boolean replacement,
            RuleBook rules,
            List<Component> components,
            int version) {

        /** Nothing but another book. */
        public static Amended of(CaseFile file, RuleBook rules) {
            CaseFile.Header h = file.header();
            return new Amended(
                    h.title(),
                    h.system(),
                    h.crew(),
                    h.owner(),
                    h.replacement(),
                    rules,
                    file.facts().components(),
                    h.version());
        }
    }

    /**
     * The installation as it would be after an amendment.
     *
     * @throws UnsuitableException where it cannot be so
     */
    public CaseFile amended(CaseFile file, Amended asked) {
        CaseFile.Header h = file.header();
        CaseFile.Header header = new CaseFile.Header(
                h.id(),
                h.reference(),
                asked.title(),
                h.building(),
                asked.system(),
                asked.crew(),
                asked.owner(),
                asked.replacement(),
                h.stage(),
                h.visitedOn(),
                h.visitId(),
                h.visits(),
                h.version());
        Case facts = file.facts();
        Register.requireUnits(asked.components());
        for (Component gone : facts.components()) {
            if (asked.components().stream().noneMatch(unit -> unit.id().equals(gone.id()))) {
                requireUnused(gone, file);
            }
        }
        try {
            return file.corrected(header, facts.corrected(asked.components(), asked.replacement()), asked.rules());
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("components", Text.of("{why}.", RefusedException.said(e)));
        }
    }

    /** A unit that has been read or drawn stays; its kind and title can be put right. */
    private static void requireUnused(Component unit, CaseFile file) {
        Set<String> its = file.facts().subjects().stream()
                .filter(subject -> subject.joins().contains(unit.id()))
                .map(Subject::id)
                .collect(Collectors.toSet());
        boolean read = file.evidence().readings().stream()
                .map(reading -> reading.key().component())
                .anyMatch(component -> component.equals(unit.id()) || its.contains(component));
        boolean drawn = file.facts()
                .plan()
                .filter(plan -> plan.units().stream()
                        .anyMatch(placed -> placed.component().equals(unit.id())))
                .isPresent();
        if (read || drawn) {
            throw new UnsuitableException(
                    "components",
                    Text.of(
                            "{unit} has readings or stands in the site drawing; it stays. Its kind and title can be put right.",
                            unit.title()));
        }
    }

    /**
     * Changes what the register says, if nobody else has meanwhile.
     *
     * @throws ConflictException with both versions when somebody has
     * @throws UnsuitableException where it cannot be so
     */
    @Transactional
    public void amend(CaseFile file, Amended asked, Person person) {
        CaseFile.Header header = amended(file, asked).header();
        InstallationRow before = cases.visible(header.id(), person);
        int changed = mapper.update(new InstallationRow(
                header.id(),
                before.reference(),
                before.siteId(),
                before.siteName(),
                before.elevation(),
                before.zone(),
                header.title(),
                header.system(),
                header.crew(),
                InstallationRow.kept(header.owner().name()),
                InstallationRow.kept(header.owner().address()),
                header.replacement(),
                asked.rules().id(),
                asked.rules().version(),
                asked.version()));
        if (changed == 0) {
            throw new ConflictException(
                    "Someone changed this installation meanwhile. Nothing was saved; compare the two.",
                    header,
                    cases.open(header.id(), person).header());
        }
        Set<String> there =
                mapper.components(header.id()).stream().map(ComponentRow::id).collect(Collectors.toSet());
        for (int place = 0; place < asked.components().size(); place++) {
            Component c = asked.components().get(place);
            ComponentRow row = new ComponentRow(header.id(), c.id(), c.kind(), c.title(), c.ownSupply(), place);
            if (there.remove(c.id())) {
                mapper.updateComponent(row);
            } else {
                mapper.insertComponent(row);
            }
        }
        there.forEach(gone -> mapper.deleteComponent(header.id(), gone));
        journal.write(person.name(), "installation.amended", header.id(), InstallationState.of(mapper, header.id()));
    }
}
