package fabulum.server;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noConstructors;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noFields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Condition;
import org.springframework.context.annotation.Conditional;
import org.springframework.context.annotation.Profile;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.RestController;

/** The shape of the server, held by the build. */
@AnalyzeClasses(packages = "fabulum.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ShapeTest {

  @Test
  void modulesUseOnlyWhatTheyDeclare() {
    ApplicationModules.of(FabulumApplication.class).verify();
  }

  @ArchTest
  static void aPackageHasThirtyClassesAtMost(JavaClasses classes) {
    Map<String, Long> sizes =
        classes.stream()
            .filter(one -> one.isTopLevelClass() && !one.getSimpleName().equals("package-info"))
            .collect(Collectors.groupingBy(JavaClass::getPackageName, Collectors.counting()));
    assertThat(sizes).allSatisfy((name, size) -> assertThat(size).isLessThanOrEqualTo(30));
  }

  /** Of all modules; what comes before the class is not counted. */
  @Test
  void aClassHasThreeHundredLinesAtMost() throws IOException {
    Pattern begin =
        Pattern.compile(
            "(public |final |abstract |sealed |non-sealed )*(class|record|interface|enum) .*");
    for (String module : List.of("core", "meaning", "server", "standins", "demo")) {
      try (Stream<Path> all = Files.walk(Path.of("..", module, "src", "main", "java"))) {
        for (Path file : all.filter(one -> one.toString().endsWith(".java")).toList()) {
          assertThat(
                  Files.readAllLines(file).stream()
                      .dropWhile(line -> !begin.matcher(line).matches()))
              .as(file.toString())
              .hasSizeLessThanOrEqualTo(300);
        }
      }
    }
  }

  @ArchTest
  static final ArchRule onlyThePlatformReadsTheWallClock =
      noClasses()
          .that()
          .resideOutsideOfPackage("fabulum.server.platform")
          .should()
          .callMethod(Instant.class, "now")
          .orShould()
          .callMethod(System.class, "currentTimeMillis")
          .orShould()
          .callMethod(Clock.class, "systemUTC")
          .orShould()
          .callMethod(Clock.class, "systemDefaultZone");

  @ArchTest
  static final ArchRule theWebNeverTouchesTheStore =
      noClasses()
          .that()
          .resideInAPackage("..web..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("..store..");

  @ArchTest
  static final ArchRule theStoreNeverTouchesTheWeb =
      noClasses()
          .that()
          .resideInAPackage("..store..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("..web..");

  @ArchTest
  static final ArchRule controllersStandInWeb =
      classes()
          .that()
          .areAnnotatedWith(RestController.class)
          .should()
          .resideInAPackage("..web..")
          .andShould()
          .bePackagePrivate();

  @ArchTest
  static final ArchRule mappersStandInStore =
      classes().that().areAnnotatedWith(Mapper.class).should().resideInAPackage("..store..");

  @ArchTest
  static final ArchRule sqlStandsInXml =
      noMethods()
          .should()
          .beAnnotatedWith(Select.class)
          .orShould()
          .beAnnotatedWith(Insert.class)
          .orShould()
          .beAnnotatedWith(Update.class)
          .orShould()
          .beAnnotatedWith(Delete.class);

  @ArchTest
  static final ArchRule transactionsBeginAtTheFacade =
      noMethods()
          .that()
          .areDeclaredInClassesThat()
          .resideInAPackage("..web..")
          .should()
          .beAnnotatedWith(Transactional.class);

  @ArchTest
  static final ArchRule rowsStayInTheStoreAndItsModule =
      noClasses()
          .that()
          .resideInAPackage("..web..")
          .should()
          .dependOnClassesThat()
          .haveSimpleNameEndingWith("Row");

  /**
   * So the programs of a test run can take over the beans of the first one, however they are set.
   */
  @ArchTest
  static final ArchRule whichBeansThereAreDependsOnNoSetting =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.springframework.boot.autoconfigure.condition..")
          .orShould()
          .dependOnClassesThat()
          .areAssignableTo(Condition.class)
          .orShould()
          .dependOnClassesThat()
          .belongToAnyOf(Conditional.class, Profile.class);

  @ArchTest
  static final ArchRule nothingIsInjectedIntoFields =
      noFields().should().beAnnotatedWith(Autowired.class);

  /** A façade that needs more does several jobs. */
  private static final int MOST_COLLABORATORS = 7;

  @ArchTest
  static final ArchRule facadesHaveFewCollaborators =
      noConstructors()
          .that()
          .areDeclaredInClassesThat()
          .areAnnotatedWith(Service.class)
          .should()
          .haveRawParameterTypes(
              describe(
                  "more than " + MOST_COLLABORATORS, types -> types.size() > MOST_COLLABORATORS));
}
