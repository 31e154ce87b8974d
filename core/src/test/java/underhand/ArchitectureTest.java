package underhand;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The rooms of the core and the direction between them. */
@AnalyzeClasses(packages = "underhand", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    /** Each capability comes in by one or two doors of its own. */
    private static final int MOST_KNOWN_TO_THE_SERVER = 83;

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
            "texture",
            "harmony",
            "accompany",
            "route",
            "picking",
            "settings",
            "repertoire",
            "desk",
            "neckmap",
            "solve",
            "solo",
            "arrange",
            "fill",
            "part",
            "practice",
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

    /** A package shows a door, not a hall: what is public is used by another package, or is what something public speaks of. */
    @ArchTest
    static void whatIsPublicIsUsedOutside(JavaClasses core) {
        Set<String> ofTheServer = importedByTheServer();
        Set<JavaClass> spokenOf = core.stream()
                .filter(ArchitectureTest::isPublic)
                .flatMap(type -> Stream.concat(
                        type.getMethods().stream()
                                .filter(m -> m.getModifiers().contains(JavaModifier.PUBLIC))
                                .flatMap(m -> Stream.concat(
                                        m.getReturnType().getAllInvolvedRawTypes().stream(),
                                        m.getParameterTypes().stream()
                                                .flatMap(t -> t.getAllInvolvedRawTypes().stream()))),
                        type.getFields().stream()
                                .filter(f -> f.getModifiers().contains(JavaModifier.PUBLIC))
                                .flatMap(f -> f.getType().getAllInvolvedRawTypes().stream())))
                .collect(Collectors.toSet());
        List<String> idle = core.stream()
                .filter(type -> isPublic(type) && !type.isNestedClass() && !spokenOf(type, spokenOf))
                .filter(type -> type.getDirectDependenciesToSelf().stream()
                        .noneMatch(d -> !d.getOriginClass().getPackageName().equals(type.getPackageName())))
                .map(JavaClass::getName)
                .filter(name -> !ofTheServer.contains(name))
                .sorted()
                .toList();
        assertEquals(List.of(), idle);
    }

    private static boolean isPublic(JavaClass type) {
        return type.getModifiers().contains(JavaModifier.PUBLIC);
    }

    /** By another type than itself. */
    private static boolean spokenOf(JavaClass type, Set<JavaClass> spokenOf) {
        return spokenOf.contains(type)
                && type.getDirectDependenciesToSelf().stream()
                        .anyMatch(d -> !d.getOriginClass().equals(type) && isPublic(d.getOriginClass()));
    }

    /** The server goes in by the doors. */
    @Test
    void theServerKnowsFewTypesOfTheCore() {
        assertTrue(
                importedByTheServer().size() <= MOST_KNOWN_TO_THE_SERVER,
                importedByTheServer().toString());
    }

    /** Core types the server's sources import, nested ones counted with what they are nested in. */
    private static Set<String> importedByTheServer() {
        Pattern imported =
                Pattern.compile("^import (?!underhand\\.server)(underhand\\.[a-z.]+\\.[A-Z]\\w*)", Pattern.MULTILINE);
        Set<String> names = new TreeSet<>();
        try (Stream<Path> sources = Files.walk(Path.of("..", "server", "src", "main", "java"))) {
            for (Path source :
                    sources.filter(p -> p.toString().endsWith(".java")).toList()) {
                imported.matcher(Files.readString(source)).results().forEach(found -> names.add(found.group(1)));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return names;
    }
}
