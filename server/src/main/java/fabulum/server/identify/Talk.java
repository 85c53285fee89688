package fabulum.server.identify;

import fabulum.core.identify.Profile;
import fabulum.core.identify.Spoken;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.SightColumns;
import fabulum.server.identify.store.TalkMapper;
import fabulum.server.identify.store.TalkRow;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What was said lately with customers, as far as someone sees it. */
@Component
class Talk {
  /** Of one conversation; more says nothing new of who writes. */
  private static final int MOST = 20;

  private final TalkMapper talk;

  Talk(TalkMapper talk) {
    this.talk = talk;
  }

  /**
   * Profiles with what was said from their numbers while these were theirs.
   *
   * @param but what was said from this number is left out: of that the writer is sought; empty for
   *     none
   */
  List<Profile> with(List<Profile> profiles, String but, Instant since, SightColumns sight) {
    if (profiles.isEmpty()) {
      return List.of();
    }
    List<Long> numbers = talk.listNumbers(profiles.stream().map(Profile::id).toList());
    Map<String, List<TalkRow>> byNumber = new HashMap<>();
    if (!numbers.isEmpty()) {
      for (long conversation : talk.listConversations(numbers, sight)) {
        for (TalkRow row : talk.listTexts(conversation, since, MOST)) {
          byNumber.computeIfAbsent(row.address(), none -> new ArrayList<>()).add(row);
        }
      }
    }
    byNumber.remove(but);
    return profiles.stream().map(profile -> profile.saying(of(profile, byNumber))).toList();
  }

  private static List<Spoken> of(Profile profile, Map<String, List<TalkRow>> byNumber) {
    List<Spoken> said = new ArrayList<>();
    for (String address :
        profile.numbers().stream().map(held -> held.number().e164()).distinct().toList()) {
      for (TalkRow row : byNumber.getOrDefault(address, List.of())) {
        if (Sender.ofAddress(address) instanceof PhoneNumber number
            && profile.held(number, row.at())) {
          said.add(saying(row));
        }
      }
    }
    return oldestFirst(said);
  }

  /** What a number and we said to each other, oldest first. */
  List<Spoken> of(String address, Instant since, SightColumns sight) {
    List<Spoken> said = new ArrayList<>();
    List<Long> number = talk.findNumber(address).map(List::of).orElse(List.of());
    for (long conversation :
        number.isEmpty() ? List.<Long>of() : talk.listConversations(number, sight)) {
      talk.listTexts(conversation, since, MOST).forEach(row -> said.add(saying(row)));
    }
    return oldestFirst(said);
  }

  /** Customers who have or had one of the numbers of a conversation. */
  List<Long> customersOf(long conversation) {
    return talk.listCustomersOf(conversation);
  }

  /** Conversations of which nobody knows who writes, the newest first. */
  List<Long> listToIdentify(int limit) {
    return talk.listToIdentify(limit);
  }

  /**
   * Of each conversation the newest came first; what was said in the same moment keeps its order.
   */
  private static List<Spoken> oldestFirst(List<Spoken> said) {
    Collections.reverse(said);
    said.sort(Comparator.comparing(Spoken::at));
    return said;
  }

  private static Spoken saying(TalkRow row) {
    return new Spoken(row.at(), row.kind() == EntryKind.OUT, row.words());
  }
}
