package org.undanus.view;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/** What is shown of a case is plain Java over the core: it can be shown wherever Java runs. */
class ArchitectureTest {
    private static final JavaClasses VIEW = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("org.undanus.view");

    @Test
    void itKnowsTheCoreAlone() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("java..", "org.undanus.core..", "org.undanus.view..")
                .check(VIEW);
    }

    @Test
    void itComputesNothingOfTheJobAndReadsNoClock() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.undanus.core.fluid..", "org.undanus.core.curve..", "org.undanus.core.geometry..")
                .orShould()
                .callMethod(Instant.class, "now")
                .orShould()
                .callMethod(LocalDate.class, "now")
                .check(VIEW);
    }
}
