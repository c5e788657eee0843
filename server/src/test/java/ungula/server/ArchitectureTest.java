package ungula.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.testng.Assert.assertEquals;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.springframework.transaction.annotation.Transactional;
import org.testng.annotations.Test;

/** The layout of the server, kept by the build. */
public class ArchitectureTest {

  private final JavaClasses server =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("ungula.server");

  /**
   * And what looks into a folder that no server works on; rows of any table go through
   * JdbcTemplate.
   */
  @Test
  public void onlyMappersSpeakSql() {
    noClasses()
        .that()
        .areNotAnnotatedWith(Mapper.class)
        .and()
        .doNotHaveSimpleName("Ungula")
        .and()
        .doNotHaveFullyQualifiedName("ungula.server.archive.Held")
        .and()
        .areNotAssignableTo(BaseJavaMigration.class)
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("org.apache.ibatis..", "java.sql..")
        .check(server);
    classes().that().haveSimpleNameEndingWith("Mapper").should().bePackagePrivate().check(server);
  }

  /** A call within a class passes the transaction by. */
  @Test
  public void noMethodCallsATransactionalOneOfItsOwnClass() {
    List<String> calls =
        server.stream()
            .flatMap(c -> c.getMethodCallsFromSelf().stream())
            .filter(call -> call.getOriginOwner().equals(call.getTargetOwner()))
            .filter(
                call ->
                    call.getTarget()
                        .resolveMember()
                        .filter(m -> m.isAnnotatedWith(Transactional.class))
                        .isPresent())
            .map(JavaMethodCall::getDescription)
            .toList();
    assertEquals(String.join("\n", calls), "");
  }

  @Test
  public void conceptsFormNoCycle() {
    slices().matching("ungula.server.(*)..").should().beFreeOfCycles().check(server);
  }
}
