package ungula.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.apache.ibatis.annotations.Mapper;
import org.testng.annotations.Test;

/** The layout of the server, kept by the build. */
public class ArchitectureTest {

  private final JavaClasses server =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("ungula.server");

  @Test
  public void onlyMappersSpeakSql() {
    noClasses()
        .that()
        .areNotAnnotatedWith(Mapper.class)
        .and()
        .doNotHaveSimpleName("Ungula")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("org.apache.ibatis..", "java.sql..")
        .check(server);
    classes().that().haveSimpleNameEndingWith("Mapper").should().bePackagePrivate().check(server);
  }

  @Test
  public void conceptsFormNoCycle() {
    slices().matching("ungula.server.(*)..").should().beFreeOfCycles().check(server);
  }
}
