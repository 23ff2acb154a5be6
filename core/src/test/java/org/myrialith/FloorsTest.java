package org.myrialith;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** A package uses only packages on lower floors, and nothing of web, storage or clock. */
class FloorsTest {
  /** From the ground up; packages of one floor do not use each other. */
  private static final List<Set<String>> FLOORS =
      List.of(
          Set.of("finding"),
          Set.of("formats", "describe"),
          Set.of("parts"),
          Set.of("brief"),
          Set.of("layout"),
          Set.of("colour", "effects", "lettering"),
          Set.of("drive"),
          Set.of("frames"),
          Set.of("rail", "cues"),
          Set.of("power", "scan", "play"),
          Set.of("firmware"),
          Set.of("build"),
          Set.of("gadget"),
          Set.of("starts"),
          Set.of("demo"));

  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("org.myrialith");

  @Test
  void packagesUseOnlyLowerFloors() {
    List<String> above = new ArrayList<>();
    for (int floor = FLOORS.size() - 1; floor >= 0; floor--) {
      for (String name : FLOORS.get(floor)) {
        if (!above.isEmpty()) {
          noClasses()
              .that()
              .resideInAPackage("org.myrialith." + name)
              .should()
              .dependOnClassesThat()
              .resideInAnyPackage(above.toArray(String[]::new))
              .check(CORE);
        }
      }
      FLOORS.get(floor).forEach(name -> above.add("org.myrialith." + name));
    }
  }

  @Test
  void everyPackageHasAFloor() {
    Set<String> seen = new TreeSet<>();
    CORE.forEach(c -> seen.add(c.getPackageName().substring("org.myrialith.".length())));
    Set<String> known = new TreeSet<>();
    FLOORS.forEach(known::addAll);
    assertThat(seen).isEqualTo(known);
  }

  @Test
  void coreKnowsNoFrameworkDatabaseOrClock() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "org.springframework..", "jakarta..", "java.sql..", "java.net..", "java.time.chrono..")
        .check(CORE);
    noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
    noClasses().should().callMethod(System.class, "nanoTime").check(CORE);
  }

  /** The same output in Cairo and in Cologne: what is written names its locale. */
  @Test
  void nothingIsWrittenInTheLocaleOfTheMachine() {
    for (String method : List.of("formatted", "toLowerCase", "toUpperCase")) {
      noClasses().should().callMethodWhere(plainly(String.class, method)).check(CORE);
    }
    noClasses()
        .should()
        .callMethod(String.class, "format", String.class, Object[].class)
        .check(CORE);
    noClasses().should().callMethod(Locale.class, "getDefault").check(CORE);
  }

  private static DescribedPredicate<JavaMethodCall> plainly(Class<?> owner, String method) {
    return DescribedPredicate.describe(
        method + " without a locale",
        call ->
            call.getTargetOwner().isEquivalentTo(owner)
                && call.getName().equals(method)
                && call.getTarget().getRawParameterTypes().stream()
                    .noneMatch(p -> p.isEquivalentTo(Locale.class)));
  }
}
