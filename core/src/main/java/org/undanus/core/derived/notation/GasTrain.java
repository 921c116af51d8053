package org.undanus.core.derived.notation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * What stands in the gas pipe before an appliance, in the direction of flow: {@code pipe, valve, union, connector, drip leg, cabinet,
 * control}.
 *
 * @param parts in that order
 */
public record GasTrain(List<Part> parts) implements Notation.Listing {

    /** What a part is. */
    public enum Part {
        PIPE("pipe"),
        VALVE("valve"),
        UNION("union"),
        CONNECTOR("connector"),
        DRIP_LEG("drip leg"),
        CABINET("cabinet"),
        CONTROL("control");

        private final String title;

        Part(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    public static final Notation NOTATION = new Written();

    public GasTrain {
        parts = List.copyOf(parts);
    }

    /** Where a part stands first, from 0; empty where there is none. */
    private Optional<Integer> place(Part part) {
        int at = parts.indexOf(part);
        return at < 0 ? Optional.empty() : Optional.of(at);
    }

    public boolean has(Part part) {
        return parts.contains(part);
    }

    /** Whether one of these stands after the first of another, wherever else they stand too. */
    public boolean hasAfter(Part first, Part wanted) {
        return place(first)
                .filter(from -> parts.subList(from + 1, parts.size()).contains(wanted))
                .isPresent();
    }

    /** Whether both are there, the first of one before the first of the other. */
    public boolean startsBefore(Part first, Part second) {
        return place(first).flatMap(a -> place(second).filter(b -> a < b)).isPresent();
    }

    /** The parts that meet one of a kind on either side, wherever it stands. */
    public Set<Part> beside(Part part) {
        Set<Part> found = EnumSet.noneOf(Part.class);
        for (int i = 0; i < parts.size(); i++) {
            if (parts.get(i) == part) {
                found.addAll(parts.subList(Math.max(0, i - 1), Math.min(parts.size(), i + 2)));
            }
        }
        found.remove(part);
        return found;
    }

    @Override
    public Text summary() {
        return Text.of("{parts} parts to the control", parts.size());
    }

    private static final class Written implements Notation {
        private static final int MOST = 20;
        private static final Map<String, GasTrain.Part> NAMES = names();

        private static Map<String, GasTrain.Part> names() {
            Map<String, GasTrain.Part> names = new LinkedHashMap<>();
            for (GasTrain.Part part : GasTrain.Part.values()) {
                names.put(part.title, part);
            }
            names.put("shut-off", GasTrain.Part.VALVE);
            names.put("shutoff", GasTrain.Part.VALVE);
            names.put("shut-off valve", GasTrain.Part.VALVE);
            names.put("sediment trap", GasTrain.Part.DRIP_LEG);
            names.put("flexible connector", GasTrain.Part.CONNECTOR);
            names.put("cabinet wall", GasTrain.Part.CABINET);
            names.put("gas valve", GasTrain.Part.CONTROL);
            names.put("rigid pipe", GasTrain.Part.PIPE);
            return Collections.unmodifiableMap(names);
        }

        @Override
        public String example() {
            return "valve, union, connector, drip leg, pipe, cabinet, control";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return List.of("valve", "union", "connector", "drip leg", "pipe", "cabinet", "control");
        }

        @Override
        public Editing editing() {
            return Editing.PARTS;
        }

        @Override
        public GasTrain read(String typed) {
            List<Notation.Part> written = Notation.parts(typed);
            if (written.size() > MOST) {
                throw new Entry.Unsuitable("These are more than {most} parts.", MOST);
            }
            List<GasTrain.Part> parts = new ArrayList<>();
            for (int i = 0; i < written.size(); i++) {
                String text = written.get(i).text();
                GasTrain.Part part = NAMES.get(text.toLowerCase(Locale.ROOT));
                if (part == null) {
                    throw Lengths.wrong(i, text, "it is none of {offered}", Text.list(offered(UnitSystem.SI)));
                }
                parts.add(part);
            }
            return new GasTrain(parts);
        }
    }
}
