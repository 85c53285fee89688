package fabulum.standins;

import org.jspecify.annotations.Nullable;

/** What came of a text that was handed over. */
record Acceptance(
    @Nullable Carried text, boolean repeated, boolean answerLost, @Nullable Refusal refusal) {

  /** Why not. */
  record Refusal(int status, String code, String reason) {}
}
