package ungula.server.access;

import com.github.benmanes.caffeine.cache.Ticker;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.boot.web.server.servlet.CookieSameSiteSupplier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.rememberme.TokenBasedRememberMeServices;
import org.springframework.security.web.authentication.rememberme.TokenBasedRememberMeServices.RememberMeTokenAlgorithm;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.HeaderWriterFilter;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Who reaches what. This machine is free to everything; others, when the server is open to them,
 * give the workshop's passphrase and their initials once. No page of another site reaches anything.
 */
@Configuration
class Access {

  /** Everything the page is made of ships with it. */
  private static final String POLICY =
      "default-src 'self'; img-src 'self' data: blob:; object-src 'none'; base-uri 'none';"
          + " form-action 'self'; frame-ancestors 'none'";

  private static final String SIGN_IN = "/api/sign-in";
  private static final Duration REMEMBERED = Duration.ofDays(90);
  private static final Pattern INITIALS = Pattern.compile("\\p{L}{1,4}");

  private final Hosts hosts;
  private final Optional<Passphrase> passphrase;
  private final Attempts attempts = new Attempts(Ticker.systemTicker());

  Access(Hosts hosts, Optional<Passphrase> passphrase) {
    this.hosts = hosts;
    this.passphrase = passphrase;
  }

  @Bean
  SecurityFilterChain chain(HttpSecurity http, UserDetailsService people) {
    http.csrf(AbstractHttpConfigurer::disable)
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .requestCache(AbstractHttpConfigurer::disable)
        .addFilterAfter(new SameOrigin(), HeaderWriterFilter.class)
        .addFilterAfter(new BodyLimit(), SameOrigin.class)
        .headers(
            h ->
                h.contentSecurityPolicy(c -> c.policyDirectives(POLICY))
                    .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                    .crossOriginResourcePolicy(c -> c.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
                    // each answer says itself how long it may be kept
                    .cacheControl(c -> c.disable())
                    .httpStrictTransportSecurity(s -> s.disable()))
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(
                    (request, response, why) ->
                        Refusal.write(
                            response,
                            HttpStatus.UNAUTHORIZED,
                            "Sign in",
                            "Give the workshop's passphrase first.")))
        .logout(
            out ->
                out.logoutUrl("/api/sign-out")
                    .logoutSuccessHandler(
                        (request, response, who) ->
                            response.setStatus(HttpStatus.NO_CONTENT.value())));
    if (passphrase.isEmpty()) {
      return http.authorizeHttpRequests(a -> a.anyRequest().permitAll()).build();
    }
    TokenBasedRememberMeServices remembered =
        new TokenBasedRememberMeServices(
            passphrase.get().secret(), people, RememberMeTokenAlgorithm.SHA256);
    remembered.setAlwaysRemember(true);
    remembered.setTokenValiditySeconds((int) REMEMBERED.toSeconds());
    remembered.setCookieName("ungula");
    return http.authorizeHttpRequests(
            a ->
                a.requestMatchers(Access::fromThisMachine)
                    .permitAll()
                    // whoever has the address reads the days, and nothing else
                    .requestMatchers(HttpMethod.GET, "/api/calendar/*.ics")
                    .permitAll()
                    .requestMatchers("/api/**")
                    .authenticated()
                    // the page without anything of the workshop's in it
                    .anyRequest()
                    .permitAll())
        .addFilterBefore(new Waiting(), UsernamePasswordAuthenticationFilter.class)
        .formLogin(
            f ->
                f.loginProcessingUrl(SIGN_IN)
                    .loginPage("/sign-in")
                    .usernameParameter("initials")
                    .passwordParameter("passphrase")
                    .successHandler(
                        (request, response, who) -> {
                          attempts.forget(request.getRemoteAddr());
                          response.setStatus(HttpStatus.NO_CONTENT.value());
                        })
                    .failureHandler(
                        (request, response, why) -> {
                          attempts.fail(request.getRemoteAddr());
                          Refusal.write(
                              response,
                              HttpStatus.UNAUTHORIZED,
                              "Not let in",
                              "The initials or the passphrase are wrong. Initials are one to four"
                                  + " letters.");
                        }))
        .rememberMe(r -> r.rememberMeServices(remembered).key(passphrase.get().secret()))
        .build();
  }

  private static boolean fromThisMachine(HttpServletRequest request) {
    try {
      return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
    } catch (UnknownHostException e) {
      return false;
    }
  }

  /** Has whoever guessed wrong too often wait. */
  private final class Waiting extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      if (SIGN_IN.equals(request.getRequestURI()) && attempts.waits(request.getRemoteAddr())) {
        response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(Attempts.WAIT.toSeconds()));
        Refusal.write(
            response,
            HttpStatus.TOO_MANY_REQUESTS,
            "Too many attempts",
            "Try again in five minutes.");
      } else {
        chain.doFilter(request, response);
      }
    }
  }

  /** Everybody shares the passphrase, and is told apart by initials. */
  @Bean
  UserDetailsService people() {
    return initials -> {
      String clean = initials == null ? "" : initials.strip().toUpperCase(Locale.ROOT);
      if (passphrase.isEmpty() || !INITIALS.matcher(clean).matches()) {
        throw new UsernameNotFoundException(clean);
      }
      return new User(clean, passphrase.get().hash(), List.of());
    };
  }

  @Bean
  PasswordEncoder encoder() {
    return Passphrase.ENCODER;
  }

  @Bean
  HttpFirewall firewall() {
    StrictHttpFirewall wall = new StrictHttpFirewall();
    wall.setAllowedHostnames(hosts::answersTo);
    return wall;
  }

  @Bean
  RequestRejectedHandler rejected() {
    return (request, response, why) ->
        Refusal.write(
            response,
            HttpStatus.BAD_REQUEST,
            "Not understood",
            hosts.answersTo(request.getServerName())
                ? "The address contains characters that are not allowed. Type it again."
                : "Ungula does not answer to this name or address. Use the one it says when it"
                    + " starts.");
  }

  @Bean
  CookieSameSiteSupplier sameSite() {
    return CookieSameSiteSupplier.ofLax();
  }
}
