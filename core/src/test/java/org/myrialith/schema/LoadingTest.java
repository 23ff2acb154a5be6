package org.myrialith.schema;

import static org.assertj.core.api.Assertions.assertThatCode;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Declarations name each other, and Java makes the one first that is asked for first: whichever
 * that is, all of them must be whole.
 */
class LoadingTest {
  private static final Set<String> DECLARED = Set.of("DESCRIPTION", "KIND");

  static Stream<String> declarations() {
    return new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("org.myrialith")
            .stream()
            .filter(c -> c.getFields().stream().anyMatch(f -> DECLARED.contains(f.getName())))
            .map(JavaClass::getName);
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("declarations")
  void anyDeclarationMayBeAskedForFirst(String first) throws Exception {
    URL classes = Path.of("target", "classes").toUri().toURL();
    try (OwnLoader loader = new OwnLoader(classes)) {
      assertThatCode(
              () -> {
                Class.forName(first, true, loader);
                Class.forName("org.myrialith.gadget.format.GadgetJson", true, loader)
                    .getMethod("schema")
                    .invoke(null);
              })
          .doesNotThrowAnyException();
    }
  }

  /** Loads our classes anew, libraries as usual. */
  private static final class OwnLoader extends URLClassLoader {
    OwnLoader(URL classes) {
      super(new URL[] {classes}, LoadingTest.class.getClassLoader());
    }

    @Override
    protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
      if (!name.startsWith("org.myrialith.")) {
        return super.loadClass(name, resolve);
      }
      synchronized (getClassLoadingLock(name)) {
        Class<?> loaded = findLoadedClass(name);
        return loaded == null ? findClass(name) : loaded;
      }
    }
  }
}
