package pied.server;

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
  static final ArchRule ONLY_THE_LEDGER_WRITES =
      noClasses()
          .that()
          .resideOutsideOfPackages("pied.server.store..", "pied.server.upkeep..")
          .should()
          .dependOnClassesThat()
          .haveFullyQualifiedName("org.hibernate.SessionFactory");
}
