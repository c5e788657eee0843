package ungula.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
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
  public void dependsOnTheJdkAndFewLibrariesOnly() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "ungula.core..",
            "java..",
            "javax.xml..",
            "org.locationtech.jts..",
            "org.apache.commons.csv..",
            "org.apache.fontbox.ttf..",
            "org.apache.pdfbox.io..",
            "org.jspecify.annotations..")
        .check(core);
  }

  @Test
  public void packagesFormNoCycle() {
    slices().matching("ungula.core.(*)..").should().beFreeOfCycles().check(core);
  }

  /** From decisions to advice, each looks only at those before it. */
  @Test
  public void nothingLooksUp() {
    layeredArchitecture()
        .consideringOnlyDependenciesInLayers()
        .layer("choice")
        .definedBy("ungula.core.choice..")
        .layer("workshop")
        .definedBy("ungula.core.workshop..")
        .layer("record")
        .definedBy("ungula.core.record..")
        .layer("plan")
        .definedBy("ungula.core.plan..")
        .layer("step")
        .definedBy("ungula.core.step..")
        .layer("caution")
        .definedBy("ungula.core.caution..")
        .layer("offer")
        .definedBy("ungula.core.offer..")
        .layer("approach")
        .definedBy("ungula.core.approach..")
        .layer("job")
        .definedBy("ungula.core.job..")
        .whereLayer("record")
        .mayOnlyAccessLayers("choice")
        .whereLayer("plan")
        .mayOnlyAccessLayers("choice", "workshop", "record")
        .whereLayer("step")
        .mayOnlyAccessLayers("choice", "workshop", "record", "plan")
        .whereLayer("caution")
        .mayOnlyAccessLayers("choice", "workshop", "record", "plan", "step")
        .whereLayer("offer")
        .mayOnlyAccessLayers("choice", "workshop", "record", "plan", "step", "caution")
        .whereLayer("approach")
        .mayOnlyAccessLayers("choice", "workshop", "record", "plan", "step", "caution", "offer")
        .whereLayer("job")
        .mayOnlyAccessLayers("choice", "workshop", "record", "plan", "step", "caution")
        .check(core);
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
