package ungula.server.web;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every address of the page itself opens the page; it finds its own way from there. */
@Configuration
class Pages implements WebMvcConfigurer {

  /** Their names carry what is in them, so a browser never needs to ask for one again. */
  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/META-INF/resources/assets/")
        .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
  }

  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    String[] paths = {
      "/",
      "/jobs/**",
      "/days",
      "/exercises",
      "/rubber/**",
      "/mix",
      "/months",
      "/moulds/**",
      "/shopping",
      "/runs/**",
      "/together",
      "/workshop",
      "/help/**",
      "/sign-in"
    };
    for (String path : paths) {
      registry.addViewController(path).setViewName("forward:/index.html");
    }
  }
}
