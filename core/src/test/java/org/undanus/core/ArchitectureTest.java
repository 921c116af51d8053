package org.undanus.core;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
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
                .layer("station")
                .definedBy("..core.station..")
                .layer("judgement")
                .definedBy("..core.judgement..")
                .layer("rules")
                .definedBy("..core.rules..")
                .layer("installation")
                .definedBy("..core.installation..")
                .layer("evidence")
                .definedBy("..core.evidence..")
                .layer("fluid")
                .definedBy("..core.fluid..")
                .layer("quantity")
                .definedBy("..core.quantity..")
                .whereLayer("station")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("judgement")
                .mayOnlyBeAccessedByLayers("station")
                .whereLayer("rules")
                .mayOnlyBeAccessedByLayers("station", "judgement")
                .whereLayer("installation")
                .mayOnlyBeAccessedByLayers("station", "judgement")
                .whereLayer("evidence")
                .mayOnlyBeAccessedByLayers("station", "judgement", "rules", "installation")
                .whereLayer("fluid")
                .mayOnlyBeAccessedByLayers("station", "judgement", "installation")
                .check(CORE);
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
                "java..", "org.undanus.core..", "org.hipparchus..", "org.snakeyaml.engine..");
        ArchRuleDefinition.classes().should().onlyDependOnClassesThat(allowed).check(CORE);
    }
}
