package fabulum.server.notices.web;

import fabulum.core.notice.Kind;
import fabulum.core.notice.NoticeChannel;
import fabulum.server.accounts.SignedIn;
import fabulum.server.notices.NoticeChoices;
import fabulum.server.notices.NoticeId;
import fabulum.server.notices.NoticePage;
import fabulum.server.notices.Notices;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The notices of the signed-in person, and how they want to be told. */
@RestController
@RequestMapping("/api/notices")
class NoticeController {
  private final Notices notices;
  private final NoticeChoices choices;

  NoticeController(Notices notices, NoticeChoices choices) {
    this.notices = notices;
    this.choices = choices;
  }

  /** My newest notices, at most 100, and how many I have not seen. */
  @GetMapping
  NoticePage list(@AuthenticationPrincipal SignedIn me) {
    return notices.list(me.id());
  }

  /**
   * Which were seen.
   *
   * @param ids empty for all
   */
  record SeenRequest(@Nullable List<Long> ids) {}

  /** Marks notices as seen, some or all. */
  @PostMapping("/seen")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void seen(@AuthenticationPrincipal SignedIn me, @RequestBody SeenRequest which) {
    if (which.ids() == null) {
      notices.allSeen(me.id());
    } else {
      notices.seen(me.id(), which.ids().stream().map(NoticeId::new).toList());
    }
  }

  /** How the person is told of one kind of thing. */
  record ChoiceResponse(Kind kind, Set<NoticeChannel> by) {}

  /** How I am told of each kind of notice. */
  @GetMapping("/choices")
  List<ChoiceResponse> choices(@AuthenticationPrincipal SignedIn me) {
    Map<Kind, Set<NoticeChannel>> chosen = choices.of(me.id());
    return chosen.entrySet().stream()
        .map(one -> new ChoiceResponse(one.getKey(), one.getValue()))
        .toList();
  }

  /** How someone wants to be told of a kind of notice. */
  record ChoiceRequest(
      @NotNull(message = "Say of what.") Kind kind,
      @NotNull(message = "Say how.") NoticeChannel channel,
      boolean wanted) {}

  /** Chooses how I am told of a kind of notice. */
  @PutMapping("/choices")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void choose(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody ChoiceRequest choice) {
    choices.choose(me.id(), choice.kind(), choice.channel(), choice.wanted());
  }
}
