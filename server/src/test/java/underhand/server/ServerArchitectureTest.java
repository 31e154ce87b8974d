package underhand.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import jakarta.persistence.Entity;

/** The features of the server and how they may lean on each other. */
@AnalyzeClasses(packages = "underhand.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ServerArchitectureTest {

    @ArchTest
    static final ArchRule featuresFormNoCircle = SlicesRuleDefinition.slices()
            .matching("underhand.server.(*)..")
            .should()
            .beFreeOfCycles();

    @ArchTest
    static final ArchRule thePlatformKnowsNoFeature = noClasses()
            .that()
            .resideInAPackage("underhand.server.platform..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "underhand.server.songs..", "underhand.server.shapes..", "underhand.server.arrangements..");

    @ArchTest
    static final ArchRule entitiesStayInTheirFeature =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();
}
