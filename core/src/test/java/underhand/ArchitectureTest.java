package underhand;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.List;

/** The rooms of the core and the direction between them. */
@AnalyzeClasses(packages = "underhand", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    /** The rooms in the order in which a song goes through them. */
    private static final List<String> ROOMS = List.of(
            "work",
            "input",
            "table",
            "pitch",
            "chord",
            "chart",
            "neck",
            "hand",
            "move",
            "harmony",
            "route",
            "picking",
            "settings",
            "repertoire",
            "solve",
            "arrange",
            "fill",
            "part",
            "format");

    @ArchTest
    static void aRoomUsesOnlyThoseBeforeIt(JavaClasses classes) {
        for (int i = 0; i < ROOMS.size() - 1; i++) {
            noClasses()
                    .that()
                    .resideInAPackage(in(ROOMS.get(i)))
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(ROOMS.subList(i + 1, ROOMS.size()).stream()
                            .map(ArchitectureTest::in)
                            .toArray(String[]::new))
                    .check(classes);
        }
    }

    @ArchTest
    static void everyClassIsInARoom(JavaClasses classes) {
        classes()
                .should()
                .resideInAnyPackage(ROOMS.stream().map(ArchitectureTest::in).toArray(String[]::new))
                .check(classes);
    }

    private static String in(String room) {
        return "underhand." + room + "..";
    }

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
                    "underhand.settings..",
                    "underhand.repertoire..",
                    "underhand.solve..",
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
