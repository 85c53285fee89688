package fabulum.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.AccessTarget;
import com.tngtech.archunit.core.domain.JavaAccess;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** The shape of the core, held by the build. */
@AnalyzeClasses(packages = "fabulum.core", importOptions = ImportOption.DoNotIncludeTests.class)
class CoreRulesTest {
  private static final Set<String> HIDDEN_INPUTS =
      Set.of(
          "java.time.Instant.now",
          "java.time.LocalDate.now",
          "java.time.LocalDateTime.now",
          "java.time.ZonedDateTime.now",
          "java.time.ZoneId.systemDefault",
          "java.lang.System.currentTimeMillis",
          "java.lang.System.nanoTime",
          "java.lang.System.getenv",
          "java.lang.System.getProperty",
          "java.lang.Math.random",
          "java.util.UUID.randomUUID");

  @ArchTest
  static final ArchRule usesOnlyWhatThinkingNeeds =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "fabulum.core..",
              "java.lang",
              "java.lang.annotation",
              "java.lang.runtime",
              "java.lang.invoke",
              "java.util",
              "java.util.function",
              "java.util.stream",
              "java.util.regex",
              "java.time..",
              "java.math",
              "java.text",
              "com.google.i18n.phonenumbers..",
              "com.ibm.icu.lang",
              "com.ibm.icu.text",
              "org.jspecify.annotations");

  @ArchTest
  static final ArchRule hasNoHiddenInputs =
      noClasses()
          .should()
          .accessTargetWhere(
              new DescribedPredicate<JavaAccess<?>>("a clock, the environment or chance") {
                @Override
                public boolean test(JavaAccess<?> access) {
                  AccessTarget target = access.getTarget();
                  return HIDDEN_INPUTS.contains(
                      target.getOwner().getFullName() + "." + target.getName());
                }
              })
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.util.Random");

  @ArchTest static final ArchRule fieldsAreFinal = fields().should().beFinal();

  @ArchTest
  static void aPackageHasThirtyClassesAtMost(JavaClasses classes) {
    Map<String, Long> sizes =
        classes.stream()
            .filter(one -> one.isTopLevelClass() && !one.getSimpleName().equals("package-info"))
            .collect(Collectors.groupingBy(JavaClass::getPackageName, Collectors.counting()));
    assertThat(sizes).allSatisfy((name, size) -> assertThat(size).isLessThanOrEqualTo(30));
  }

  @ArchTest
  static final ArchRule packagesHaveNoCycles =
      slices().matching("fabulum.core.(*)..").should().beFreeOfCycles();
}
