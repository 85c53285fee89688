package fabulum.server.live;

/**
 * A message of the live stream.
 *
 * @param position where a browser that has heard it continues
 * @param number of the message in this run of the program
 * @param audience who may hear it
 */
record Told(String position, long number, LiveMessage message, Audience audience) {}
