package fabulum.server.people.web;

import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The colleagues. */
@RestController
class StaffController {
  private final People people;

  StaffController(People people) {
    this.people = people;
  }

  @GetMapping("/api/staff")
  List<StaffView> list() {
    return people.list();
  }
}
