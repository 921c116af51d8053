package org.undanus.core.judgement;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Notation;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;
import org.undanus.core.words.Worded;

/**
 * A case seen from one subject while one requirement is judged. It keeps account of every point looked at, so that a
 * judgement can name its evidence; whether a reading can be judged by is for {@link Admission} to say.
 */
public final class Examination {
    private final Case facts;
    private final Evidence evidence;
    private final RuleBook rules;
    private final About about;
    private final Subject judged;
    private final Subject subject;
    private final Optional<SchoolTopic.School> school;
    private final Basis basis;
    private final Admission admission;
    private final Map<PointKey, Text> setAside;
    private final Map<String, Step> notes;
    private final Map<Class<?>, Object> shared;

    /** @param shared what requirements of one judging have in common */
    Examination(
            Case facts,
            Evidence evidence,
            RuleBook rules,
            About about,
            Subject subject,
            Optional<SchoolTopic.School> school,
            Map<Class<?>, Object> shared) {
        this(
                facts,
                evidence,
                rules,
                about,
                subject,
                subject,
                school,
                new Basis(),
                new HashMap<>(),
                new LinkedHashMap<>(),
                shared);
    }

    private Examination(
            Case facts,
            Evidence evidence,
            RuleBook rules,
            About about,
            Subject judged,
            Subject subject,
            Optional<SchoolTopic.School> school,
            Basis basis,
            Map<PointKey, Text> setAside,
            Map<String, Step> notes,
            Map<Class<?>, Object> shared) {
        this.facts = facts;
        this.evidence = evidence;
        this.rules = rules;
        this.about = about;
        this.judged = judged;
        this.subject = subject;
        this.school = school;
        this.basis = basis;
        this.admission = new Admission(facts, evidence, rules, about, basis);
        this.setAside = setAside;
        this.notes = notes;
        this.shared = shared;
    }

    /** Looks at a unit as a requirement would, without judging: for drawings. */
    public static Examination of(Case facts, Evidence evidence, RuleBook rules, About about, Component subject) {
        return of(facts, evidence, rules, about, Subject.of(subject));
    }

    /** Looks at a unit or a part as a requirement would, without judging: for drawings. */
    public static Examination of(Case facts, Evidence evidence, RuleBook rules, About about, Subject subject) {
        return new Examination(
                facts, evidence, rules, about, subject, about.topic().map(rules::school), new HashMap<>());
    }

    /** This examination, still judging its own subject, but reading the points of another unit. */
    public Examination at(Component other) {
        return new Examination(
                facts, evidence, rules, about, judged, Subject.of(other), school, basis, setAside, notes, shared);
    }

    /** This examination, still judging its own subject, but reading the points of another part. */
    public Examination at(Subject other) {
        return new Examination(facts, evidence, rules, about, judged, other, school, basis, setAside, notes, shared);
    }

    public Case facts() {
        return facts;
    }

    /** What points are read of. */
    public Subject subject() {
        return subject;
    }

    /** The outdoor unit that a part belongs to or comes from; of a part that names none, the system's. */
    public Optional<Component> outdoor() {
        return joined().filter(Component::outdoor).findFirst().or(facts::outdoorUnit);
    }

    /** The unit that moves the room's air and that a part belongs to or leads to. */
    public Optional<Component> indoor() {
        return joined().filter(unit -> unit.within(Scope.AIR_UNIT)).findFirst();
    }

    private Stream<Component> joined() {
        return subject.joins().stream().flatMap(id -> facts.component(id).stream());
    }

    /** All that has been read. Requirements ask for points instead, so that a judgement can name its evidence. */
    public Evidence evidence() {
        basis.dependOnEverything();
        return evidence;
    }

    Basis basis() {
        return basis;
    }

    public RuleBook rules() {
        return rules;
    }

    public About about() {
        return about;
    }

    /** The unit whose points are read. */
    public Component unit() {
        return facts.component(subject.id()).orElseThrow();
    }

    /** Whether the requirement is being judged by this school. */
    public boolean by(SchoolTopic.School wanted) {
        return school.filter(wanted::equals).isPresent();
    }

    /** As read; a value the plate lacks, as the data sheet gives it. */
    public Optional<Value.Measured> measured(Point point) {
        return value(point).map(Value.Measured.class::cast).or(() -> filled(point));
    }

    private Optional<Value.Measured> filled(Point point) {
        Optional<SheetValue> lacked = SheetValue.of(point);
        if (lacked.isEmpty() || evidence.latest(key(point)).isPresent()) {
            return Optional.empty();
        }
        Optional<DataSheet> sheet = sheet();
        Optional<Quantity> given = sheet.flatMap(s -> s.value(lacked.get()));
        given.ifPresent(quantity -> notes.putIfAbsent(
                point.id(),
                Step.of(
                        point.title(),
                        "the plate reading lacks it; from the data sheet",
                        quantity,
                        sheet.get().document())));
        return given.map(quantity -> new Value.Measured(quantity, 0, 0));
    }

    /** The curve logged, where there is one. */
    public Optional<Trace> curve(Point point) {
        return value(point).map(v -> ((Value.Logged) v).trace());
    }

    /** The number in SI, where the point has been read. */
    public Optional<Double> number(Point point) {
        return measured(point).map(m -> m.quantity().si());
    }

    public Optional<Option> chosen(Point point) {
        return value(point).map(v -> ((Value.Chosen) v).option());
    }

    /** The refrigerant that a point names, with its tables. */
    public Optional<Refrigerant> refrigerant(Point point) {
        return chosen(point).flatMap(facts.refrigerants()::chosen);
    }

    public Optional<Boolean> affirmed(Point point) {
        return value(point).map(v -> ((Value.Affirmed) v).yes());
    }

    public Optional<String> written(Point point) {
        return value(point).map(v -> ((Value.Written) v).text());
    }

    /** What was listed, where the point has been read. */
    public <T extends Notation.Listing> Optional<T> listed(Point point, Class<T> kind) {
        return value(point).map(v -> kind.cast(((Value.Listed) v).listing()));
    }

    /**
     * What was listed beside a curve, where it was written of the curve that stands: what was there before another curve took the
     * first one's place belongs to the first.
     */
    public <T extends Notation.Listing> Optional<T> listedOf(Point curve, Point point, Class<T> kind) {
        Optional<T> listed = listed(point, kind);
        basis.look(key(curve));
        Optional<Reading> stands = evidence.latest(key(curve));
        return listed.filter(of -> stands.isEmpty() || !isOfEarlier(stands.get(), key(point)));
    }

    private boolean isOfEarlier(Reading curve, PointKey listed) {
        List<Reading> curves = evidence.history(curve.key());
        Instant came = curves.stream()
                .filter(each -> each.typed().equals(curve.typed()))
                .map(Reading::at)
                .min(Comparator.naturalOrder())
                .orElseThrow();
        return curves.stream().anyMatch(each -> each.at().isBefore(came))
                && evidence.latest(listed)
                        .filter(read -> read.at().isBefore(came))
                        .isPresent();
    }

    public Optional<Value.Within> within(Point point) {
        return value(point).map(Value.Within.class::cast);
    }

    /** A measured point that is known to have been read. */
    public Value.Measured need(Point point) {
        return measured(point).orElseThrow(() -> new IllegalStateException(point.id() + " is not declared as needed"));
    }

    public boolean has(Point point) {
        return value(point).isPresent() || filled(point).isPresent();
    }

    /** Whether the point itself has been read, whatever a sheet may say. */
    public boolean read(Point point) {
        return value(point).isPresent();
    }

    private Optional<Value> value(Point point) {
        PointKey key = key(point);
        basis.look(key);
        Optional<Reading> reading = standing(point, key);
        if (reading.isEmpty()) {
            return Optional.empty();
        }
        Optional<Text> doubt = admission.doubt(point, reading.get());
        doubt.ifPresent(why -> setAside.putIfAbsent(key, why));
        return doubt.isPresent() ? Optional.empty() : reading.map(Reading::value);
    }

    /** The reading that stands; that a later one was taken too late is noted. */
    private Optional<Reading> standing(Point point, PointKey key) {
        Optional<Reading> reading = admission.standing(point, key);
        Optional<Reading> latest = evidence.latest(key);
        if (!reading.equals(latest)) {
            reading.ifPresent(earlier -> notes.putIfAbsent(
                    point.id(),
                    Step.of(
                            point.title(),
                            "a later reading was taken when it was out of sight; the earlier one stands",
                            earlier.said(),
                            "")));
        }
        return reading;
    }

    private PointKey key(Point point) {
        return new PointKey(point.id(), point.scope().ofSystem() ? PointKey.SYSTEM : subject.id());
    }

    /** A word on each instrument named by a reading: empty where it was fit for every reading taken with it. */
    public Map<Instrument, Optional<Text>> instrumentsUsed() {
        basis.dependOnEverything();
        Map<Instrument, Optional<Text>> used = new LinkedHashMap<>();
        for (Reading reading : evidence.readings()) {
            reading.instrument().flatMap(facts.toolcase()::find).ifPresent(instrument -> {
                Optional<Text> unfit = instrument.unfit(admission.use(reading));
                used.merge(instrument, unfit, (before, now) -> before.isPresent() ? before : now);
                if (unfit.isPresent()) {
                    basis.look(reading.key());
                }
            });
        }
        return used;
    }

    /** Whether two points were read with the same instrument, as far as anybody said; its calibration error is then in both. */
    public boolean sameInstrument(Point one, Point other) {
        return instrument(one).equals(instrument(other));
    }

    private Optional<String> instrument(Point point) {
        return evidence.latest(key(point)).flatMap(Reading::instrument);
    }

    /** The step a measured point was read in, SI: of the digits written or the instrument's display, whichever is coarser. */
    public double step(Point point) {
        Value.Measured read = need(point);
        return step(point, read.quantity().dimension(), read.resolution());
    }

    /** The smallest step that a curve could show, in SI: the coarser of its instrument's and its file's. */
    public double step(Point point, Trace trace) {
        return step(point, trace.dimension(), trace.resolution());
    }

    /** The smallest step that a value written among others could show, in SI: the coarser of its instrument's and its last digit's. */
    public double step(Point point, Dimension dimension, double written) {
        return Math.max(accuracy(point, dimension).resolution(), written);
    }

    /** Of the instrument that a point was read with; where none is named, what the rule book assumes of its kind. */
    public Accuracy accuracy(Point point, Dimension dimension) {
        return evidence.latest(key(point))
                .flatMap(Reading::instrument)
                .flatMap(facts.toolcase()::find)
                .flatMap(instrument -> instrument.channel(dimension))
                .map(Channel::accuracy)
                .orElseGet(() -> rules.accuracy(point.instrument()));
    }

    /**
     * The accuracy (fixed ±, SI) an instrument needs to settle a comparison; empty where it rests on more than one reading
     * or on a counted one, or where no accuracy would help because the step it is read in is too coarse.
     */
    Optional<Double> neededAccuracy(Comparison comparison) {
        return basis.looked().stream()
                .flatMap(key -> evidence.latest(key).stream())
                .filter(reading -> comparison.isOf(reading.value()))
                .findFirst()
                .flatMap(reading -> {
                    double step = ((Value.Measured) reading.value()).resolution();
                    OptionalDouble needed = Accuracy.needed(comparison.allowed(), step);
                    return needed.isPresent() ? Optional.of(needed.getAsDouble()) : Optional.empty();
                });
    }

    /**
     * The data sheet of the subject's model: of the one on its plate, and of one that was chosen from the library when the installation
     * was entered, however weakly that is known; which it is stands in the derivation.
     */
    public Optional<DataSheet> sheet() {
        return written(PlatePoints.MODEL).or(this::chosenModel).flatMap(facts.sheets()::of);
    }

    private Optional<String> chosenModel() {
        PointKey key = key(PlatePoints.MODEL);
        return evidence.standing(key, Value.Written.class)
                .map(Value.Written::text)
                .filter(model -> facts.sheets().of(model).isPresent())
                .map(model -> {
                    notes.putIfAbsent(
                            PlatePoints.MODEL.id(),
                            Step.of(
                                    PlatePoints.MODEL.title(),
                                    "as chosen when the installation was entered; its plate is not read yet",
                                    Text.plain(model),
                                    ""));
                    return model;
                });
    }

    /**
     * What the rule book says of this, and the values of the subject's data sheet that it gives; more may be added.
     *
     * @param given none for the system as a whole, which has no sheet
     */
    public List<Limit> limits(LimitKey key, SheetLimit... given) {
        List<Limit> limits = new ArrayList<>(rules.limits(key));
        for (SheetLimit asked : given) {
            sheet().flatMap(s -> s.value(asked.value())).ifPresent(value -> limits.add(bySheet(asked.bound(), value)));
        }
        return limits;
    }

    /** A limit that the subject's data sheet sets. */
    public Limit bySheet(Bound bound, Quantity value) {
        return new Limit(
                rules.maker(), bound, value, sheet().map(DataSheet::document).orElse(""));
    }

    /** Something that is the same for every requirement of one judging, made when it is first asked for. */
    public <T> T computedOnce(Class<T> kind, Supplier<T> make) {
        basis.dependOnEverything();
        return kind.cast(shared.computeIfAbsent(kind, any -> make.get()));
    }

    /**
     * What a point comes to that an answer elsewhere leaves without meaning; empty where it is to be read. An answer that cannot be
     * judged by spares nothing.
     */
    Optional<Judgement> spared(Point point) {
        return point.condition().flatMap(condition -> spared(condition.on()).or(() -> sparedBy(condition)));
    }

    private Optional<Judgement> sparedBy(Point.Condition condition) {
        Point on = condition.on();
        Optional<String> admitted = value(on).flatMap(Value::answer);
        return evidence.latest(key(on))
                .flatMap(reading -> reading.value().answer())
                .filter(answer -> !condition.answers().contains(answer))
                .map(answer -> admitted.filter(answer::equals).isEmpty()
                        ? notShown(List.of(on))
                        : finding()
                                .step(on.title(), on.said(answer))
                                .conclude(
                                        Verdict.DOES_NOT_APPLY,
                                        Text.of("{on}: {on2}.", on.title(), on.said(answer)),
                                        ""));
    }

    /** The points among these that have not been read well enough. */
    public List<Point> missing(Point... points) {
        return Arrays.stream(points).filter(point -> !has(point)).toList();
    }

    /** Whether a point was read, but not so that it can be judged by. */
    public boolean doubted(Point point) {
        return !has(point) && setAside.containsKey(key(point));
    }

    /** A judgement being put together. */
    public Finding finding() {
        return new Finding(this);
    }

    /**
     * <em>Not shown</em> for want of readings, where what they must come to is known already.
     *
     * @param target completes the remedy: {@code It must fall 34 mm.}
     */
    public Judgement notShown(List<Point> missing, Text target) {
        Finding plain = noting(missing);
        return plain.conclude(
                Verdict.NOT_SHOWN,
                plain.because(),
                plain.remedy().orElse(Text.empty()).then(target));
    }

    /** The evidence is not there, not due yet, or cannot be judged by: names the lines to read. */
    public Judgement notShown(List<Point> missing) {
        return judgement(noting(missing));
    }

    private Finding noting(List<Point> missing) {
        Point first = missing.get(0);
        Optional<Text> doubt = missing.stream()
                .flatMap(point -> Optional.ofNullable(setAside.get(key(point))).stream())
                .findFirst();
        if (doubt.isPresent()) {
            return finding()
                    .noted(
                            Text.of("{titles}: {doubt}", titles(missing), doubt.get()),
                            Text.of(
                                    "The reading stays. Read it again as the rule asks, or find it in the commissioning record."));
        }
        Optional<Text> unread = missing.stream()
                .flatMap(point -> evidence.unread(key(point)).stream()
                        .map(said -> Text.of("{point}: {why}.", point.title(), lowered(said))))
                .findFirst();
        if (unread.isPresent()) {
            return finding().noted(unread.get(), asked(missing));
        }
        if (!facts.stage().reached(first.due())) {
            return finding()
                    .noted(
                            Text.of(
                                    "Not read yet: {titles}. Not due before the {due}.",
                                    titles(missing),
                                    first.due().visit()),
                            asked(missing));
        }
        if (first.hidden() && facts.stage().covered()) {
            return finding()
                    .noted(
                            Text.of("{titles}: concealed, and there is no rough-in record.", titles(missing)),
                            Text.of(
                                    "Show a photo or record from before it was concealed, or open it up and read it at a re-visit."));
        }
        return finding().noted(Text.of("Not read yet: {titles}.", titles(missing)), asked(missing));
    }

    /** What is open is asked for; it is no correction. */
    private static Text asked(List<Point> missing) {
        return Text.of(
                "Show or read: {titles}. {how}", titles(missing), missing.get(0).how());
    }

    /**
     * No data sheet gives what this asks for.
     *
     * @param what completes "No data sheet tells", for example {@code the mass of this unit}
     * @param remedy what to bring
     */
    public Judgement noSheetTells(String what, String remedy) {
        return noSheetTells(Text.of(what), remedy);
    }

    public Judgement noSheetTells(Text what, String remedy) {
        return finding().conclude(Verdict.NOT_SHOWN, Text.of("No data sheet tells {what}.", what), remedy);
    }

    /** An older version of the rule book does not choose between the schools there are now. */
    Judgement undecided(SchoolTopic topic) {
        return finding()
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("This version of the rule book does not decide: {topic}.", topic.title()),
                        "Move the installation to a newer version of its rule book.");
    }

    /** An older version of the rule book is silent on what this requirement asks, or a general one on what belongs to the place. */
    public Judgement undecided(List<Setting> settings) {
        return finding()
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "This version of the rule book does not decide: {settings}.",
                                Text.list(settings.stream().map(Setting::title).toList())),
                        settings.stream().anyMatch(Setting::local)
                                ? "Give it in a rule book of this place, and move the installation to that."
                                : "Move the installation to a newer version of its rule book.");
    }

    /** The requirement threw: whoever decides must do so without it. */
    Judgement notComputed() {
        return finding()
                .conclude(
                        Verdict.REFER,
                        Text.of("This could not be computed from what was read."),
                        "Check the readings it names for a slip. If they stand, a licensed person decides.");
    }

    private static Text lowered(Value.Unread unread) {
        Worded why = Text.lowered(unread.why().title());
        return unread.because().isEmpty() ? Text.of("{why}", why) : Text.of("{why}: {because}", why, unread.because());
    }

    private static Text titles(List<Point> points) {
        return Text.list(points.stream().map(Point::title).toList());
    }

    Judgement judgement(Finding finding) {
        return new Judgement(
                about,
                judged.id(),
                judged.title(),
                finding.verdict(),
                finding.because(),
                finding.remedy(),
                finding.comparison(),
                Stream.concat(notes.values().stream(), finding.steps().stream()).toList(),
                basis.looked(),
                school,
                List.of(),
                finding.weather());
    }
}
