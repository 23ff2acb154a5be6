package org.myrialith.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts the application. */
@SpringBootApplication
public class MyrialithApplication {
  /** Starts it; settings come from the environment, see {@code application.yaml}. */
  public static void main(String[] args) {
    SpringApplication.run(MyrialithApplication.class, args);
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
