package underhand;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;

/** The rooms of the core and the direction between them. */
@AnalyzeClasses(packages = "underhand", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule aRoomUsesOnlyThoseBeforeIt = Architectures.layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("table")
            .definedBy("underhand.table")
            .layer("pitch")
            .definedBy("underhand.pitch")
            .layer("chord")
            .definedBy("underhand.chord")
            .layer("chart")
            .definedBy("underhand.chart")
            .layer("neck")
            .definedBy("underhand.neck")
            .layer("hand")
            .definedBy("underhand.hand")
            .layer("move")
            .definedBy("underhand.move")
            .layer("harmony")
            .definedBy("underhand.harmony")
            .layer("route")
            .definedBy("underhand.route")
            .layer("picking")
            .definedBy("underhand.picking")
            .layer("arrange")
            .definedBy("underhand.arrange")
            .layer("fill")
            .definedBy("underhand.fill")
            .layer("part")
            .definedBy("underhand.part")
            .layer("format")
            .definedBy("underhand.format..")
            .whereLayer("format")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("part")
            .mayOnlyBeAccessedByLayers("format")
            .whereLayer("fill")
            .mayOnlyBeAccessedByLayers("part", "format")
            .whereLayer("arrange")
            .mayOnlyBeAccessedByLayers("fill", "part", "format")
            .whereLayer("picking")
            .mayOnlyBeAccessedByLayers("arrange", "fill", "part", "format")
            .whereLayer("route")
            .mayOnlyBeAccessedByLayers("arrange", "fill", "part", "format")
            .whereLayer("harmony")
            .mayOnlyBeAccessedByLayers("route", "picking", "arrange", "fill", "part", "format")
            .whereLayer("move")
            .mayOnlyBeAccessedByLayers("harmony", "route", "picking", "arrange", "fill", "part", "format")
            .whereLayer("hand")
            .mayOnlyBeAccessedByLayers("move", "harmony", "route", "picking", "arrange", "fill", "part", "format")
            .whereLayer("neck")
            .mayOnlyBeAccessedByLayers(
                    "hand", "move", "harmony", "route", "picking", "arrange", "fill", "part", "format")
            .whereLayer("chart")
            .mayOnlyBeAccessedByLayers(
                    "neck", "hand", "move", "harmony", "route", "picking", "arrange", "fill", "part", "format")
            .whereLayer("chord")
            .mayOnlyBeAccessedByLayers(
                    "chart", "neck", "hand", "move", "harmony", "route", "picking", "arrange", "fill", "part",
                    "format");

    @ArchTest
    static final ArchRule theRouteKnowsNothingOfMusic = noClasses()
            .that()
            .resideInAPackage("underhand.route")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "underhand.pitch..",
                    "underhand.chord..",
                    "underhand.chart..",
                    "underhand.neck..",
                    "underhand.hand..",
                    "underhand.move..",
                    "underhand.harmony..",
                    "underhand.arrange..");

    @ArchTest
    static final ArchRule theCoreHasNoFramework = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..", "javax.persistence..", "com.fasterxml..");

    /** A Turkish machine makes ı of I. */
    @ArchTest
    static final ArchRule lettersAreTheSameEverywhere = noClasses()
            .should()
            .callMethod(String.class, "toLowerCase")
            .orShould()
            .callMethod(String.class, "toUpperCase");
}
