package org.scholion.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;

/** The rooms of the house and which way they depend. */
@AnalyzeClasses(packages = "org.scholion", importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {
    @ArchTest
    static final ArchRule the_core_knows_nobody = noClasses()
            .that()
            .resideInAPackage("org.scholion.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.scholion.formats..", "org.scholion.sheets..", "org.scholion.server..");

    @ArchTest
    static final ArchRule formats_know_only_the_core = noClasses()
            .that()
            .resideInAPackage("org.scholion.formats..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.scholion.sheets..", "org.scholion.server..", "org.springframework..");

    @ArchTest
    static final ArchRule features_form_no_cycle =
            slices().matching("org.scholion.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule formats_form_no_cycle =
            slices().matching("org.scholion.formats.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule entities_never_leave_their_package =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule data_goes_through_hibernate = noClasses()
            .that()
            .resideInAPackage("org.scholion.server..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.springframework.jdbc..");

    /** COPY and LISTEN, and what PostgreSQL says when something is wrong. */
    @ArchTest
    static final ArchRule only_the_platform_knows_the_driver = noClasses()
            .that()
            .resideInAPackage("org.scholion.server..")
            .and()
            .resideOutsideOfPackage("org.scholion.server.platform..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..", "org.postgresql..");

    @ArchTest
    static final ArchRule only_the_demo_is_made_up = noClasses()
            .that()
            .resideOutsideOfPackage("org.scholion.server.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.scholion.server.demo..");
}
