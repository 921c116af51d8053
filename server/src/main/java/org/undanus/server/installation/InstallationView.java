package org.undanus.server.installation;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Subject;
import org.undanus.core.words.Language;
import org.undanus.core.words.UnitSystem;
import org.undanus.view.CaseFile;

/** An installation as its entry in the register says, with the units, visits and added things it is made of. */
record InstallationView(
        String id,
        String reference,
        String title,
        String building,
        String system,
        String crew,
        String owner,
        String address,
        boolean replacement,
        String stage,
        LocalDate visitedOn,
        List<VisitView> visits,
        int version,
        String ruleBook,
        String ruleBookTitle,
        UnitSystem display,
        List<ScopeView> scopes,
        List<UnitView> components,
        List<SubjectView> subjects) {
    /** @param model as read off its plate or stated; empty where it has not been */
    record UnitView(String id, Component.Kind kind, String title, boolean ownSupply, Optional<String> model) {}

    /**
     * What joins or serves the units.
     *
     * @param joins the units by their titles
     * @param added by hand, not told from the units
     */
    record SubjectView(
            String id, Subject.Kind kind, String kindTitle, String title, List<String> joins, boolean added) {}

    /** @param sealedAs the number it was sealed under; empty while it goes on */
    record VisitView(
            String stage, LocalDate visitedOn, boolean unannounced, Optional<String> sealedAs, List<String> scopes) {}

    /** A part of the work that a visit may be confined to. */
    record ScopeView(String id, String title) {}

    static InstallationView of(CaseFile file, Language language) {
        CaseFile.Header h = file.header();
        return new InstallationView(
                h.id(),
                h.reference(),
                h.title(),
                h.building(),
                h.system(),
                h.crew(),
                h.owner().name(),
                h.owner().address(),
                h.replacement(),
                language.say(h.stage().title()),
                h.visitedOn(),
                h.visits().stream()
                        .map(v -> new VisitView(
                                language.say(v.stage().title()), v.on(), v.unannounced(), v.sealedAs(), v.scopes()))
                        .toList(),
                h.version(),
                file.rules().id(),
                file.rules().title(),
                file.rules().display(),
                file.rules().scopes().values().stream()
                        .map(scope -> new ScopeView(scope.id(), scope.title()))
                        .toList(),
                file.facts().components().stream()
                        .map(unit ->
                                new UnitView(unit.id(), unit.kind(), unit.title(), unit.ownSupply(), file.model(unit)))
                        .toList(),
                file.facts().subjects().stream()
                        .filter(subject -> subject.kind().addable())
                        .map(subject -> new SubjectView(
                                subject.id(),
                                subject.kind(),
                                language.say(subject.kind().title()),
                                subject.title(),
                                subject.joins().stream()
                                        .map(file.facts()::title)
                                        .toList(),
                                file.facts().added().contains(subject)))
                        .toList());
    }
}
