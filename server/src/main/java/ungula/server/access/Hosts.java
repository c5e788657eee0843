package ungula.server.access;

import java.io.IOException;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * The names this server answers to: a page of another site whose name was pointed at this machine
 * gets nothing.
 *
 * @param open whether others than this machine reach it
 * @param names lower case, an IPv6 address in brackets
 * @param addresses of this machine that others can type, the likeliest first; empty unless open
 */
public record Hosts(boolean open, Set<String> names, List<String> addresses) {

  /**
   * @param host address to listen on, as given to {@code --host}
   */
  public static Hosts of(String host) throws IOException {
    Set<String> names = new LinkedHashSet<>(List.of("localhost", "127.0.0.1", "[::1]"));
    names.add(written(host));
    InetAddress given = InetAddress.getByName(host);
    if (given.isLoopbackAddress()) {
      return new Hosts(false, names, List.of());
    }
    List<String> addresses = new ArrayList<>();
    for (NetworkInterface net : NetworkInterface.networkInterfaces().toList()) {
      for (InetAddress a : net.inetAddresses().toList()) {
        String text = written(a.getHostAddress().replaceFirst("%.*", ""));
        names.add(text);
        boolean listened = given.isAnyLocalAddress() || given.equals(a);
        if (listened && !a.isLoopbackAddress() && !a.isLinkLocalAddress()) {
          addresses.add(a instanceof Inet6Address ? addresses.size() : 0, text);
        }
      }
    }
    names.addAll(ownNames());
    return new Hosts(true, names, addresses);
  }

  /** What this machine is called, alone and as its local network announces it. */
  private static List<String> ownNames() {
    try {
      String name = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
      String plain = name.replaceFirst("\\..*", "");
      return List.of(name, plain, plain + ".local");
    } catch (UnknownHostException nameless) {
      return List.of();
    }
  }

  private static String written(String host) {
    String lower = host.toLowerCase(Locale.ROOT);
    return lower.contains(":") && !lower.startsWith("[") ? "[" + lower + "]" : lower;
  }

  /**
   * @param name of a request, without its port
   */
  public boolean answersTo(String name) {
    return names.contains(written(name));
  }
}
