package org.scholion.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;

/** The core knows no framework, no file and no clock, and its packages depend one way. */
@AnalyzeClasses(packages = "org.scholion.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {
    @ArchTest
    static final ArchRule the_core_is_pure = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "org.hibernate..",
                    "jakarta..",
                    "tools.jackson..",
                    "java.io..",
                    "java.nio.file..",
                    "java.sql..",
                    "java.time..");

    @ArchTest
    static final ArchRule packages_form_no_cycle =
            slices().matching("org.scholion.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule arrows_point_one_way = Architectures.layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("number")
            .definedBy("..core.number..")
            .layer("item")
            .definedBy("..core.item..")
            .layer("answer")
            .definedBy("..core.answer..")
            .layer("text")
            .definedBy("..core.text..")
            .layer("quantity")
            .definedBy("..core.quantity..")
            .layer("reason")
            .definedBy("..core.reason..")
            .layer("score")
            .definedBy("..core.score..")
            .layer("rubric")
            .definedBy("..core.rubric..")
            .layer("total")
            .definedBy("..core.total..")
            .layer("standard")
            .definedBy("..core.standard..")
            .layer("measure")
            .definedBy("..core.measure..")
            .layer("effect")
            .definedBy("..core.effect..")
            .whereLayer("effect")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("measure")
            .mayOnlyBeAccessedByLayers("effect")
            .whereLayer("standard")
            .mayOnlyBeAccessedByLayers("measure", "effect")
            .whereLayer("total")
            .mayOnlyBeAccessedByLayers("standard", "measure", "effect")
            .whereLayer("rubric")
            .mayOnlyBeAccessedByLayers("total", "standard", "measure", "effect")
            .whereLayer("score")
            .mayOnlyBeAccessedByLayers("rubric", "total", "standard", "measure", "effect")
            .whereLayer("text")
            .mayOnlyBeAccessedByLayers("score")
            .whereLayer("quantity")
            .mayOnlyBeAccessedByLayers("score");
}
