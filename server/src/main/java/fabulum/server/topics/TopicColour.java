package fabulum.server.topics;

/** Inks of the squares beside topics; the word always stands with them. */
public enum TopicColour {
  PINE,
  MOSS,
  REED,
  SLATE,
  LAKE,
  PLUM,
  ROSE,
  CLAY,
  UMBER,
  STONE
}
