package org.undanus.core;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Toolcase;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Site;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;

/** A small case that tests fill with typed readings and judge. */
public final class CaseFixture {
    public static final RuleBook PLATE_BOOK = book(0);
    public static final RuleBook DESIGN_BOOK = book(1);

    private static RuleBook book(int index) {
        return RuleBookReader.read(ShippedRuleBooks.demo().get(index), Walk.vocabulary());
    }

    private final List<Reading> readings = new ArrayList<>();
    private final List<Component> components = new ArrayList<>(List.of(
            new Component("outdoor", Component.Kind.OUTDOOR, "Outdoor unit", true),
            new Component("indoor", Component.Kind.INDOOR_WALL, "Wall unit", false)));
    private final Map<InstrumentKind, Accuracy> accuracies = new EnumMap<>(InstrumentKind.class);
    private RuleBook rules = PLATE_BOOK;
    private DataSheets sheets = DataSheets.of(List.of(outdoorSheet(), indoorSheet()));
    private Stage stage = Stage.FINAL;
    private boolean replacement;
    private final List<Subject> added = new ArrayList<>();
    private Toolcase toolcase = Toolcase.EMPTY;
    private Refrigerants refrigerants = Refrigerants.SHIPPED;
    private Optional<SitePlan> plan = Optional.empty();
    private final KnownTraces traces = new KnownTraces();
    private Length elevation = Length.ofMetres(0);

    public static DataSheet outdoorSheet() {
        DataSheet sheet = DataSheet.of("Ondrel", "WS-12", "Ondrel 4410, edition 3")
                .with(SheetValue.MINIMUM_CIRCUIT_AMPACITY, Current.ofAmperes(12))
                .with(SheetValue.MAXIMUM_OVERCURRENT_DEVICE, Current.ofAmperes(20));
        return new DataSheet(
                sheet.maker(),
                sheet.model(),
                sheet.document(),
                Optional.of("R32"),
                Optional.empty(),
                Map.of(Face.FRONT, Length.ofMetres(0.5), Face.BACK, Length.ofMetres(0.1)),
                Map.of(),
                Map.of(),
                sheet.values(),
                Optional.of(new DataSheet.VoltageRange(Voltage.ofVolts(197), Voltage.ofVolts(253))),
                Optional.empty(),
                Optional.empty(),
                List.of(DataSheet.Pair.rated(
                        "WS-12 I",
                        Optional.of(Power.ofWatts(3516.853 * 3)),
                        Optional.of(VolumeFlow.ofCubicMetresPerSecond(3 * 400 * 4.719474e-4)),
                        Optional.of(Ratio.ofFraction(0.75)))),
                List.of(),
                List.of());
    }

    /** A sheet that lists these pairs, and has this fan table, instead of its own. */
    public static DataSheet listing(DataSheet plain, List<DataSheet.Pair> pairs, List<DataSheet.FanPoint> fan) {
        return new DataSheet(
                plain.maker(),
                plain.model(),
                plain.document(),
                plain.refrigerant(),
                plain.size(),
                plain.clearances(),
                plain.mountingClearances(),
                plain.neighbours(),
                plain.values(),
                plain.supply(),
                plain.meteringDevice(),
                plain.saltAir(),
                pairs,
                fan,
                plain.torques());
    }

    /** A sheet that gives a model's sizes and nothing else, in metres. */
    public static DataSheet sized(String model, double width, double depth, double height) {
        DataSheet plain = DataSheet.of("Ondrel", model, "4411");
        return new DataSheet(
                plain.maker(),
                plain.model(),
                plain.document(),
                Optional.empty(),
                Optional.of(
                        new DataSheet.Size(Length.ofMetres(width), Length.ofMetres(depth), Length.ofMetres(height))),
                Map.of(),
                Map.of(),
                Map.of(),
                Map.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                plain.pairs(),
                plain.fan(),
                plain.torques());
    }

    private static DataSheet indoorSheet() {
        return new DataSheet(
                "Ondrel",
                "WS-12 I",
                "Ondrel 4411, edition 2",
                Optional.of("R32"),
                Optional.empty(),
                Map.of(
                        Face.LEFT,
                        Length.ofMetres(0.1),
                        Face.RIGHT,
                        Length.ofMetres(0.1),
                        Face.ABOVE,
                        Length.ofMetres(0.08)),
                Map.of(),
                Map.of(),
                Map.of(SheetValue.LOWEST_MOUNTING, Length.ofMetres(1.8)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of());
    }

    public CaseFixture rules(RuleBook book) {
        rules = book;
        return this;
    }

    /** Reads from here on with instruments of this kind being this good. */
    public CaseFixture accuracy(InstrumentKind kind, Accuracy accuracy) {
        accuracies.put(kind, accuracy);
        return this;
    }

    public CaseFixture noSheets() {
        sheets = DataSheets.NONE;
        return this;
    }

    public CaseFixture elevation(double metres) {
        elevation = Length.ofMetres(metres);
        return this;
    }

    public CaseFixture indoorKind(Component.Kind kind, boolean ownSupply) {
        components.set(1, new Component("indoor", kind, "Indoor unit", ownSupply));
        return this;
    }

    public CaseFixture read(String point, String component, String typed) {
        return read(point, component, typed, Grade.WITNESSED);
    }

    public CaseFixture read(String pointId, String component, String typed, Grade grade) {
        return read(pointId, component, typed, grade, Optional.empty());
    }

    /** Reads with an instrument of the toolcase; its own accuracy is that of its kind here. */
    public CaseFixture readWith(String instrument, String pointId, String component, String typed) {
        return read(pointId, component, typed, Grade.WITNESSED, Optional.of(instrument));
    }

    private CaseFixture read(String pointId, String component, String typed, Grade grade, Optional<String> instrument) {
        Point point = Walk.point(pointId).orElseThrow(() -> new IllegalArgumentException("No point " + pointId));
        var understood = Entry.answer(
                refrigerants.asked(point),
                typed,
                accuracies.getOrDefault(point.instrument(), rules.accuracy(point.instrument())),
                traces);
        readings.add(new Reading(
                new UUID(0, readings.size()),
                new PointKey(pointId, point.scope().ofSystem() ? PointKey.SYSTEM : component),
                typed,
                understood.value(),
                understood.unit(),
                instrument,
                grade,
                "inspector",
                Instant.EPOCH.plusSeconds(readings.size()),
                stage));
        return this;
    }

    /** Reads a logger's file. */
    public CaseFixture logged(String pointId, String component, String csv) {
        Point point = Walk.point(pointId).orElseThrow(() -> new IllegalArgumentException("No point " + pointId));
        return read(pointId, component, traces.add(point, csv).sha256(), Grade.LOGGED);
    }

    /** The same with an instrument of the toolcase. */
    public CaseFixture loggedWith(String instrument, String pointId, String component, String csv) {
        Point point = Walk.point(pointId).orElseThrow(() -> new IllegalArgumentException("No point " + pointId));
        return read(pointId, component, traces.add(point, csv).sha256(), Grade.LOGGED, Optional.of(instrument));
    }

    public CaseFixture outdoor(String point, String typed) {
        return read(point, "outdoor", typed);
    }

    public CaseFixture indoor(String point, String typed) {
        return read(point, "indoor", typed);
    }

    /** Reads a line of the part told of the indoor unit: its line set, drain run, ducts or vent. */
    public CaseFixture of(Subject.Kind kind, String point, String typed) {
        return read(point, kind.key() + "-indoor", typed);
    }

    /** Reads of its line set. */
    public CaseFixture lines(String point, String typed) {
        return of(Subject.Kind.LINE_SET, point, typed);
    }

    /** One more part. */
    public CaseFixture part(String id, Subject.Kind kind, String... joins) {
        added.add(new Subject(id, kind, id, List.of(joins)));
        return this;
    }

    /** What a requirement comes to for a subject, by its key. */
    public Verdict verdict(String key) {
        return find(key).verdict();
    }

    /** By its key, {@code requirement@subject}. */
    public Judgement find(String key) {
        return judgements().stream()
                .filter(j -> j.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No judgement " + key));
    }

    /** Reads and judges from here on at a visit of this stage. */
    public CaseFixture at(Stage visit) {
        stage = visit;
        return this;
    }

    public CaseFixture replacing() {
        replacement = true;
        return this;
    }

    public CaseFixture toolcase(Instrument... instruments) {
        toolcase = new Toolcase(List.of(instruments));
        return this;
    }

    public CaseFixture known(Refrigerants others) {
        refrigerants = others;
        return this;
    }

    public CaseFixture drawn(SitePlan site) {
        plan = Optional.of(site);
        return this;
    }

    public CaseFixture sheets(DataSheet... own) {
        sheets = DataSheets.of(List.of(own));
        return this;
    }

    public CaseFixture unit(Component another) {
        components.add(another);
        return this;
    }

    public Case facts() {
        return new Case(
                new Site("Lido", elevation),
                components,
                sheets,
                LocalDate.of(2026, 9, 1),
                stage,
                replacement,
                toolcase,
                plan,
                added,
                traces,
                refrigerants);
    }

    public Evidence evidence() {
        return Evidence.of(readings);
    }

    public List<Judgement> judgements() {
        return Walk.judge().judge(facts(), evidence(), rules);
    }

    /** The judgement of a requirement for the first unit it speaks of. */
    public Judgement judge(String requirement) {
        return judgements().stream()
                .filter(j -> j.about().id().equals(requirement))
                .findFirst()
                .orElseThrow();
    }

    public Judgement judgeIndoor(String requirement) {
        return judgements().stream()
                .filter(j -> j.key().equals(requirement + "@indoor"))
                .findFirst()
                .orElseThrow();
    }
}
