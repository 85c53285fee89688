package fabulum.server.topics.web;

import fabulum.server.topics.TopicView;
import fabulum.server.topics.Topics;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The topics of all teams, also retired ones. */
@RestController
class TopicController {
  private final Topics topics;

  TopicController(Topics topics) {
    this.topics = topics;
  }

  /** The topics of all teams, also retired ones. */
  @GetMapping("/api/topics")
  List<TopicView> list() {
    return topics.list();
  }
}
