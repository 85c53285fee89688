package fabulum.standins;

/** Whether a handset can be reached. */
enum HandsetState {
  ON,
  OFF,
  GONE
}
