package fabulum.server.clientele;

import fabulum.core.agreement.Agreement;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.customers.CustomerFile;
import fabulum.server.numbers.NumberCheck;
import fabulum.server.work.CustomerWork;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A customer's page, but for their story.
 *
 * @param joinedIntoName the name of the customer they turned out to be
 * @param heardAt when they last wrote, as far as the reader may see it
 */
public record CustomerPageView(
    CustomerFile file,
    @Nullable String joinedIntoName,
    List<PageNumber> numbers,
    CustomerWork work,
    @Nullable Instant heardAt) {

  /**
   * A number they hold or held.
   *
   * @param address in E.164, or a sender's name
   * @param local as people at home write it
   * @param international as people abroad write it
   * @param others names of the other customers who hold it now
   * @param since since when it was theirs; null for not known
   * @param until when it stopped being theirs; null while it is theirs
   * @param state whether it can be texted at all
   * @param check what an outside service said of it; null while it was not asked
   */
  public record PageNumber(
      long numberId,
      String address,
      String local,
      String international,
      @Nullable String kind,
      @Nullable String word,
      boolean preferred,
      List<String> others,
      @Nullable Instant since,
      @Nullable Instant until,
      List<Allowed> allowed,
      NumberState state,
      @Nullable NumberCheck check) {}

  /**
   * What the holders of a number allow a line to text them.
   *
   * @param service answers and service texts
   * @param news news and offers
   */
  public record Allowed(long lineId, Agreement.Answer service, Agreement.Answer news) {}
}
