package fabulum.server.enquiries.web;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;

/**
 * The door for anybody on the web: nobody is signed in here, nothing is kept between two requests,
 * and a page may stand in a frame of the business's own site.
 */
@Configuration(proxyBeanMethods = false)
class FormSecurity {

  @Bean
  @Order(2)
  SecurityFilterChain formRules(HttpSecurity http) {
    return http.securityMatcher("/form/**")
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .sessionManagement(
            sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .csrf(csrf -> csrf.disable())
        .requestCache(cache -> cache.disable())
        .logout(logout -> logout.disable())
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .headers(headers -> headers.disable())
        .build();
  }
}
