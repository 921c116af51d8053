package org.undanus.core.judgement;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.quantity.Amount;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.words.Text;

/**
 * What one requirement comes to for one subject, with everything needed to explain it. Never stored as truth: it is
 * computed again from case, evidence and rule book.
 *
 * @param component the subject's id, {@link PointKey#SYSTEM} for the system
 * @param subject its title, empty for the system
 * @param because one or two sentences: why this verdict
 * @param remedy what to do next
 * @param evidence every point looked at, read or not
 * @param school the school it was judged by, where practitioners differ
 * @param otherSchools the same by the other schools
 * @param weather what it waits for, where today's did not allow it
 */
public record Judgement(
        About about,
        String component,
        String subject,
        Verdict verdict,
        Text because,
        Optional<Text> remedy,
        Optional<Comparison> comparison,
        List<Step> derivation,
        List<PointKey> evidence,
        Optional<SchoolTopic.School> school,
        List<Judgement> otherSchools,
        Optional<Weather> weather) {

    public Judgement {
        derivation = List.copyOf(derivation);
        evidence = List.copyOf(evidence);
        otherSchools = List.copyOf(otherSchools);
    }

    /** Requirement and subject in one name, unique within an installation. */
    public String key() {
        return about.id() + "@" + component;
    }

    /** Its requirement, and of which subject where it is one of several. */
    public Text called() {
        return subject.isEmpty() ? Text.of(about.title()) : Text.of("{requirement}, {subject}", about.title(), subject);
    }

    /** Verdict, margin and whose limit in a few words: {@code Meets, 26 mm inside the maker's 100 mm}. */
    public Text brief() {
        Optional<Text> held =
                comparison.filter(made -> made.verdict() == verdict).map(Comparison::room);
        return held.map(room -> Text.of("{verdict}, {room}", verdict.title(), room))
                .orElseGet(() -> verdict.open()
                        ? Text.of("{verdict}: {because}", verdict.title(), because)
                        : Text.of("{verdict}", verdict.title()));
    }

    /** What was found, in a few words: {@code 60 A, 20 A over the maker's 40 A}; without a limit, the reason. */
    public Text finding() {
        return comparison
                .filter(made -> made.verdict() == verdict)
                .map(made -> Text.of(
                        "{measured}, {room}",
                        Amount.of(made.dimension(), made.measured(), made.resolution()),
                        made.room()))
                .orElse(because);
    }

    /**
     * The line it is about first of all: the one whose reading was compared, else its namesake, else the
     * first that was looked at.
     */
    public Optional<PointKey> line(Evidence read) {
        return evidence.stream()
                .filter(key -> comparison
                        .filter(made -> read.standing(key, Value.Measured.class)
                                .filter(made::holds)
                                .isPresent())
                        .isPresent())
                .findFirst()
                .or(() -> evidence.stream()
                        .filter(key -> key.point().equals(about.id()))
                        .findFirst())
                .or(() -> evidence.stream().findFirst());
    }

    /** This judgement with one sentence more: what was computed all the same, though it could not be judged by. */
    public Judgement saying(Text more) {
        return new Judgement(
                about,
                component,
                subject,
                verdict,
                because.then(more),
                remedy,
                comparison,
                derivation,
                evidence,
                school,
                otherSchools,
                weather);
    }

    Judgement withOtherSchools(List<Judgement> others) {
        return new Judgement(
                about,
                component,
                subject,
                verdict,
                because,
                remedy,
                comparison,
                derivation,
                evidence,
                school,
                others,
                weather);
    }
}
