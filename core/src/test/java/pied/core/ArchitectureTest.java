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
  static final ArchRule NO_CYCLES = slices().matching("pied.core.(*)..").should().beFreeOfCycles();

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
