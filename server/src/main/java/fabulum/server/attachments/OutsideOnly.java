package fabulum.server.attachments;

import java.net.Inet4Address;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import org.apache.hc.client5.http.DnsResolver;

/**
 * Finds the addresses of hosts, but none inside our own network: a stranger's link must not reach
 * what only we can reach. The connection is made to the very address that was looked at, so a name
 * that changes its meaning between looking and connecting gains nothing.
 */
final class OutsideOnly implements DnsResolver {
  private static final int OCTET = 0xff;

  @Override
  public InetAddress[] resolve(String host) throws UnknownHostException {
    InetAddress[] all = InetAddress.getAllByName(host);
    for (InetAddress each : all) {
      if (isInside(each)) {
        throw new UnknownHostException("It is an address inside our own network.");
      }
    }
    return all;
  }

  @Override
  public String resolveCanonicalHostname(String host) {
    return host;
  }

  /**
   * Whether an address is not one of the open internet (the special-purpose registries of RFC
   * 6890), or hides one that is not (RFC 3056, RFC 6052).
   */
  static boolean isInside(InetAddress address) {
    if (address.isAnyLocalAddress()
        || address.isLoopbackAddress()
        || address.isLinkLocalAddress()
        || address.isSiteLocalAddress()
        || address.isMulticastAddress()) {
      return true;
    }
    byte[] octets = address.getAddress();
    return address instanceof Inet4Address
        ? isInside4(octets, 0)
        : isInside6((Inet6Address) address);
  }

  private static boolean isInside4(byte[] octets, int from) {
    int first = octets[from] & OCTET;
    int second = octets[from + 1] & OCTET;
    int third = octets[from + 2] & OCTET;
    return switch (first) {
      case 0, 10, 127 -> true;
      case 100 -> second >= 64 && second < 128;
      case 169 -> second == 254;
      case 172 -> second >= 16 && second < 32;
      case 192 -> second == 168 || second == 0 && (third == 0 || third == 2);
      case 198 -> second == 18 || second == 19 || second == 51 && third == 100;
      case 203 -> second == 0 && third == 113;
      default -> first >= 224;
    };
  }

  private static boolean isInside6(Inet6Address address) {
    byte[] octets = address.getAddress();
    int first = octets[0] & OCTET;
    int second = octets[1] & OCTET;
    if ((first & 0xfe) == 0xfc || first == 0x20 && second == 1 && octets[2] == 0x0d) {
      return true;
    }
    if (first == 0x20 && second == 2) {
      return isInside4(octets, 2);
    }
    boolean translated = first == 0 && second == 0x64 && (octets[2] & OCTET) == 0xff;
    return (translated || address.isIPv4CompatibleAddress()) && isInside4(octets, 12);
  }
}
