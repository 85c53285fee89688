package fabulum.server.templates;

/**
 * An address of the business that texts point to.
 *
 * @param name as placeholders name it
 * @param address of a page, with {@code https://} before it
 */
public record Link(long id, String name, String address) {}
