package pied.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "pied.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule CORE_IS_PLAIN =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "jakarta..",
              "javax.sql..",
              "java.sql..",
              "java.net..",
              "pied.server..");

  @ArchTest
  static final ArchRule NO_CIRCLES =
      slices().matching("(pied.core..)").as("every room by itself").should().beFreeOfCycles();

  /** A tool is a room of its own: what others need of it is no reason to look into it. */
  @ArchTest
  static final ArchRule NOTHING_BELOW_KNOWS_A_TOOL =
      noClasses()
          .that()
          .resideInAnyPackage(
              "pied.core",
              "pied.core.space..",
              "pied.core.edit..",
              "pied.core.say..",
              "pied.core.point..",
              "pied.core.phrase..",
              "pied.core.tool")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("pied.core.tool.*")
          .orShould()
          .dependOnClassesThat()
          .resideInAPackage("pied.core.register..");

  @ArchTest
  static final ArchRule SOLID_KNOWS_NOTHING_OF_THE_JOB =
      noClasses()
          .that()
          .resideInAPackage("pied.core.solid..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "pied.core.piece..", "pied.core.space..", "pied.core.edit..", "pied.core.catalog..");
}
