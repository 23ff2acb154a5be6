package org.myrialith.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A screen knows what pages share and the store's door; nobody knows a screen. */
class RoomsTest {
  private static final JavaClasses WEB =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("org.myrialith.web");

  @Test
  void noCircles() {
    slices().matching("org.myrialith.web.(*)..").should().beFreeOfCycles().check(WEB);
  }

  /** Rows and tables are the store's own; pages get projects, plans and uploads from its doors. */
  @Test
  void pagesDoNotReachIntoTheStore() {
    noClasses()
        .that()
        .resideOutsideOfPackage("org.myrialith.web.store")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("jakarta.persistence..", "org.springframework.data..", "java.sql..")
        .check(WEB);
    classes()
        .that()
        .resideInAPackage("org.myrialith.web.store")
        .and()
        .haveSimpleNameEndingWith("Table")
        .should()
        .notBePublic()
        .check(WEB);
  }

  /**
   * What the API answers with are views of its own, so that a new name in the core breaks no
   * client; a remedy's change is the one that is taken over as it is.
   */
  @Test
  void theApiAnswersWithViewsOfItsOwn() {
    List<String> taken =
        WEB.stream()
            .filter(c -> c.getPackageName().equals("org.myrialith.web.api"))
            .filter(c -> c.getSimpleName().endsWith("View"))
            .flatMap(c -> c.getFields().stream())
            .flatMap(field -> field.getAllInvolvedRawTypes().stream())
            .map(JavaClass::getName)
            .filter(name -> name.startsWith("org.myrialith."))
            .filter(name -> !name.startsWith("org.myrialith.web.api."))
            .distinct()
            .toList();
    assertThat(Set.copyOf(taken)).isEqualTo(Set.of("org.myrialith.finding.Change"));
  }
}
