package fabulum.core.parts;

/**
 * The default alphabet and its extension table (3GPP TS 23.038, 6.2.1 and 6.2.1.1), without
 * national shift tables.
 */
final class BasicSet {
  private static final String DEFAULT =
      "@£$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞÆæßÉ !\"#¤%&'()*+,-./0123456789:;<=>?"
          + "¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿abcdefghijklmnopqrstuvwxyzäöñüà";
  private static final String EXTENSION = "\f^{}\\[~]|€";

  private BasicSet() {}

  /** Septets a character takes: 1, 2 behind an escape, or 0 when the set does not have it. */
  static int septets(int codePoint) {
    if (DEFAULT.indexOf(codePoint) >= 0) {
      return 1;
    }
    return EXTENSION.indexOf(codePoint) >= 0 ? 2 : 0;
  }
}
