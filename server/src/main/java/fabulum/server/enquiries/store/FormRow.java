package fabulum.server.enquiries.store;

import fabulum.core.enquiry.FormPurpose;

/** A form. */
public record FormRow(
    long id,
    String address,
    String name,
    String business,
    String heading,
    String intro,
    String wording,
    String colour,
    FormPurpose asks,
    boolean confirms,
    boolean inUse,
    long version) {}
