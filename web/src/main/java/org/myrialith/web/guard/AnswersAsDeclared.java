package org.myrialith.web.guard;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.accept.ContentNegotiationStrategy;
import org.springframework.web.servlet.config.annotation.ContentNegotiationConfigurer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Each address has one kind of answer, in UTF-8, whatever else a request would rather have. */
@Configuration
class AnswersAsDeclared implements WebMvcConfigurer {
  @Override
  public void configureContentNegotiation(ContentNegotiationConfigurer negotiation) {
    negotiation
        .ignoreAcceptHeader(true)
        .defaultContentTypeStrategy(request -> ContentNegotiationStrategy.MEDIA_TYPE_ALL_LIST);
  }
}
