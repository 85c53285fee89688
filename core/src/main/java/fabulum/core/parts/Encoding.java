package fabulum.core.parts;

/**
 * How the characters of a text travel, and how many units fit. A part carries 140 octets (3GPP TS
 * 23.040): 160 septets or 70 UCS-2 units; when parts are joined, a header of 6 octets in each
 * leaves 153 septets or 67 units.
 */
public enum Encoding {
  /**
   * The basic set of GSM 03.38 (3GPP TS 23.038, 6.2.1): a unit is a septet, an extension character
   * takes two.
   */
  BASIC(160, 153),
  /** UCS-2: a unit is a UTF-16 code unit, so an emoji takes two or more. */
  UCS2(70, 67);

  private final int single;
  private final int joined;

  Encoding(int single, int joined) {
    this.single = single;
    this.joined = joined;
  }

  /** Units of the only part of a text. */
  public int single() {
    return single;
  }

  /** Units of each part when there are several. */
  public int joined() {
    return joined;
  }
}
