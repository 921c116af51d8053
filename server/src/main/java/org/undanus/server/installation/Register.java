package org.undanus.server.installation;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Site;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.InstallationMapper.ComponentRow;
import org.undanus.server.installation.InstallationMapper.InstallationRow;
import org.undanus.server.installation.InstallationMapper.InstallationState;
import org.undanus.server.installation.InstallationMapper.SiteRow;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;

/** Enters installations in the register. */
@Service
public class Register {

    /**
     * What an installation needs to be entered.
     *
     * @param zone in which wall clocks at a building that is new here are read; the application's where it is left out
     */
    public record Opening(
            String reference,
            String title,
            String building,
            double elevation,
            Optional<ZoneId> zone,
            String system,
            String crew,
            CaseFile.Owner owner,
            boolean replacement,
            Stage stage,
            LocalDate visitedOn,
            boolean unannounced,
            List<Component> components,
            RuleBook rules) {
        private static final Pattern REFERENCE = Pattern.compile("[A-Za-z0-9][A-Za-z0-9 ./-]{0,39}");
        private static final int LONGEST = 200;
        private static final int LONGEST_CREW = 120;
        private static final int LONGEST_ADDRESS = 300;

        /** What an installation that is opened must be, from whichever side it comes in. */
        private void requireSuitable() {
            if (!REFERENCE.matcher(reference).matches()) {
                throw new UnsuitableException(
                        "reference", "A reference holds letters, digits, spaces, . / and -, 40 at most.");
            }
            requireText("title", title, LONGEST);
            requireText("building", building, LONGEST);
            requireText("system", system, LONGEST);
            requireText("crew", crew, LONGEST_CREW);
            requireShort("owner", owner.name(), LONGEST);
            requireShort("address", owner.address(), LONGEST_ADDRESS);
            requireUnits(components);
            Visits.requireDay(visitedOn);
            try {
                new Case(new Site(building, Length.ofMetres(elevation)), components, DataSheets.NONE, visitedOn);
            } catch (IllegalArgumentException e) {
                throw new UnsuitableException("components", Text.of("{why}.", RefusedException.said(e)));
            }
        }

        private static void requireShort(String field, String text, int most) {
            if (text.length() > most) {
                throw new UnsuitableException(
                        field, Text.of("The {field} is longer than {most} characters.", field, most));
            }
        }

        private static void requireText(String field, String text, int most) {
            if (text.isBlank() || text.length() > most) {
                throw new UnsuitableException(
                        field, Text.of("The {field} is a text of 1 to {most} characters.", field, most));
            }
        }
    }

    private static final int MOST_UNITS = 20;

    static void requireUnits(List<Component> components) {
        if (components.isEmpty() || components.size() > MOST_UNITS) {
            throw new UnsuitableException("components", Text.of("A system holds 1 to {most} units.", MOST_UNITS));
        }
    }

    private final Clock clock;
    private final InstallationMapper mapper;
    private final Visits visits;
    private final Journal journal;

    Register(Clock clock, InstallationMapper mapper, Visits visits, Journal journal) {
        this.clock = clock;
        this.mapper = mapper;
        this.visits = visits;
        this.journal = journal;
    }

    /**
     * Enters an installation in the register.
     *
     * @return its id
     * @throws UnsuitableException when the reference is taken
     */
    @Transactional
    public String enter(Opening opening, String by) {
        opening.requireSuitable();
        if (mapper.countReference(opening.reference()) > 0) {
            throw new UnsuitableException(
                    "reference", Text.of("The reference {reference} is already in the register.", opening.reference()));
        }
        String siteId = siteId(opening, by);
        String id = UUID.randomUUID().toString();
        mapper.insert(new InstallationRow(
                id,
                opening.reference(),
                siteId,
                opening.building(),
                opening.elevation(),
                null,
                opening.title(),
                opening.system(),
                opening.crew(),
                InstallationRow.kept(opening.owner().name()),
                InstallationRow.kept(opening.owner().address()),
                opening.replacement(),
                opening.rules().id(),
                opening.rules().version(),
                1));
        List<Component> components = new ArrayList<>(opening.components());
        for (int place = 0; place < components.size(); place++) {
            Component c = components.get(place);
            mapper.insertComponent(new ComponentRow(id, c.id(), c.kind(), c.title(), c.ownSupply(), place));
        }
        journal.write(by, "installation.entered", id, InstallationState.of(mapper, id));
        visits.begun(id, opening.stage(), opening.visitedOn(), opening.unannounced(), by);
        return id;
    }

    private String siteId(Opening opening, String by) {
        SiteRow known = mapper.site(opening.building());
        if (known == null) {
            String id = UUID.randomUUID().toString();
            SiteRow row = new SiteRow(
                    id,
                    opening.building(),
                    opening.elevation(),
                    opening.zone().orElseGet(clock::getZone).getId());
            mapper.insertSite(row);
            journal.write(by, "site.entered", id, row);
            return id;
        }
        return known.id();
    }

    /** @throws NotAllowedException where somebody does not keep the register */
    static void requireKeeper(Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("The register is kept by the inspection office.");
        }
    }
}
