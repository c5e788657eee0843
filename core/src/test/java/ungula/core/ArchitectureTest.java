package ungula.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.testng.annotations.Test;

/** The layout of the core, kept by the build. */
public class ArchitectureTest {

  private final JavaClasses core =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("ungula.core");

  @Test
  public void dependsOnTheJdkAndPlaneGeometryOnly() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage("ungula.core..", "java..", "javax.xml..", "org.locationtech.jts..")
        .check(core);
  }

  @Test
  public void packagesFormNoCycle() {
    slices().matching("ungula.core.(*)..").should().beFreeOfCycles().check(core);
  }

  @Test
  public void rubberKnowsNoMeshes() {
    classes()
        .that()
        .resideInAPackage("ungula.core.rubber..")
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "ungula.core.rubber..",
            "ungula.core.quantity..",
            "ungula.core.sentence..",
            "ungula.core.table..",
            "java..")
        .check(core);
  }
}
