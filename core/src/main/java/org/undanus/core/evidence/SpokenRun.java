package org.undanus.core.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/**
 * Several readings said or typed in one go: {@code back 7 in, left 12, pad sound, no salt air}. Finds for each which line
 * is meant, by its title and the other words that people say for it. What two lines could mean, what suits none and what
 * lacks its unit stays with the person, with the reason; nothing is guessed.
 */
public final class SpokenRun {

    /** A line that may be meant: a point of a unit, part or the system, which is called by its title. */
    public record Line(Point point, String component, String subject) {
        PointKey key() {
            return new PointKey(point.id(), component);
        }
    }

    /** @param typed what would be typed on the line, its unit with it */
    public record Placed(Line line, String typed) {}

    /** Words that stay with the person, and why. */
    public record Left(String words, Text why) {}

    /** What was heard, each in the order it was said. */
    public record Heard(List<Placed> placed, List<Left> left) {
        public Heard {
            placed = List.copyOf(placed);
            left = List.copyOf(left);
        }
    }

    /** The longest run taken, in characters. */
    public static final int LONGEST = 2000;

    /** A comma or point between digits is part of a number; a full stop parts only before a new word. */
    private static final Pattern BETWEEN = Pattern.compile("[;\\r\\n]+|,(?!\\d)|(?<!\\d),|\\.\\s+(?=\\p{L})");

    private static final Pattern AND = Pattern.compile("\\s+and\\s+", Pattern.CASE_INSENSITIVE);
    /** What takes the value before back, with the new one after it. */
    private static final Pattern CORRECTION = Pattern.compile(
            "(?:no|sorry|correction|make that|i mean|rather)\\b[\\s:]*(?=[-−+.#½¼¾\\d])", Pattern.CASE_INSENSITIVE);
    /** Words that take the last value back, the new one being said after a pause. */
    private static final Pattern TAKEN_BACK =
            Pattern.compile("no|sorry|no sorry|correction|make that|i mean|rather", Pattern.CASE_INSENSITIVE);

    private static final Pattern OF_ALL = Pattern.compile(
            "(?:all|everything|all readings|readings)?\\s*(?:are |is )?in (?<unit>\\p{L}[\\p{L}²³]*)",
            Pattern.CASE_INSENSITIVE);
    private static final Set<String> SAME = Set.of("same", "ditto", "likewise");
    private static final Pattern WORD = Pattern.compile("\\S+");
    private static final Set<String> NO = Set.of("no", "not", "without", "isnt", "arent", "never");
    private static final Set<String> FILLERS = Set.of(
            "is", "are", "the", "a", "an", "at", "of", "to", "it", "its", "in", "on", "there", "from", "reads", "be",
            "has", "for");
    private static final Pattern FRACTION =
            Pattern.compile("\\band (a half|a quarter|three quarters|an eighth)\\b", Pattern.CASE_INSENSITIVE);
    private static final Map<String, String> SPOKEN_FRACTIONS =
            Map.of("a half", "1/2", "a quarter", "1/4", "three quarters", "3/4", "an eighth", "1/8");
    private static final Map<String, String> SPOKEN_NUMBERS = spokenNumbers();

    private static Map<String, String> spokenNumbers() {
        List<String> words = List.of(
                "zero",
                "one",
                "two",
                "three",
                "four",
                "five",
                "six",
                "seven",
                "eight",
                "nine",
                "ten",
                "eleven",
                "twelve",
                "thirteen",
                "fourteen",
                "fifteen",
                "sixteen",
                "seventeen",
                "eighteen",
                "nineteen",
                "twenty");
        return IntStream.range(0, words.size())
                .boxed()
                .collect(Collectors.toUnmodifiableMap(words::get, String::valueOf));
    }

    /** A line that a piece may mean. */
    private record Candidate(Line line, String typed, boolean exact, int unsaid, boolean suits) {
        private Candidate thatSuits(boolean suiting) {
            return new Candidate(line, typed, exact, unsaid, suiting);
        }
    }

    private final List<Line> lines;
    private final Map<InstrumentKind, List<String>> held;
    private final Map<InstrumentKind, List<String>> said = new EnumMap<>(InstrumentKind.class);
    /** Units that stand somewhere in the run, where of their instruments no other does. */
    private final Map<InstrumentKind, Set<String>> saidLate = new EnumMap<>(InstrumentKind.class);

    private String component;
    /** What was placed last of each dimension. */
    private final Map<Dimension, String> lastOf = new EnumMap<>(Dimension.class);

    private SpokenRun(List<Line> lines, String component, Map<InstrumentKind, List<String>> held) {
        this.lines = lines;
        this.component = component;
        this.held = held;
    }

    /**
     * @param text at most {@link #LONGEST} characters
     * @param component the unit or part in hand, whose lines are meant where several could be; may be empty
     * @param held symbols of units said before, by the kind of instrument they were read on
     */
    public static Heard hear(String text, List<Line> lines, String component, Map<InstrumentKind, List<String>> held) {
        if (text.length() > LONGEST) {
            return new Heard(List.of(), List.of(new Left(text, Text.of("Say it in shorter runs."))));
        }
        return new SpokenRun(lines, component, held).heard(text);
    }

    private Heard heard(String text) {
        List<String> parts = Stream.of(BETWEEN.split(FRACTION.matcher(text)
                        .replaceAll(found -> SPOKEN_FRACTIONS.get(found.group(1).toLowerCase(Locale.ROOT)))))
                .map(String::strip)
                .filter(part -> !part.isEmpty())
                .toList();
        unitsSaidLate(parts);
        List<Placed> placed = new ArrayList<>();
        List<Left> left = new ArrayList<>();
        boolean corrects = false;
        for (String part : parts) {
            if (corrects && bareValue(words(part)) || CORRECTION.matcher(part).lookingAt() && !placed.isEmpty()) {
                correct(part, placed, left);
                corrects = false;
                continue;
            }
            corrects = !placed.isEmpty() && TAKEN_BACK.matcher(part).matches();
            if (!corrects && unitOfAll(part).isEmpty()) {
                pieces(part, placed, left);
            }
        }
        return new Heard(placed, left);
    }

    /** {@code left and right 12 in}: what is named without a value has that of what follows. */
    private void pieces(String part, List<Placed> placed, List<Left> left) {
        List<String> alike = new ArrayList<>();
        for (String piece : AND.split(part)) {
            List<String> words = afterSubject(words(piece.strip()));
            if (words.isEmpty()) {
                continue;
            }
            if (words.stream().noneMatch(SpokenRun::startsNumber) && namesAQuantity(words)) {
                alike.add(piece.strip());
                continue;
            }
            int before = placed.size();
            hear(piece.strip(), words, placed, left);
            if (placed.size() > before) {
                Placed last = placed.get(placed.size() - 1);
                for (String name : alike) {
                    String said = name + " " + last.typed();
                    hear(said, words(said), placed, left);
                }
                alike.clear();
            }
        }
        alike.forEach(name -> hear(name, words(name), placed, left));
    }

    private boolean namesAQuantity(List<String> words) {
        return lines.stream()
                .filter(line -> line.point().kind() == Point.Kind.QUANTITY)
                .anyMatch(line -> named(line, words, "").isPresent());
    }

    /** {@code all in inches}: the unit of every bare number of the run. */
    private Optional<String> unitOfAll(String part) {
        Matcher all = OF_ALL.matcher(part);
        return all.matches() ? Optional.of(all.group("unit")) : Optional.empty();
    }

    /**
     * A unit that is said once is that of the bare numbers before it too, where no other is said of the same kind of instrument:
     * {@code back 7, left 12, right 14 inches}.
     */
    private void unitsSaidLate(List<String> parts) {
        String before = component;
        for (String part : parts) {
            unitOfAll(part).ifPresent(unit -> lines.stream()
                    .filter(line -> line.point().kind() == Point.Kind.QUANTITY)
                    .forEach(line -> FieldUnit.named(line.point().dimension().orElseThrow(), unit)
                            .ifPresent(known -> ofAll(line.point(), known.symbol()))));
            for (String piece : AND.split(part)) {
                List<String> words = afterSubject(words(piece.strip()));
                List<Candidate> best = words.isEmpty()
                        ? List.of()
                        : best(lines.stream()
                                .flatMap(line -> candidate(line, words).stream())
                                .toList());
                if (best.size() == 1 && best.get(0).line.point().kind() == Point.Kind.QUANTITY) {
                    Point point = best.get(0).line.point();
                    unitOf(point, best.get(0).typed).ifPresent(unit -> late(point, unit));
                }
            }
        }
        saidLate.values().removeIf(units -> units.size() != 1);
        component = before;
    }

    private void ofAll(Point point, String unit) {
        if (point.units().contains(unit)) {
            said.computeIfAbsent(point.instrument(), any -> new ArrayList<>()).add(unit);
        }
    }

    private void late(Point point, String unit) {
        if (point.units().contains(unit)) {
            saidLate.computeIfAbsent(point.instrument(), any -> new LinkedHashSet<>())
                    .add(unit);
        }
    }

    private static Optional<String> unitOf(Point point, String typed) {
        try {
            return Optional.of(
                    FieldNotation.parse(typed, point.dimension().orElseThrow(), point::plausible, point.units())
                            .unit());
        } catch (IllegalArgumentException bare) {
            return Optional.empty();
        }
    }

    private static boolean bareValue(List<String> words) {
        return !words.isEmpty() && startsNumber(words.get(0));
    }

    /** {@code no, 14}: what was said last is another value. */
    private void correct(String part, List<Placed> placed, List<Left> left) {
        Placed last = placed.get(placed.size() - 1);
        String value = CORRECTION.matcher(part).replaceFirst("").strip();
        Optional<String> unit = unitOf(last.line.point(), last.typed);
        String typed = String.join(" ", words(value));
        String full = Entry.completed(
                        last.line.point(), typed, unit.map(List::of).orElse(List.of()))
                .orElseGet(() -> completed(last.line, typed));
        Optional<Text> unsuitable = last.line.point().kind() == Point.Kind.QUANTITY
                ? unsuitable(last.line.point(), full)
                : Optional.of(Text.of("say it again as a whole."));
        if (unsuitable.isPresent()) {
            left.add(new Left(part, Text.of("{line}: {why}", last.line.point().title(), unsuitable.get())));
        } else {
            placed.set(placed.size() - 1, new Placed(last.line, full));
        }
    }

    /** The words after the name of a unit or part, which what follows is of. */
    private List<String> afterSubject(List<String> words) {
        Optional<Line> named = lines.stream()
                .filter(line -> begins(words, words(line.subject())))
                .max(Comparator.comparing(line -> line.subject().length()));
        named.ifPresent(line -> component = line.component());
        return named.map(line -> words.subList(words(line.subject()).size(), words.size()))
                .orElse(words);
    }

    private static boolean begins(List<String> words, List<String> start) {
        return !start.isEmpty()
                && words.size() >= start.size()
                && IntStream.range(0, start.size())
                        .allMatch(i -> plain(words.get(i)).equals(plain(start.get(i))));
    }

    private void hear(String piece, List<String> words, List<Placed> placed, List<Left> left) {
        List<Candidate> all =
                lines.stream().flatMap(line -> candidate(line, words).stream()).toList();
        List<Candidate> best = best(all);
        if (best.isEmpty()) {
            left.add(new Left(piece, Text.of("No line here is called so.")));
        } else if (best.size() > 1) {
            left.add(new Left(piece, Text.of("This could be {titles}.", titles(best))));
        } else {
            place(piece, best.get(0), placed, left);
        }
    }

    private void place(String piece, Candidate candidate, List<Placed> placed, List<Left> left) {
        Line line = candidate.line;
        String typed = completed(line, candidate.typed);
        Optional<Text> unsuitable = unsuitable(line.point(), typed);
        if (placed.stream().anyMatch(before -> before.line.key().equals(line.key()))) {
            left.add(new Left(
                    piece, Text.of("{line} has been said already.", line.point().title())));
        } else if (unsuitable.isPresent()) {
            left.add(new Left(piece, Text.of("{line}: {why}", line.point().title(), unsuitable.get())));
        } else {
            component = line.component().equals(PointKey.SYSTEM) ? component : line.component();
            remember(line, typed);
            placed.add(new Placed(line, typed));
        }
    }

    private static Text titles(List<Candidate> several) {
        boolean samePoint = several.stream().map(c -> c.line.point()).distinct().count() == 1;
        return Text.any(several.stream()
                .map(c -> samePoint
                        ? Text.of("{line} of {unit}", c.line.point().title(), c.line.subject())
                        : c.line.point().title())
                .distinct()
                .toList());
    }

    /** Those that say most exactly what was said; of them those of the unit in hand, where any is. */
    private List<Candidate> best(List<Candidate> all) {
        Comparator<Candidate> closest = Comparator.comparing((Candidate c) -> !c.suits)
                .thenComparing(c -> !inHand(c.line))
                .thenComparing(c -> !c.exact)
                .thenComparing(Candidate::unsaid);
        Optional<Candidate> first = all.stream().min(closest);
        return all.stream()
                .filter(candidate -> closest.compare(candidate, first.orElseThrow()) == 0)
                .toList();
    }

    private boolean inHand(Line line) {
        return line.component().equals(component);
    }

    private Optional<Candidate> candidate(Line line, List<String> words) {
        return switch (line.point().kind()) {
            case QUANTITY, MONTH -> withValue(line, words);
            case YES_NO -> answered(line, words);
            case CHOICE -> chosen(line, words);
            case TEXT, CURVE, LIST -> Optional.empty();
        };
    }

    /** The value stands after the words that name the line, or before them; it may be that of the line before. */
    private Optional<Candidate> withValue(Line line, List<String> words) {
        List<String> name =
                words.stream().filter(word -> !SAME.contains(plain(word))).toList();
        if (name.size() < words.size()) {
            return line.point()
                    .dimension()
                    .map(lastOf::get)
                    .flatMap(typed -> parted(line, name, List.of(typed.split(" "))));
        }
        int first = IntStream.range(0, words.size())
                .filter(i -> startsNumber(words.get(i)))
                .findFirst()
                .orElse(words.size());
        Stream<Optional<Candidate>> splits;
        if (first == 0) {
            splits = IntStream.range(1, words.size())
                    .map(i -> words.size() - i)
                    .mapToObj(end -> parted(line, words.subList(end, words.size()), words.subList(0, end)));
        } else if (first < words.size()) {
            splits = Stream.of(parted(line, words.subList(0, first), words.subList(first, words.size())));
        } else {
            splits = IntStream.range(1, words.size())
                    .map(i -> words.size() - i)
                    .mapToObj(end -> parted(line, words.subList(0, end), words.subList(end, words.size())));
        }
        return splits.flatMap(Optional::stream).min(Comparator.comparing(candidate -> !candidate.suits));
    }

    private Optional<Candidate> parted(Line line, List<String> name, List<String> value) {
        String typed = String.join(" ", value);
        return named(line, name, typed)
                .map(candidate -> candidate.thatSuits(
                        unsuitable(line.point(), completed(line, typed)).isEmpty()));
    }

    private static boolean startsNumber(String word) {
        char first = word.charAt(0);
        return Character.isDigit(first) || word.length() > 1 && "-−+.#½¼¾".indexOf(first) >= 0;
    }

    /** Yes is said by naming it, no by a word of denial more or fewer than the title has. */
    private Optional<Candidate> answered(Line line, List<String> words) {
        List<String> name = new ArrayList<>(words);
        boolean yes = true;
        String last = plain(name.get(name.size() - 1));
        if (name.size() > 1 && (last.equals("yes") || last.equals("no"))) {
            yes = last.equals("yes");
            name.remove(name.size() - 1);
        } else {
            boolean denied = name.stream().map(SpokenRun::plain).anyMatch(NO::contains);
            boolean titled =
                    words(line.point().title()).stream().map(SpokenRun::plain).anyMatch(NO::contains);
            yes = denied == titled;
        }
        name.removeIf(word -> NO.contains(plain(word)));
        return named(line, name, yes ? "yes" : "no");
    }

    /** One of the options, after the words that name the line or alone. */
    private Optional<Candidate> chosen(Line line, List<String> words) {
        for (Option option : line.point().options()) {
            List<String> wanted = words(option.words());
            int start = words.size() - wanted.size();
            if (start >= 0
                    && String.join(" ", words.subList(start, words.size())).equalsIgnoreCase(option.words())) {
                return start == 0
                        ? Optional.of(new Candidate(line, option.words(), false, 0, true))
                                .filter(alone -> !names(words))
                        : named(line, words.subList(0, start), option.words());
            }
        }
        return Optional.empty();
    }

    /** Whether the words could name a line: then they are no answer by themselves. */
    private boolean names(List<String> words) {
        return lines.stream().anyMatch(line -> named(line, words, "").isPresent()) || startsNumber(words.get(0));
    }

    private static Optional<Candidate> named(Line line, Collection<String> words, String typed) {
        Set<String> name = meaning(words);
        if (name.isEmpty()) {
            return Optional.empty();
        }
        return Stream.concat(Stream.of(line.point().title()), line.point().aliases().stream())
                .map(called -> meaning(words(called)))
                .filter(called -> called.containsAll(name))
                .map(called ->
                        new Candidate(line, typed, called.size() == name.size(), called.size() - name.size(), true))
                .min(Comparator.comparing(Candidate::unsaid));
    }

    /**
     * With the unit it lacks, where one was said before in this run; else with the one said later or the one the instrument is read
     * in, where these do not differ: nobody but the person knows which was meant.
     */
    private String completed(Line line, String typed) {
        Point point = line.point();
        Optional<String> before = Entry.completed(point, typed, said.getOrDefault(point.instrument(), List.of()));
        if (before.isPresent()) {
            return before.get();
        }
        Optional<String> late =
                Entry.completed(point, typed, List.copyOf(saidLate.getOrDefault(point.instrument(), Set.of())));
        Optional<String> usual = Entry.completed(point, typed, held.getOrDefault(point.instrument(), List.of()));
        return late.isPresent() && usual.isPresent() && !late.equals(usual)
                ? typed
                : late.or(() -> usual).orElse(typed);
    }

    private void remember(Line line, String typed) {
        if (line.point().kind() == Point.Kind.QUANTITY) {
            String unit = FieldNotation.parse(typed, line.point().dimension().orElseThrow(), line.point()::plausible)
                    .unit();
            List<String> units = said.computeIfAbsent(line.point().instrument(), any -> new ArrayList<>());
            units.add(0, unit);
            lastOf.put(line.point().dimension().orElseThrow(), typed);
        }
    }

    private static Optional<Text> unsuitable(Point point, String typed) {
        try {
            Entry.Understood read = Entry.understand(point, typed, Accuracy.EXACT);
            Entry.requireSaidFromWhere(point, typed, read);
            return read.plausible()
                    ? Optional.empty()
                    : Optional.of(Text.of("far from what is usual. Type it on its line."));
        } catch (IllegalArgumentException e) {
            return Optional.of(RefusedException.said(e));
        }
    }

    private static List<String> words(String text) {
        return WORD.matcher(text)
                .results()
                .map(found -> found.group())
                .map(word -> SPOKEN_NUMBERS.getOrDefault(word.toLowerCase(Locale.ROOT), word))
                .toList();
    }

    /** The words that tell lines apart, whatever their case, their plural and the marks about them. */
    private static Set<String> meaning(Collection<String> words) {
        return words.stream()
                .flatMap(word -> Arrays.stream(word.split("[/-]")))
                .map(SpokenRun::plain)
                .filter(word -> !word.isEmpty() && !FILLERS.contains(word))
                .map(word -> word.length() > 3 && word.endsWith("s") ? word.substring(0, word.length() - 1) : word)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static String plain(String word) {
        return word.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
