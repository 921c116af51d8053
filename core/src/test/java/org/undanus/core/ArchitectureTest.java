package org.undanus.core;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.Collection;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

/** Arrows point down only. */
class ArchitectureTest {
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.undanus.core");

    @Test
    void layersPointDown() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("simulated")
                .definedBy("..core.simulated..")
                .layer("calculators")
                .definedBy("..core.calculator..")
                .layer("audit")
                .definedBy("..core.audit..")
                .layer("station")
                .definedBy("..core.station..")
                .layer("derived")
                .definedBy("org.undanus.core.derived")
                .layer("plan")
                .definedBy("..core.plan..")
                .layer("drawing")
                .definedBy("..core.drawing..")
                .layer("visit")
                .definedBy("..core.visit..")
                .layer("notation")
                .definedBy("..core.derived.notation..")
                .layer("judgement")
                .definedBy("..core.judgement..")
                .layer("geometry")
                .definedBy("..core.geometry..")
                .layer("rules")
                .definedBy("..core.rules..")
                .layer("installation")
                .definedBy("..core.installation..")
                .layer("evidence")
                .definedBy("..core.evidence..")
                .layer("curve")
                .definedBy("..core.curve..")
                .layer("fluid")
                .definedBy("..core.fluid..")
                .layer("quantity")
                .definedBy("..core.quantity..")
                .layer("numeric")
                .definedBy("..core.numeric..")
                .layer("words")
                .definedBy("..core.words..")
                .whereLayer("words")
                .mayNotAccessAnyLayer()
                .whereLayer("quantity")
                .mayOnlyAccessLayers("words")
                .whereLayer("numeric")
                .mayOnlyAccessLayers("quantity")
                .whereLayer("simulated")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("calculators")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("audit")
                .mayOnlyBeAccessedByLayers("simulated")
                .whereLayer("station")
                .mayOnlyBeAccessedByLayers("calculators", "audit", "simulated")
                .whereLayer("derived")
                .mayOnlyBeAccessedByLayers("audit", "station", "plan", "calculators", "simulated")
                .whereLayer("plan")
                .mayOnlyBeAccessedByLayers("audit", "station", "calculators")
                .whereLayer("drawing")
                .mayOnlyBeAccessedByLayers("audit", "station", "derived", "plan", "calculators")
                .whereLayer("visit")
                .mayOnlyBeAccessedByLayers("audit", "station")
                .whereLayer("notation")
                .mayOnlyBeAccessedByLayers("audit", "station", "derived", "plan", "calculators", "simulated")
                .whereLayer("judgement")
                .mayOnlyBeAccessedByLayers("audit", "station", "derived", "visit", "plan", "drawing", "calculators")
                .whereLayer("rules")
                .mayOnlyBeAccessedByLayers("audit", "simulated", "station", "derived", "visit", "plan", "judgement")
                .whereLayer("geometry")
                .mayOnlyBeAccessedByLayers("audit", "station", "calculators")
                .whereLayer("installation")
                .mayOnlyBeAccessedByLayers(
                        "audit",
                        "simulated",
                        "station",
                        "derived",
                        "visit",
                        "plan",
                        "judgement",
                        "geometry",
                        "calculators")
                .whereLayer("evidence")
                .mayOnlyBeAccessedByLayers(
                        "audit",
                        "simulated",
                        "station",
                        "derived",
                        "notation",
                        "visit",
                        "plan",
                        "drawing",
                        "judgement",
                        "rules",
                        "installation",
                        "geometry",
                        "curve")
                .whereLayer("curve")
                .mayOnlyBeAccessedByLayers("audit", "station", "derived", "notation", "calculators", "simulated")
                .whereLayer("fluid")
                .mayOnlyBeAccessedByLayers(
                        "audit", "station", "derived", "curve", "judgement", "installation", "calculators", "simulated")
                .check(CORE);
    }

    /** Everything the judge uses is its input: what is kept for all is made once, and never changes. */
    @Test
    void nothingKeptForAllChanges() {
        assertThat(CORE.stream()
                        .flatMap(each -> each.getFields().stream())
                        .filter(field -> field.getModifiers().contains(JavaModifier.STATIC))
                        .filter(field -> !field.getName().contains("$") && changes(field.reflect())))
                .isEmpty();
    }

    private static boolean changes(Field field) {
        if (!Modifier.isFinal(field.getModifiers())) {
            return true;
        }
        try {
            field.setAccessible(true);
            Object value = field.get(null);
            return (value instanceof Collection || value instanceof Map) && takesMore(value)
                    || value instanceof AtomicReference
                    || value instanceof ThreadLocal;
        } catch (IllegalAccessException e) {
            throw new AssertionError(e);
        }
    }

    private static boolean takesMore(Object value) {
        String kind = value.getClass().getName();
        return !kind.startsWith("java.util.ImmutableCollections")
                && !kind.startsWith("java.util.Collections$Unmodifiable");
    }

    @Test
    void stationsDoNotKnowEachOther() {
        slices().matching("..core.station.(*)..")
                .should()
                .notDependOnEachOther()
                .check(CORE);
    }

    @Test
    void coreKnowsNoFramework() {
        DescribedPredicate<JavaClass> allowed = JavaClass.Predicates.resideInAnyPackage(
                "java..",
                "org.undanus.core..",
                "com.github.benmanes.caffeine..",
                "de.siegmar.fastcsv..",
                "org.hipparchus..",
                "org.locationtech.jts..",
                "org.snakeyaml.engine..");
        ArchRuleDefinition.classes().should().onlyDependOnClassesThat(allowed).check(CORE);
    }

    @Test
    void nothingDependsOnTheLocaleOfTheMachine() {
        ArchRuleDefinition.noClasses()
                .should()
                .callMethod(String.class, "format", String.class, Object[].class)
                .orShould()
                .callMethod(String.class, "formatted", Object[].class)
                .orShould()
                .callMethod(String.class, "toLowerCase")
                .orShould()
                .callMethod(String.class, "toUpperCase")
                .check(CORE);
    }
}
