package org.undanus.core.derived;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.derived.TubeRun.Around;
import org.undanus.core.derived.TubeRun.Kind;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.derived.TubeRun.Way;
import org.undanus.core.derived.notation.Lengths;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * Reads a run as fitters say it: {@code 3.2 m out, elbow, up 2.5 m, trap, 6 m along}. What is said of insulation and place
 * ({@code insulated 13 mm}, {@code k 0.036}, {@code bare}, {@code attic}, {@code in sun}) holds for what follows until
 * something else is said.
 */
final class TubeRunNotation implements Notation {
    private static final int MOST_PARTS = 120;
    private static final int MOST_ALIKE = 60;
    private static final double LONGEST = 400;
    private static final double THICKEST = 0.15;
    private static final double BEST_CONDUCTIVITY = 0.01;
    private static final double WORST_CONDUCTIVITY = 0.5;

    private static final Map<String, Kind> FITTINGS = fittings();
    private static final Map<String, Way> WAYS = ways();
    private static final Map<Around, Pattern> PLACES = Map.of(
            Around.INDOORS, words("indoors|inside"),
            Around.ATTIC, words("attic|roof space|crawl space|void"),
            Around.OUTDOORS, words("outdoors|outside"),
            Around.UNDERGROUND, words("underground|buried"));

    private static Map<String, Kind> fittings() {
        Map<String, Kind> fittings = new LinkedHashMap<>();
        fittings.put("inverted trap", Kind.INVERTED_TRAP);
        fittings.put("drip loop", Kind.DRIP_LOOP);
        fittings.put("long elbow", Kind.LONG_ELBOW);
        fittings.put("long radius elbow", Kind.LONG_ELBOW);
        fittings.put("half elbow", Kind.HALF_ELBOW);
        fittings.put("45 elbow", Kind.HALF_ELBOW);
        fittings.put("elbow", Kind.ELBOW);
        fittings.put("bend", Kind.LONG_ELBOW);
        fittings.put("trap", Kind.TRAP);
        fittings.put("coupling", Kind.COUPLING);
        fittings.put("filter drier", Kind.DRIER);
        fittings.put("drier", Kind.DRIER);
        fittings.put("wall", Kind.WALL);
        fittings.put("hole", Kind.WALL);
        fittings.put("vent", Kind.VENT);
        fittings.put("cleanout", Kind.CLEANOUT);
        fittings.put("pump", Kind.PUMP);
        return Collections.unmodifiableMap(fittings);
    }

    private static Map<String, Way> ways() {
        Map<String, Way> ways = new LinkedHashMap<>();
        ways.put("up", Way.UP);
        ways.put("rise", Way.UP);
        ways.put("down", Way.DOWN);
        ways.put("drop", Way.DOWN);
        for (String level : List.of("out", "in", "along", "across", "level", "left", "right")) {
            ways.put(level, Way.LEVEL);
        }
        return Collections.unmodifiableMap(ways);
    }

    private static final String NUMBER_WITH_UNIT =
            "((?:[-−]?\\d[\\d.,/ -]*\\s*(?:millimetres?|metres?|mm|cm|m|inch(?:es)?|in\\b(?!\\s*sun)|ft|feet|foot|['\"′″])\\s*)+)";
    private static final Pattern LENGTH = Pattern.compile(NUMBER_WITH_UNIT);
    private static final Pattern INSULATED = Pattern.compile("insulat(?:ed|ion)\\s*" + NUMBER_WITH_UNIT);
    private static final Pattern FALLING = Pattern.compile(
            "(falling|rising)\\s+(\\d+(?:[.,]\\d+)?\\s*(?:%|mm/m|in/ft)|1\\s*:\\s*\\d+|" + NUMBER_WITH_UNIT + ")");
    private static final Pattern CONDUCTIVITY = Pattern.compile("\\bk\\s*=?\\s*(\\d+(?:[.,]\\d+)?)");
    private static final Pattern BARE = words("bare|uninsulated");
    private static final Pattern SUN = words("(?:in )?(?:the )?sun(?:light)?");
    private static final Pattern SHADE = words("(?:in )?(?:the )?shade|covered");
    private static final Pattern COUNT = Pattern.compile(
            "^\\s*(\\d{1,2})\\s*(?:[×x]\\s*|\\s+(?=(?:inverted|drip|long|half|45|elbow|bend|trap|coupling|sag)))");

    private static Pattern words(String alternatives) {
        return Pattern.compile("\\b(?:" + alternatives + ")\\b");
    }

    /** Of refrigerant lines. */
    static final TubeRunNotation LINES = new TubeRunNotation(
            "1 m down, wall, outdoors 3.2 m out insulated 13 mm, elbow, up 2.5 m, trap, 6 m along",
            List.of("1 m along", "up 1 m", "down 1 m", "elbow", "trap", "drip loop", "wall", "coupling", "coil 1 m"),
            Kind.VENT,
            Kind.CLEANOUT,
            Kind.PUMP);
    /** Of drains. */
    static final TubeRunNotation DRAIN = new TubeRunNotation(
            "trap, vent, 3 m along falling 40 mm, elbow, attic 5 m along falling 1 % insulated 9 mm, down 2 m",
            List.of(
                    "1 m along falling 1 %",
                    "down 1 m", "elbow", "trap", "vent", "cleanout", "pump", "up 1 m", "sag 20 mm"),
            Kind.INVERTED_TRAP,
            Kind.DRIP_LOOP,
            Kind.COUPLING,
            Kind.DRIER);

    private final String example;
    private final List<String> offered;
    private final Set<Kind> unknown;

    /** @param unknown fittings that such a run never has */
    private TubeRunNotation(String example, List<String> offered, Kind... unknown) {
        this.example = example;
        this.offered = offered;
        this.unknown = Set.of(unknown);
    }

    @Override
    public String example() {
        return example;
    }

    @Override
    public List<String> offered(UnitSystem units) {
        return units == UnitSystem.SI
                ? offered
                : offered.stream()
                        .map(part -> part.replace("1 m", "3 ft").replace("20 mm", "3/4 in"))
                        .toList();
    }

    @Override
    public Editing editing() {
        return Editing.PARTS;
    }

    @Override
    public TubeRun read(String typed) {
        List<Part> parts = Notation.parts(typed);
        if (parts.size() > MOST_PARTS) {
            throw new Entry.Unsuitable("These are more than {mostParts} parts: write the run in fewer.", MOST_PARTS);
        }
        Reader reader = new Reader(this);
        for (int i = 0; i < parts.size(); i++) {
            reader.take(i, parts.get(i).text());
        }
        return reader.run();
    }

    /** Takes part after part, with what holds on. */
    private static final class Reader {
        private final TubeRunNotation notation;
        private final List<Piece> pieces = new ArrayList<>();
        private Optional<Double> start = Optional.empty();
        private Optional<Double> insulation = Optional.empty();
        private Optional<Double> conductivity = Optional.empty();
        private Around around = Around.INDOORS;
        private boolean sun;
        private boolean level;
        private boolean back;
        private double net;

        private int part;
        private String written;
        private String rest;

        private Reader(TubeRunNotation notation) {
            this.notation = notation;
        }

        private void take(int number, String text) {
            part = number;
            written = text;
            rest = text.toLowerCase(Locale.ROOT).replace('\u2019', '\'').strip();
            if (rest.startsWith("start")) {
                start = Optional.of(taken(LENGTH, 1)
                        .map(this::metres)
                        .orElseThrow(() -> wrong(
                                "no height is said. Write how high over the ground the lines begin: start 2.4 m")));
                finished();
                return;
            }
            surroundings();
            Optional<String> slope = taken(FALLING, 0);
            int count = taken(COUNT, 1).map(Integer::valueOf).orElse(1);
            if (count < 1 || count > MOST_ALIKE) {
                throw wrong("there are 1 to {mostAlike} alike", MOST_ALIKE);
            }
            Optional<Double> length = taken(LENGTH, 1).map(this::metres);
            length.filter(l -> !(l > 0) || l > LONGEST).ifPresent(l -> {
                throw wrong("a length is more than nothing and at most {longest} m", Math.round(LONGEST));
            });
            piece(count, length, slope.map(by -> rise(by, length.orElse(0.0))).orElse(0.0));
            finished();
        }

        private void surroundings() {
            PLACES.forEach((place, pattern) -> {
                if (found(pattern)) {
                    around = place;
                }
            });
            taken(INSULATED, 1).map(this::metres).ifPresent(thickness -> {
                if (thickness < 0 || thickness > THICKEST) {
                    throw wrong("insulation is 0 to {thickest} mm thick", Math.round(1000 * THICKEST));
                }
                insulation = Optional.of(thickness);
            });
            taken(CONDUCTIVITY, 1)
                    .map(text -> Double.parseDouble(text.replace(',', '.')))
                    .ifPresent(k -> {
                        if (k < BEST_CONDUCTIVITY || k > WORST_CONDUCTIVITY) {
                            throw wrong(
                                    "an insulation's k is {bestConductivity} to {worstConductivity} watts per metre and kelvin",
                                    BEST_CONDUCTIVITY,
                                    WORST_CONDUCTIVITY);
                        }
                        conductivity = Optional.of(k);
                    });
            if (found(BARE)) {
                insulation = Optional.of(0.0);
            }
            if (found(SUN)) {
                sun = true;
            }
            if (found(SHADE)) {
                sun = false;
            }
        }

        private void piece(int count, Optional<Double> length, double rise) {
            Optional<Kind> fitting = fitting();
            if (fitting.isPresent()) {
                if (fitting.get() == Kind.TRAP && start.isPresent() && around != Around.UNDERGROUND) {
                    requireOverGround();
                }
                if (fitting.get() == Kind.WALL) {
                    around = around == Around.INDOORS ? Around.OUTDOORS : around;
                }
                add(fitting.get(), count, 0, Way.LEVEL, 0);
                return;
            }
            boolean coil = found(words("coil(?:ed)?|spare"));
            boolean sag = found(words("sag(?:ging|s)?"));
            Optional<Way> way = way();
            if (length.isEmpty()) {
                throw wrong(
                        "it has neither a length nor a fitting. A fitting is one of {known}; a length is said like up 2.5 m",
                        Text.list(known()));
            }
            if (Math.abs(rise) > length.get()) {
                throw wrong("it cannot rise or fall farther than it is long");
            }
            Kind kind = coil ? Kind.COIL : sag ? Kind.SAG : Kind.STRAIGHT;
            if (kind == Kind.STRAIGHT && way.orElse(Way.LEVEL) == Way.LEVEL) {
                level = true;
                net += (back ? -1 : 1) * count * length.get();
            }
            add(kind, count, length.get(), way.orElse(Way.LEVEL), rise);
        }

        private void requireOverGround() {
            double height = start.orElseThrow()
                    + pieces.stream()
                            .mapToDouble(piece -> piece.count() * piece.lift())
                            .sum();
            if (height < 0) {
                throw wrong(
                        "this trap would lie {height} below ground. Write underground before it if it does",
                        Length.ofMetres(-height));
            }
        }

        private Optional<Kind> fitting() {
            for (Map.Entry<String, Kind> each : FITTINGS.entrySet()) {
                if (!notation.unknown.contains(each.getValue()) && found(words(each.getKey() + "s?"))) {
                    return Optional.of(each.getValue());
                }
            }
            return Optional.empty();
        }

        private List<String> known() {
            return FITTINGS.entrySet().stream()
                    .filter(each -> !notation.unknown.contains(each.getValue()))
                    .map(Map.Entry::getKey)
                    .toList();
        }

        private Optional<Way> way() {
            back = found(words("back"));
            Optional<Way> way = back ? Optional.of(Way.LEVEL) : Optional.empty();
            for (Map.Entry<String, Way> each : WAYS.entrySet()) {
                if (found(words(each.getKey()))) {
                    if (way.filter(w -> w != each.getValue()).isPresent()) {
                        throw wrong("it goes two ways at once. Part it in two with a comma");
                    }
                    way = Optional.of(each.getValue());
                }
            }
            return way;
        }

        private void add(Kind kind, int count, double length, Way way, double rise) {
            pieces.add(new Piece(part, kind, count, length, way, rise, insulation, conductivity, around, sun));
        }

        private double rise(String text, double length) {
            Matcher matcher = FALLING.matcher(text);
            matcher.find();
            String by = matcher.group(2);
            boolean ratio = by.contains("%") || by.contains(":") || by.contains("mm/m") || by.contains("in/ft");
            double height = ratio
                    ? length * Lengths.si(by, Dimension.RATIO, why -> Lengths.wrong(part, written, why))
                    : metres(by);
            return matcher.group(1).equals("rising") ? height : -height;
        }

        private double metres(String text) {
            return Lengths.metres(text, why -> Lengths.wrong(part, written, why));
        }

        private boolean found(Pattern pattern) {
            return taken(pattern, 0).isPresent();
        }

        /** What matches is taken out of the rest. */
        private Optional<String> taken(Pattern pattern, int group) {
            Matcher matcher = pattern.matcher(rest);
            if (!matcher.find()) {
                return Optional.empty();
            }
            String text = matcher.group(group);
            rest = rest.substring(0, matcher.start()) + " " + rest.substring(matcher.end());
            return Optional.of(text.strip());
        }

        private void finished() {
            String left = rest.replaceAll("\\b(?:start|and|then|with|to|the|of|at|run|for)\\b", " ")
                    .strip();
            if (!left.isEmpty()) {
                throw wrong("\"{left}\" is not understood", left.replaceAll("\\s+", " "));
            }
        }

        private Entry.Unsuitable wrong(String why, Object... arguments) {
            return Lengths.wrong(part, written, why, arguments);
        }

        private TubeRun run() {
            TubeRun run = new TubeRun(pieces, start);
            if (run.measured() == 0) {
                throw new Entry.Unsuitable("No length is said. Write for example: " + notation.example);
            }
            if (level && Math.abs(net) < 1e-6 && Math.abs(run.lift()) < 1e-6) {
                throw new Entry.Unsuitable(
                        "This run comes back to where it began: both units would stand in one place. Look for a part that is said twice.");
            }
            return run;
        }
    }
}
