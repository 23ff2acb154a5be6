package org.myrialith.web.guard;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** No accounts yet: everyone on this machine may do everything; no page of another site may. */
@Configuration
class GuardConfiguration {
  /**
   * Nothing inline, nothing from elsewhere; pictures also from data addresses, which the base
   * styles use.
   */
  static final String POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self';"
          + " connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  /** How long one byte of a body is waited for (ms). */
  private static final String UPLOAD_MILLIS = "5000";

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> connections() {
    return factory -> {
      factory.addEngineValves(new HeadersOfAll(), new BodyDeadline());
      factory.addConnectorCustomizers(
          connector -> {
            connector.setProperty("disableUploadTimeout", "false");
            connector.setProperty("connectionUploadTimeout", UPLOAD_MILLIS);
          });
    };
  }

  @Bean
  SecurityFilterChain guard(HttpSecurity http) throws Exception {
    CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
    tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
    return http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        // the JSON API has no cookies to forge with; NeighboursOnly turns other sites away
        .csrf(csrf -> csrf.csrfTokenRepository(tokens).ignoringRequestMatchers("/api/**"))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                    .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
        .requestCache(cache -> cache.disable())
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .logout(logout -> logout.disable())
        .addFilterBefore(new NeighboursOnly(), AuthorizationFilter.class)
        .build();
  }
}
