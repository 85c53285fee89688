package fabulum.server.people.web;

import fabulum.server.people.Mark;
import jakarta.validation.constraints.NotNull;

/** A mark as callers give it. */
record MarkMessage(
    @NotNull(message = "Choose a shape.") Mark.Shape shape,
    @NotNull(message = "Choose a colour.") Mark.Ink ink) {
  Mark mark() {
    return new Mark(shape, ink);
  }
}
