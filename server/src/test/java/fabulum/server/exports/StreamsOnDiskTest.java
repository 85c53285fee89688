package fabulum.server.exports;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.pdfbox.io.RandomAccess;
import org.junit.jupiter.api.Test;

class StreamsOnDiskTest {
  private static final long SEED = 20261129;

  @Test
  void manyStreamsWrittenAndReadInAnyOrderEachHaveTheirOwnOctets() throws IOException {
    Random random = new Random(SEED);
    try (StreamsOnDisk streams = new StreamsOnDisk()) {
      List<RandomAccess> written = new ArrayList<>();
      List<ByteArrayOutputStream> plain = new ArrayList<>();
      for (int i = 0; i < 1_000; i++) {
        if (i < 5 || random.nextInt(20) == 0) {
          written.add(streams.createBuffer());
          plain.add(new ByteArrayOutputStream());
        }
        int chosen = random.nextInt(written.size());
        byte[] octets = new byte[random.nextInt(9_000)];
        random.nextBytes(octets);
        RandomAccess stream = written.get(chosen);
        stream.seek(stream.length());
        stream.write(octets);
        plain.get(chosen).write(octets);
        int other = random.nextInt(written.size());
        if (random.nextBoolean()) {
          assertThat(whole(written.get(other))).isEqualTo(plain.get(other).toByteArray());
        }
      }
      for (int i = 0; i < written.size(); i++) {
        assertThat(whole(written.get(i))).isEqualTo(plain.get(i).toByteArray());
      }
    }
  }

  @Test
  void aStreamIsReadOnWhereItWasWhenAnotherWasReadMeanwhile() throws IOException {
    try (StreamsOnDisk streams = new StreamsOnDisk()) {
      RandomAccess one = streams.createBuffer();
      one.write(new byte[] {1, 2, 3, 4});
      RandomAccess other = streams.createBuffer();
      other.write(new byte[] {9, 8});
      one.seek(1);
      assertThat(one.read()).isEqualTo(2);
      other.clear();
      other.write(7);
      assertThat(one.read()).isEqualTo(3);
      assertThat(whole(other)).containsExactly(7);
      assertThat(one.createView(2, 2).read()).isEqualTo(3);
    }
  }

  private static byte[] whole(RandomAccess stream) throws IOException {
    stream.seek(0);
    byte[] all = new byte[(int) stream.length()];
    stream.readFully(all);
    return all;
  }
}
