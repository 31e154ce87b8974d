package underhand.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import underhand.hand.Player;
import underhand.neck.Guitar;
import underhand.server.documents.Document;
import underhand.settings.ArrangementSettings;
import underhand.settings.Performer;

/** The features of the server and how they may lean on each other. */
@AnalyzeClasses(packages = "underhand.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ServerArchitectureTest {

    /** All features, ground floor first: each uses only those before it. */
    private static final List<String> FEATURES = List.of(
            "storage",
            "planning",
            "platform",
            "documents",
            "players",
            "shapes",
            "arrangements",
            "parts",
            "engraving",
            "patterns",
            "tunings",
            "textures",
            "songs",
            "drills",
            "files",
            "backup",
            "about",
            "demo");

    @ArchTest
    static void aFeatureUsesOnlyThoseBeforeIt(JavaClasses classes) {
        for (int i = 0; i < FEATURES.size() - 1; i++) {
            noClasses()
                    .that()
                    .resideInAPackage(in(FEATURES.get(i)))
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(FEATURES.subList(i + 1, FEATURES.size()).stream()
                            .map(ServerArchitectureTest::in)
                            .toArray(String[]::new))
                    .check(classes);
        }
    }

    @ArchTest
    static final ArchRule everyClassIsInAFeature = classes()
            .that()
            .doNotHaveSimpleName("UnderhandApplication")
            .and()
            .doNotHaveSimpleName("package-info")
            .should()
            .resideInAnyPackage(
                    FEATURES.stream().map(ServerArchitectureTest::in).toArray(String[]::new));

    private static String in(String feature) {
        return "underhand.server." + feature + "..";
    }

    @ArchTest
    static final ArchRule entitiesStayInTheirFeature =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule whatHasAVersionAndOneContentIsADocument = classes()
            .that()
            .areAnnotatedWith(Entity.class)
            .and()
            .resideInAnyPackage("..players..", "..patterns..")
            .should()
            .beAssignableTo(Document.class);

    /** Who plays on what is made in one place each, and what holds for them in the core. */
    @ArchTest
    static final ArchRule playersAreMadeInOnePlace = madeOnlyIn(Player.class, "PlayerLimits");

    @ArchTest
    static final ArchRule guitarsAreMadeInOnePlace = madeOnlyIn(Guitar.class, "GuitarBuild");

    @ArchTest
    static final ArchRule performersAreMadeInOnePlace = madeOnlyIn(Performer.class, "PlayerService");

    @ArchTest
    static final ArchRule settingsAreMadeByTheCore = madeOnlyIn(ArrangementSettings.class, "");

    private static ArchRule madeOnlyIn(Class<?> made, String maker) {
        return noClasses()
                .that()
                .doNotHaveSimpleName(maker)
                .should()
                .callConstructorWhere(DescribedPredicate.describe(
                        "makes a " + made.getSimpleName(),
                        call -> call.getTargetOwner().isEquivalentTo(made)));
    }

    /** The description of the API knows what is sent by its simple name alone. */
    @ArchTest
    static void whatIsSentHasANameOfItsOwn(JavaClasses classes) {
        Map<String, Long> named = classes.stream()
                .map(JavaClass::getSimpleName)
                .filter(name -> name.endsWith("View") || name.endsWith("Request"))
                .collect(Collectors.groupingBy(name -> name, TreeMap::new, Collectors.counting()));
        named.values().removeIf(count -> count == 1);
        assertEquals(Map.of(), named);
    }
}
