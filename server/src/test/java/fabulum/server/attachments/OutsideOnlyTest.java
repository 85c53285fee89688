package fabulum.server.attachments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OutsideOnlyTest {

  @ParameterizedTest
  @ValueSource(
      strings = {
        "0.0.0.0",
        "10.1.2.3",
        "100.64.0.1",
        "100.127.255.255",
        "127.0.0.1",
        "127.9.9.9",
        "169.254.169.254",
        "172.16.0.1",
        "172.31.255.255",
        "192.0.0.8",
        "192.0.2.1",
        "192.168.7.1",
        "198.18.0.1",
        "198.19.255.255",
        "198.51.100.4",
        "203.0.113.9",
        "224.0.0.1",
        "240.0.0.1",
        "255.255.255.255",
        "::",
        "::1",
        "fe80::1",
        "fc00::1",
        "fd12:3456::1",
        "ff02::1",
        "2001:db8::1",
        "::ffff:10.0.0.1",
        "64:ff9b::a00:1",
        "2002:a00:1::",
        "2002:7f00:1::",
        "::7f00:1"
      })
  void addressesInsideAreNotAsked(String address) throws UnknownHostException {
    assertThat(OutsideOnly.isInside(InetAddress.getByName(address))).isTrue();
    assertThatThrownBy(() -> new OutsideOnly().resolve(address))
        .isInstanceOf(UnknownHostException.class);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "1.1.1.1",
        "9.255.255.255",
        "11.0.0.1",
        "100.63.255.255",
        "100.128.0.1",
        "126.0.0.1",
        "169.253.0.1",
        "172.15.0.1",
        "172.32.0.1",
        "192.1.0.1",
        "192.167.0.1",
        "198.17.0.1",
        "198.20.0.1",
        "203.0.112.1",
        "223.255.255.255",
        "2600::1",
        "2a00::1",
        "64:ff9b::101:101",
        "2002:101:101::"
      })
  void addressesOfTheOpenInternetAre(String address) throws UnknownHostException {
    assertThat(OutsideOnly.isInside(InetAddress.getByName(address))).isFalse();
  }

  @Test
  void aNameThatMeansAnAddressInsideIsNotAsked() {
    assertThatThrownBy(() -> new OutsideOnly().resolve("localhost"))
        .isInstanceOf(UnknownHostException.class)
        .hasMessageContaining("inside our own network");
  }
}
