package org.myrialith.web.pages;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Comparator;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** The licences of all that ships: libraries by their own descriptions, fonts and scripts whole. */
@Controller
class LicencesController {
  private static final String LIBRARIES = "classpath:/licences/libraries.txt";
  private static final String TEXTS = "classpath*:/static/*/*LICENSE.txt";

  private final ResourcePatternResolver found = new PathMatchingResourcePatternResolver();

  @GetMapping(path = "/licences", produces = MediaType.TEXT_PLAIN_VALUE)
  @ResponseBody
  String licences() throws IOException {
    StringBuilder all = new StringBuilder("Licences of what comes with Myrialith\n\nLibraries\n");
    all.append(text(found.getResource(LIBRARIES)).strip()).append('\n');
    Resource[] texts = found.getResources(TEXTS);
    Arrays.sort(texts, Comparator.comparing(Resource::getFilename));
    for (Resource one : texts) {
      String name = one.getFilename().replace("-LICENSE.txt", "");
      all.append("\n\n").append(name).append("\n\n").append(text(one).strip()).append('\n');
    }
    return all.toString();
  }

  private static String text(Resource resource) throws IOException {
    return resource.getContentAsString(StandardCharsets.UTF_8);
  }
}
