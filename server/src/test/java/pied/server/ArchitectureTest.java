package pied.server;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Packages are rooms of the job; one can be understood without those that come after it. */
@AnalyzeClasses(packages = "pied.server", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule DEPENDENCIES_POINT_ONE_WAY =
      slices().matching("pied.server.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule THE_STORE_KNOWS_NOTHING_OF_WHAT_IT_KEEPS =
      noClasses()
          .that()
          .resideInAPackage("pied.server.store..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "pied.server.space..",
              "pied.server.imports..",
              "pied.server.catalog..",
              "pied.server.supply..",
              "pied.server.live..",
              "pied.core..");

  @ArchTest
  static final ArchRule ONE_ROOM_KNOWS_THE_DATABASE =
      noClasses()
          .that()
          .resideOutsideOfPackages("pied.server.h2..", "pied.server.migration..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.hibernate..", "org.h2..", "java.sql..", "com.zaxxer..");

  @ArchTest
  static final ArchRule NOTHING_BUT_THE_START_KNOWS_WHICH_DATABASE =
      noClasses()
          .that()
          .resideOutsideOfPackages("pied.server.h2..", "pied.server")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("pied.server.h2..");

  @ArchTest
  static final ArchRule MIGRATIONS_KNOW_NOTHING_THAT_GOES_ON =
      noClasses()
          .that()
          .resideInAPackage("pied.server.migration..")
          .should()
          .dependOnClassesThat(
              resideInAPackage("pied..").and(resideOutsideOfPackage("pied.server.migration..")));
}
