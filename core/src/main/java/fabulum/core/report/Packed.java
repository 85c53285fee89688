package fabulum.core.report;

import java.util.Arrays;

/** Whole numbers from 0 on in few bytes: unsigned LEB128, the lowest seven bits first. */
final class Packed {
  private static final int BITS = 7;
  private static final int MORE = 0x80;

  private Packed() {}

  static byte[] of(long... numbers) {
    byte[] bytes = new byte[Arrays.stream(numbers).mapToInt(Packed::length).sum()];
    int at = 0;
    for (long number : numbers) {
      long rest = number;
      while (rest >= MORE) {
        bytes[at++] = (byte) (rest & (MORE - 1) | MORE);
        rest >>>= BITS;
      }
      bytes[at++] = (byte) rest;
    }
    return bytes;
  }

  private static int length(long number) {
    int bits = Long.SIZE - Long.numberOfLeadingZeros(number);
    return Math.max(1, (bits + BITS - 1) / BITS);
  }

  static long[] read(byte[] bytes) {
    long[] numbers = new long[bytes.length];
    int count = 0;
    long number = 0;
    int shift = 0;
    for (byte each : bytes) {
      number |= (long) (each & (MORE - 1)) << shift;
      shift += BITS;
      if ((each & MORE) == 0) {
        numbers[count++] = number;
        number = 0;
        shift = 0;
      }
    }
    if (shift != 0) {
      throw new IllegalArgumentException("The bytes end within a number");
    }
    return Arrays.copyOf(numbers, count);
  }
}
