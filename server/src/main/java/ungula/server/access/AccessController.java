package ungula.server.access;

import java.security.Principal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class AccessController {

  /**
   * @param initials of who is signed in; empty at this machine, which nobody signs in at
   */
  record AccessView(String initials) {}

  @GetMapping("/api/access")
  AccessView access(Principal who) {
    return new AccessView(who == null ? "" : who.getName());
  }
}
