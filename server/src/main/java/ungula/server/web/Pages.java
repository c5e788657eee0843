package ungula.server.web;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every address of the page itself opens the page; it finds its own way from there. */
@Configuration
class Pages implements WebMvcConfigurer {

  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    String[] paths = {
      "/",
      "/jobs/**",
      "/rubber/**",
      "/mix",
      "/shopping",
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
