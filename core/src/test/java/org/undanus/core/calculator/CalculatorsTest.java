package org.undanus.core.calculator;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Sheet;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class CalculatorsTest {
    private static final Calculators CALCULATORS = Calculators.of(Refrigerants.SHIPPED);

    private static String answer(String id, String... typed) {
        Computation computation = CALCULATORS.named(id).orElseThrow();
        Map<String, String> inputs =
                new HashMap<>(computation.inputs().stream().collect(Collectors.toMap(Input::id, Input::example)));
        for (int i = 0; i < typed.length; i += 2) {
            inputs.put(typed[i], typed[i + 1]);
        }
        return computation.answer(inputs).stream()
                .map(step -> step.name() + " " + step.value().in(UnitSystem.SI))
                .collect(Collectors.joining("; "));
    }

    @Test
    void everyComputationAnswersItsOwnExamples() {
        assertThat(CALCULATORS.all()).allSatisfy(computation -> {
            assertThat(answer(computation.id())).isNotBlank();
            assertThat(computation.source()).isNotBlank();
        });
        assertThat(CALCULATORS.all()).extracting(Computation::id).doesNotHaveDuplicates();
    }

    @Test
    void answersAreThoseOfTheReferences() {
        assertThat(answer("isolators", "mass", "40 kg", "deflection", "10 mm", "speed", "600 rpm"))
                .contains("Load on each 10 kg")
                .contains("Transmissibility 33 %");
        assertThat(answer("sound", "level", "60 dB; 60 dB", "distance", "10 m; 10 m", "walls", "0"))
                .endsWith("Together 43 dB");
        assertThat(answer("charge", "refrigerant", "R32", "height", "1.8 m", "area", "20 m2"))
                .contains("4599 g");
        assertThat(answer("bundle", "diameters", "20 mm; 20 mm", "slack", "10 %"))
                .contains("Packed 40 mm")
                .contains("44 mm");
        assertThat(answer("passage", "width", "0.5 m", "depth", "0.5 m", "height", "1 m", "opening-width", "0.4 m"))
                .contains("does not go through");
        assertThat(answer("line-contents", "length", "10 m", "precharged", "7 m", "each", "20 g/m"))
                .contains("Inside both tubes 1.15 L")
                .contains("Charge to add 60 g");
        assertThat(answer("flare")).contains("12.8 mm to 13.2 mm").contains("34 N·m to 42 N·m");
        assertThat(answer(
                        "nitrogen-temperature",
                        "pressure",
                        "27 barg",
                        "start",
                        "20 °C",
                        "end",
                        "10 °C",
                        "elevation",
                        "0 m"))
                .as("2.8013 MPa · 283.15/293.15 would be 95.6 kPa less; the real gas some more")
                .contains("Change -102.1 kPa");
        assertThat(answer("smallest-leak", "volume", "2 L", "time", "10 h", "step", "7 kPa"))
                .as("2 L · 2 · √2 · 7 kPa/√12 in 10 h")
                .contains("Smallest leak 0.318 Pa·L/s");
        assertThat(answer("hold-needed", "volume", "2 L", "change", "1 kPa", "leak", "0.1 Pa·L/s"))
                .contains("5 h 33 min");
        assertThat(answer("vacuum-rise", "volume", "2 L", "first", "40 Pa", "last", "100 Pa", "time", "10 min"))
                .endsWith("Leak 0.2 Pa·L/s");
        assertThat(answer("water-in-vacuum", "wall", "-30 °C")).contains("38 Pa");
        // R410A condenses at 44 °C at 2662.35 kPa absolute
        assertThat(answer("saturation-temperature", "pressure", "25.6102 barg", "elevation", "0 m"))
                .endsWith("Vapour condenses at 44 °C");
        assertThat(answer("saturation-pressure", "at", "44 °C", "elevation", "0 m"))
                .contains("Boiling liquid 25.69 barg")
                .endsWith("Condensing vapour 25.61 barg");
        assertThat(answer("subcooling", "pressure", "25.6855 barg", "line", "38 °C", "elevation", "0 m"))
                .endsWith("Subcooling 6 K");
        assertThat(answer("superheat", "pressure", "25.6102 barg", "line", "50 °C", "elevation", "0 m"))
                .endsWith("Superheat 6 K");
        assertThat(answer("target-superheat")).endsWith("7.2 K");
        assertThat(answer("trap", "suction", "250 Pa", "margin", "25 mm"))
                .contains("seal 50 mm")
                .contains("Seal 25 mm");
        assertThat(answer("condensate", "capacity", "3 t")).endsWith("Water, at most 3.8 L/h");
        assertThat(answer("pour", "volume", "1 L", "time", "60 s")).endsWith("60 L/h");
        assertThat(answer("conduit", "wires", "3", "wire", "5 mm", "inside", "20 mm"))
                .endsWith("19 %");
        assertThat(answer("imbalance", "two", "415 V", "three", "385 V")).endsWith("3.8 %");
        assertThat(answer("burner-input", "time", "36 s")).contains("60.37 kW");
        assertThat(answer("air-free", "monoxide", "100 ppm")).endsWith("176 ppm");
        assertThat(answer("combustion-air")).endsWith("141.6 m³");
        assertThat(answer("face-velocity", "flow", "1 m³/s", "width", "1 m", "height", "0.5 m"))
                .endsWith("2 m/s");
        assertThat(answer("duct-leakage", "flow", "100 m³/h")).endsWith("64 m³/h");
        assertThat(answer("line-insulation")).contains("Insulation to ask for 9 mm");
        assertThat(answer(
                        "voltage-drop",
                        "length",
                        "30 m",
                        "size",
                        "4 mm²",
                        "current",
                        "12 A",
                        "temperature",
                        "34.44 °C"))
                .contains("Voltage lost 2.98 V");
        assertThat(answer("run", "length", "10 m", "slope", "1 %", "available", "8 cm"))
                .contains("cannot fall");
    }

    @ParameterizedTest(name = "{0}, {1} = {2}: {3}")
    @CsvSource({
        "bundle, diameters, 20 V, a unit of",
        "bundle, diameters, '', empty",
        "bundle, diameters, 0 mm, wider than nothing",
        "isolators, count, 0, more than nothing",
        "sound, distance, 3 m; 4 m, As many distances",
        "charge, refrigerant, R999, is not one of",
    })
    void whatCannotBeTakenNamesItsInput(String id, String input, String typed, String words) {
        assertThatThrownBy(() -> answer(id, input, typed)).isInstanceOfSatisfying(InputException.class, e -> {
            assertThat(e.input()).isEqualTo(input);
            assertThat(e.getMessage()).contains(words);
        });
    }

    @Test
    void whatCanBeDrawnIsDrawnToScale() {
        Drawing bundle = CALCULATORS
                .named("bundle")
                .orElseThrow()
                .drawing(Map.of("diameters", "20 mm; 20 mm", "slack", "10 %"))
                .orElseThrow();
        assertThat(bundle.spoken().in(UnitSystem.SI)).isEqualTo("2 tubes in a hole of 44 mm");
        assertThat(bundle.elements().stream()
                        .filter(Element.Disc.class::isInstance)
                        .map(element -> ((Element.Disc) element).radius())
                        .map(radius -> Math.round(radius * 1e4)))
                .containsExactlyInAnyOrder(220L, 100L, 100L);
        assertThat(CALCULATORS
                        .named("hole")
                        .orElseThrow()
                        .drawing(Map.of("inner", "2 m", "outer", "2.02 m", "thickness", "0.3 m"))
                        .orElseThrow()
                        .spoken()
                        .in(UnitSystem.SI))
                .isEqualTo("It rises 20 mm over 300 mm");
        assertThat(CALCULATORS
                        .named("base")
                        .orElseThrow()
                        .drawing(Map.of("snow", "500 mm", "margin", "300 mm", "flood", "0 mm", "freeboard", "300 mm"))
                        .orElseThrow()
                        .spoken()
                        .in(UnitSystem.SI))
                .isEqualTo("The base 800 mm over the ground");
        assertThat(CALCULATORS.named("capacity").orElseThrow().drawing(Map.of("capacity", "1 kW", "load", "1 kW")))
                .isEmpty();
    }

    @Test
    void everyFigureIsLaidOutWithItsExamples() {
        for (Computation computation : CALCULATORS.all()) {
            Map<String, String> typed = new HashMap<>();
            computation.inputs().forEach(input -> typed.put(input.id(), input.example()));
            computation.drawing(typed).ifPresent(drawing -> assertThat(
                            Sheet.of(drawing, 420, 280, Wording.english(UnitSystem.US))
                                    .pieces())
                    .as(computation.id())
                    .isNotEmpty());
        }
    }

    @Test
    void nothingToMeasureIsDrawnWithoutIt() {
        Drawing level = CALCULATORS
                .named("hole")
                .orElseThrow()
                .drawing(Map.of("inner", "2 m", "outer", "2 m", "thickness", "0.3 m"))
                .orElseThrow();
        assertThat(Sheet.of(level, 420, 280, Wording.english(UnitSystem.SI)).pieces())
                .isNotEmpty();
        Drawing bare = CALCULATORS
                .named("base")
                .orElseThrow()
                .drawing(Map.of("snow", "0 m", "margin", "0 m", "flood", "0 m", "freeboard", "0 m"))
                .orElseThrow();
        assertThat(Sheet.of(bare, 420, 280, Wording.english(UnitSystem.SI)).pieces())
                .isNotEmpty();
    }
}
