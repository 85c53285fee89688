package fabulum.server.setup.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.programs.ProgramRight;
import fabulum.server.programs.ProgramView;
import fabulum.server.programs.Programs;
import fabulum.server.setup.Outcome;
import fabulum.server.setup.ProgramSetUp;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Other programs and their keys; for leads. */
@RestController
@RequestMapping("/api/setup/programs")
class ProgramSetUpController {
  private final Programs programs;
  private final ProgramSetUp setUp;

  ProgramSetUpController(Programs programs, ProgramSetUp setUp) {
    this.programs = programs;
    this.setUp = setUp;
  }

  /** A program that shall be let in. */
  record ProgramMessage(@NotNull String name, @NotNull Set<ProgramRight> rights) {}

  /** Programs and what they did lately. */
  @GetMapping
  List<ProgramView> programs(@AuthenticationPrincipal SignedIn me) {
    return programs.list(me.id());
  }

  /** Lets a program in; its key is in the answer and nowhere else. */
  @PostMapping
  Programs.Made addProgram(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody ProgramMessage program) {
    return setUp.add(program.name(), program.rights(), me.id());
  }

  /** Ends the key of a program, at once and for good. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/{id}/end")
  Outcome endProgram(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return setUp.end(id, me.id());
  }
}
