package org.undanus.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import org.junit.jupiter.api.Test;

/** Features depend on one another one way only, and the core on none of them. */
class ServerArchitectureTest {
    private static final JavaClasses ALL = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.undanus");

    @Test
    void featuresHaveNoCycles() {
        slices().matching("org.undanus.server.(*)..").should().beFreeOfCycles().check(ALL);
    }

    @Test
    void whatStartsTheServerIsKnownToNoFeature() {
        noClasses()
                .that()
                .resideInAPackage("org.undanus.server.*..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.undanus.server")
                .check(ALL);
    }

    @Test
    void coreKnowsNothingOfTheServer() {
        noClasses()
                .that()
                .resideInAPackage("org.undanus.core..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.undanus.server..")
                .check(ALL);
    }

    @Test
    void serverDoesNotComputeTheJobItself() {
        noClasses()
                .that()
                .resideInAPackage("org.undanus.server..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.undanus.core.fluid..", "org.hipparchus..")
                .check(ALL);
    }

    @Test
    void nothingDependsOnTheLocaleOfTheMachine() {
        noClasses()
                .that()
                .resideInAPackage("org.undanus.server..")
                .should()
                .callMethod(String.class, "format", String.class, Object[].class)
                .orShould()
                .callMethod(String.class, "formatted", Object[].class)
                .orShould()
                .callMethod(String.class, "toLowerCase")
                .orShould()
                .callMethod(String.class, "toUpperCase")
                .check(ALL);
    }

    /** The journal's times and what is due today hang on one clock, handed in; the acted instruments stand outside. */
    @Test
    void nobodyAsksTheMachineForTheTimeOrItsZone() {
        noClasses()
                .that()
                .resideInAPackage("org.undanus..")
                .and()
                .doNotHaveFullyQualifiedName("org.undanus.server.store.Time")
                .and()
                .haveNameNotMatching("org\\.undanus\\.(bench\\..*|server\\.simulated\\.SimulatedInstruments.*)")
                .should()
                .callMethod(Instant.class, "now")
                .orShould()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(LocalDateTime.class, "now")
                .orShould()
                .callMethod(ZonedDateTime.class, "now")
                .orShould()
                .callMethod(ZoneId.class, "systemDefault")
                .check(ALL);
    }
}
