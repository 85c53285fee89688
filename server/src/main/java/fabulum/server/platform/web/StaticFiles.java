package fabulum.server.platform.web;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Built files carry a hash in their name and never change; the page itself is asked for each time.
 */
@Configuration(proxyBeanMethods = false)
class StaticFiles implements WebMvcConfigurer {

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/inbox/assets/")
        .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
    registry
        .addResourceHandler(
            "/index.html",
            "/favicon.svg",
            "/manifest.json",
            "/icon-192.png",
            "/icon-512.png",
            "/icon-maskable-512.png",
            "/licences.txt")
        .addResourceLocations("classpath:/inbox/")
        .setCacheControl(CacheControl.noCache());
  }
}
