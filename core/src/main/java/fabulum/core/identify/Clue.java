package fabulum.core.identify;

/** A kind of reason why a customer is, or is not, the writer. */
public enum Clue {
  /** The number is theirs. */
  HOLDS_NUMBER,
  /** The number was theirs. */
  HELD_NUMBER,
  /** The number differs from one of theirs by one digit, or by two that are swapped. */
  NEAR_NUMBER,
  /** The number stands in their notes. */
  NOTED_NUMBER,
  /** The number is registered to them, as the number check says. */
  REGISTERED,
  /** The number is registered to someone with their last name. */
  REGISTERED_FAMILY,
  /** A text of ours to this number names them. */
  WE_NAMED_THEM,
  /** The number has the area code of one of theirs. */
  SAME_AREA,
  /** The text says first and last name. */
  FULL_NAME,
  /** They introduce themselves by first name, or by first name and initial. */
  FIRST_NAME,
  /** The initial of the last name stands after the first name. */
  INITIAL,
  /** The text says the last name. */
  LAST_NAME,
  /** The first name stands in the text, not where people say their own. */
  MENTIONED,
  /** The name of the firm, or what is special in it, stands in the text. */
  FIRM,
  /** They introduce themselves by a name that stands in the notes. */
  NOTED_NAME,
  /** The text speaks of them as of a relative, or as someone who asked for it. */
  RELATIVE,
  /** The text says a detail of theirs: a boat, a unit, a plate. */
  DETAIL,
  /** The text says a part of a detail. */
  PART_OF_DETAIL,
  /** Name and detail, each of which several customers have, are both theirs. */
  TOGETHER,
  /** The text says the number of a job, an invoice, a file. */
  REFERENCE,
  /** The text says their mail address. */
  MAIL,
  /** They have an appointment today or about now. */
  EXPECTED,
  /** They are expected and the text speaks of coming. */
  COMING,
  /** The text says the time of their appointment. */
  TIME,
  /** The words of the text stand in what we asked them last. */
  ANSWERS,
  /** We asked them something lately, and the text reads like an answer to such a question. */
  ASKED,
  /** The text speaks of what they last wrote about, or of their job or appointment. */
  MATTER,
  /** The text means something nearer to what we asked them than to what we asked others. */
  MEANS_ANSWER,
  /** The text means something nearer to what is going on with them than with others. */
  MEANS_MATTER,
  /** Against: the text introduces someone else. */
  OTHER_NAME,
  /** Against: the first name is theirs, the last name is not. */
  OTHER_LAST_NAME,
  /** Against: the text is addressed to someone of this name. */
  ADDRESSED,
  /** Against: the writer belongs to another firm or place. */
  FROM_ELSEWHERE,
  /** Against: they wrote from their own number within two hours. */
  JUST_WROTE,

  /** For nobody we know: true of every inquiry. */
  NOBODY,
  /** For nobody we know: asks as people ask who come the first time. */
  VISITOR,
  /** For nobody we know: meant for someone else. */
  WRONG_PERSON,
  /** For nobody we know: sells something, or sends to many. */
  SELLING,
  /** For nobody we know: introduces themselves by a name that nobody on file has. */
  NEW_NAME,
  /** For nobody we know: what it means is what strangers write. */
  READS_STRANGE,
  /** Against nobody: what it means is what people write who know us. */
  READS_FAMILIAR,
  /** Against nobody: says that the number is new. */
  NEW_NUMBER,
  /** Against nobody: speaks as someone whom we know. */
  FAMILIAR,
  /** For nobody we know: nothing in the text is special to anyone. */
  FEW_WORDS
}
