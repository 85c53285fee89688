package fabulum.standins;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.PhoneNumberUtil.ValidationResult;
import com.google.i18n.phonenumbers.Phonenumber.PhoneNumber;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/** Which handset is meant, however its number was typed. */
@Component
class Numbers {
  private static final Pattern DIALLED = Pattern.compile("[+\\d\\s().\\-/]+");

  private final PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();
  private final Settings settings;

  Numbers(Settings settings) {
    this.settings = settings;
  }

  /** The number as the network writes it; names and short codes stay as they are. */
  String read(String typed) {
    String stripped = typed.strip();
    if (!DIALLED.matcher(stripped).matches()) {
      return stripped;
    }
    try {
      PhoneNumber parsed = numbers.parse(stripped, settings.region());
      boolean whole = numbers.isPossibleNumberWithReason(parsed) == ValidationResult.IS_POSSIBLE;
      return whole ? numbers.format(parsed, PhoneNumberFormat.E164) : stripped;
    } catch (NumberParseException notANumber) {
      return stripped;
    }
  }
}
