package org.undanus.core.evidence;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;

/**
 * Something that can be read on a system: a line of the walk. A constant; two are the same where they have the same id.
 */
public final class Point {

    /** How many times wider than plausible the range of possible values is. */
    private static final double WIDER = 100;

    /** What sort of answer a point takes. */
    public enum Kind {
        QUANTITY,
        CHOICE,
        YES_NO,
        TEXT,
        MONTH,
        CURVE,
        LIST
    }

    /**
     * What has to be answered elsewhere for a point to mean anything.
     *
     * @param answers the ids of options, or yes or no, with which it does
     */
    public record Condition(Point on, List<String> answers) {
        public Condition {
            answers = List.copyOf(answers);
        }
    }

    private static final List<Option> YES_OR_NO = List.of(Option.of("yes", "yes"), Option.of("no", "no"));

    private final String id;
    private final Kind kind;
    private final Scope scope;
    private final String title;
    private final String how;
    // what follows is set while a point is being made and never after
    private String caution = "";
    private Optional<Dimension> dimension = Optional.empty();
    private List<Option> options = List.of();
    private InstrumentKind instrument = InstrumentKind.READ_OFF;
    private double least;
    private double most;
    private boolean optional;
    private Stage due = Stage.FINAL;
    private boolean hidden;
    private boolean open;
    private Optional<Condition> condition = Optional.empty();
    private Optional<Point> during = Optional.empty();
    private List<String> aliases = List.of();
    private List<String> units = List.of();
    /** Its example once it was asked for: every page of the walk asks. */
    private String shown;

    private Optional<Notation> notation = Optional.empty();

    private Point(String id, Kind kind, Scope scope, String title, String how) {
        this.id = id;
        this.kind = kind;
        this.scope = scope;
        this.title = title;
        this.how = how;
    }

    private Point changed(Consumer<Point> change) {
        Point other = new Point(id, kind, scope, title, how);
        other.caution = caution;
        other.dimension = dimension;
        other.options = options;
        other.instrument = instrument;
        other.least = least;
        other.most = most;
        other.optional = optional;
        other.due = due;
        other.hidden = hidden;
        other.open = open;
        other.condition = condition;
        other.during = during;
        other.aliases = aliases;
        other.units = units;
        other.notation = notation;
        change.accept(other);
        return other;
    }

    private static Point ranging(
            String id,
            Kind kind,
            Scope scope,
            Dimension dimension,
            String title,
            String how,
            double least,
            double most) {
        return new Point(id, kind, scope, title, how).changed(point -> {
            point.dimension = Optional.of(dimension);
            point.least = least;
            point.most = most;
        });
    }

    /** @param least smallest plausible value in SI */
    public static Point quantity(
            String id, Scope scope, Dimension dimension, String title, String how, double least, double most) {
        return ranging(id, Kind.QUANTITY, scope, dimension, title, how, least, most);
    }

    /** The course of a quantity over time, from a logger. */
    public static Point curve(
            String id, Scope scope, Dimension dimension, String title, String how, double least, double most) {
        return ranging(id, Kind.CURVE, scope, dimension, title, how, least, most);
    }

    public static Point choice(String id, Scope scope, String title, String how, List<Option> options) {
        return new Point(id, Kind.CHOICE, scope, title, how)
                .changed(point -> point.options = Collections.unmodifiableList(options));
    }

    /** A choice whose options the case gives. */
    public static Point openChoice(String id, Scope scope, String title, String how) {
        return new Point(id, Kind.CHOICE, scope, title, how).changed(point -> point.open = true);
    }

    public static Point yesNo(String id, Scope scope, String title, String how) {
        return new Point(id, Kind.YES_NO, scope, title, how).offering(YES_OR_NO);
    }

    public static Point text(String id, Scope scope, String title, String how) {
        return new Point(id, Kind.TEXT, scope, title, how);
    }

    /** A month or week, as stamped on plates. */
    public static Point month(String id, Scope scope, String title, String how) {
        return new Point(id, Kind.MONTH, scope, title, how);
    }

    /** Something with parts, written in a notation of its own. */
    public static Point list(String id, Scope scope, String title, String how, Notation notation) {
        return new Point(id, Kind.LIST, scope, title, how).changed(point -> point.notation = Optional.of(notation));
    }

    public Point with(InstrumentKind usual) {
        return changed(point -> point.instrument = usual);
    }

    public Point withCaution(String words) {
        return changed(point -> point.caution = words);
    }

    public Point asOptional() {
        return changed(point -> point.optional = true);
    }

    /** This point, to be read from a stage on. */
    public Point dueAt(Stage first) {
        return changed(point -> point.due = first);
    }

    /** This point, to be read before walls and covers are closed. */
    public Point hiddenLater() {
        return changed(point -> {
            point.due = Stage.BEFORE_COVER;
            point.hidden = true;
        });
    }

    /**
     * This point, asked only where another of the same unit or of the system has been answered so.
     *
     * @param answers ids of options of that other point, or yes or no
     * @throws IllegalArgumentException if it has no such answer
     */
    public Point onlyWhere(Point on, String... answers) {
        List<String> asked = List.of(answers);
        if (!asked.stream().allMatch(answer -> on.option(answer).isPresent())) {
            throw new IllegalArgumentException(on + " has no answer among " + asked);
        }
        return changed(point -> point.condition = Optional.of(new Condition(on, asked)));
    }

    /** This point, asked only where a choice of the same unit or of the system has come out so. */
    public Point onlyWhere(Point on, Option... answers) {
        return onlyWhere(on, Arrays.stream(answers).map(Option::id).toArray(String[]::new));
    }

    /** This point, of something that holds only for the state in which it was read. */
    public Point during(Point state) {
        return changed(point -> point.during = Optional.of(state));
    }

    /** This point, by other words that people say for it. */
    public Point called(String... words) {
        return changed(point -> point.aliases = List.of(words));
    }

    /** This point, mostly read in other units than what it measures is. */
    public Point readIn(String... symbols) {
        return changed(point -> point.units = List.of(symbols));
    }

    /** Symbols of the units it is mostly read in, to be offered where one was left out; empty for other than quantities. */
    public List<String> units() {
        return units.isEmpty() ? dimension.map(Dimension::usualUnits).orElse(List.of()) : units;
    }

    /** As it may be typed, and usual on this line; empty where that says itself. */
    public String example() {
        if (shown == null) {
            shown = LineExamples.of(id)
                    .or(() -> dimension.map(measured -> measured.examples().get(0)))
                    .or(() -> notation.map(Notation::example))
                    .orElse("");
        }
        return shown;
    }

    /** Stable name, {@code station.point}. */
    public String id() {
        return id;
    }

    public Kind kind() {
        return kind;
    }

    public Scope scope() {
        return scope;
    }

    /** What the line is called. */
    public String title() {
        return title;
    }

    /** Its title among those of all subjects. */
    public Text titled(String subject) {
        return subject.isEmpty() || scope.ofSystem() ? Text.of(title) : Text.of("{line}, {subject}", title, subject);
    }

    /** How to read it. */
    public String how() {
        return how;
    }

    /** What could hurt, empty where nothing does. */
    public String caution() {
        return caution;
    }

    /** Of quantities and curves. */
    public Optional<Dimension> dimension() {
        return dimension;
    }

    /** Of choices and of what is yes or no, in the order shown. */
    public List<Option> options() {
        return options;
    }

    /** Whether its options are for the case to give. */
    public boolean open() {
        return open;
    }

    /** This point with these options. */
    public Point offering(List<Option> others) {
        return changed(point -> point.options = List.copyOf(others));
    }

    /** The option of this id; empty where it has none. */
    public Optional<Option> option(String wanted) {
        return options.stream().filter(option -> option.id().equals(wanted)).findFirst();
    }

    /** An answer by its id as people say it. */
    public String said(String answer) {
        return option(answer).map(Option::words).orElse(answer);
    }

    /** The usual kind. */
    public InstrumentKind instrument() {
        return instrument;
    }

    /** Smallest plausible value in SI; outside, the screen asks once. */
    public double least() {
        return least;
    }

    /** Largest plausible value in SI. */
    public double most() {
        return most;
    }

    /** Whether the station can be complete without it. */
    public boolean optional() {
        return optional;
    }

    /** The first stage at which it has to be read. */
    public Stage due() {
        return due;
    }

    /** Whether it is out of sight once walls and covers are closed. */
    public boolean hidden() {
        return hidden;
    }

    /** Whether nobody can see it any more at this stage; a re-visit may have it opened. */
    public boolean outOfSightAt(Stage stage) {
        return hidden && stage == Stage.FINAL;
    }

    /** Empty where it is always asked. */
    public Optional<Condition> condition() {
        return condition;
    }

    /** The choice that a reading belongs to: once it is another, the reading is of another state. */
    public Optional<Point> during() {
        return during;
    }

    /** Of lists. */
    public Optional<Notation> notation() {
        return notation;
    }

    /** What people say for it besides its title. */
    public List<String> aliases() {
        return aliases;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Point point && point.id.equals(id);
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }

    @Override
    public String toString() {
        return id;
    }

    /** Whether a value is within what is usual; outside, the screen asks once. */
    public boolean plausible(double si) {
        return !measured() || (si >= least && si <= most);
    }

    /**
     * Whether a value can be a reading of this at all. Much wider than plausible, and a size that is never nought or
     * negative stays so. What is not possible is refused, and cannot be confirmed.
     */
    public boolean possible(double si) {
        return !measured() || (si >= lowestPossible() && si <= highestPossible() && (!counted() || whole(si)));
    }

    /** In SI. */
    public double lowestPossible() {
        if (shifted()) {
            return least - WIDER;
        }
        return counted() || least == 0 ? least : least > 0 ? least / WIDER : least * WIDER;
    }

    /** In SI. */
    public double highestPossible() {
        return shifted() ? most + WIDER : Math.max(most, 0) * WIDER;
    }

    /** Things, which come whole. */
    public boolean counted() {
        return dimension.filter(Dimension.COUNT::equals).isPresent();
    }

    /** Whether it is for how long something went on: a clock may run beside it. */
    public boolean timed() {
        return instrument == InstrumentKind.CLOCK
                && dimension.filter(Dimension.DURATION::equals).isPresent();
    }

    private boolean measured() {
        return kind == Kind.QUANTITY || kind == Kind.CURVE;
    }

    private static boolean whole(double si) {
        return si == Math.rint(si);
    }

    /** A scale whose zero means nothing: there, wider is so many kelvin or decibels more, not so many times more. */
    private boolean shifted() {
        return dimension
                .filter(d -> d == Dimension.TEMPERATURE || d == Dimension.SOUND_LEVEL)
                .isPresent();
    }
}
