package fabulum.demo;

import fabulum.core.enquiry.FormPurpose;
import fabulum.server.access.StaffId;
import fabulum.server.enquiries.Forms;
import fabulum.server.enquiries.Forms.Wanted;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import java.util.List;

/** The forms on the boatyard's web site. */
final class DemoForms {
  private static final StaffId MAREN = new StaffId(1);
  private static final String BUSINESS = "Quillhaven Boatyard";
  private static final String COLOUR = "#1f5c50";
  private static final String WORDING =
      "Quillhaven Boatyard may text me about my enquiry, and about my boat. Message and data rates may"
          + " apply. I can text STOP at any time to end it, or HELP for help.";

  private final Forms forms;
  private final Lines lines;

  DemoForms(Forms forms, Lines lines) {
    this.forms = forms;
    this.lines = lines;
  }

  void write() {
    List<Long> all = lines.list().stream().map(LineView::id).sorted().toList();
    forms.add(
        new Wanted(
            "Ask us on the web site",
            BUSINESS,
            "Ask us by text",
            "Berths, lifts, repairs, storage: write what it is about, and we answer by text during our hours.",
            WORDING,
            COLOUR,
            FormPurpose.ENQUIRY,
            true,
            true,
            all),
        MAREN);
    forms.add(
        new Wanted(
            "Agreement to texts",
            BUSINESS,
            "Get texts from the boatyard",
            "We text you when your boat is lifted, when a repair is done, and when the weather needs you here.",
            WORDING,
            COLOUR,
            FormPurpose.AGREEMENT,
            true,
            true,
            all.subList(0, 1)),
        MAREN);
  }
}
