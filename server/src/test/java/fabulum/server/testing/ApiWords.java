package fabulum.server.testing;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.DocTree;
import com.sun.source.doctree.ParamTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePathScanner;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/** The words of the Javadoc, from which the description of the API is made. */
final class ApiWords {
  private static final List<Path> SOURCES =
      List.of(Path.of("src/main/java"), Path.of("../core/src/main/java"));

  private final Map<String, String> ofTypes = new HashMap<>();
  private final Map<String, String> ofParts = new HashMap<>();
  private final Map<String, String> ofMethods = new HashMap<>();
  private final Map<String, String> ofPackages = new HashMap<>();

  private static final class Once {
    static final ApiWords WORDS = new ApiWords().read();
  }

  /** Read once, when the description is first asked for. */
  static ApiWords get() {
    return Once.WORDS;
  }

  /** What a type is, by its simple name; empty for what has no words. */
  String ofType(String type) {
    return ofTypes.getOrDefault(type, "");
  }

  /** What a component of a record means; empty for what has no words. */
  String ofPart(String type, String part) {
    return ofParts.getOrDefault(type + "#" + part, "");
  }

  /** What a method of a type does; empty for what has no words. */
  String ofMethod(String type, String method) {
    return ofMethods.getOrDefault(type + "#" + method, "");
  }

  /** What a module is for, by the name of its package. */
  String ofPackage(String name) {
    return ofPackages.getOrDefault(name, "");
  }

  private ApiWords read() {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  null,
                  files,
                  null,
                  List.of("-proc:none"),
                  null,
                  files.getJavaFileObjectsFromPaths(all()));
      DocTrees docs = DocTrees.instance(task);
      for (CompilationUnitTree unit : task.parse()) {
        new Reader(docs, unit).scan(unit, null);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return this;
  }

  private static List<Path> all() throws IOException {
    List<Path> all = new java.util.ArrayList<>();
    for (Path root : SOURCES) {
      try (Stream<Path> files = Files.walk(root)) {
        files.filter(file -> file.toString().endsWith(".java")).forEach(all::add);
      }
    }
    return all;
  }

  private final class Reader extends TreePathScanner<Void, Void> {
    private final DocTrees docs;
    private final CompilationUnitTree unit;

    Reader(DocTrees docs, CompilationUnitTree unit) {
      this.docs = docs;
      this.unit = unit;
    }

    @Override
    public Void visitPackage(com.sun.source.tree.PackageTree tree, Void nothing) {
      DocCommentTree doc = docs.getDocCommentTree(getCurrentPath());
      if (doc != null) {
        ofPackages.put(unit.getPackageName().toString(), words(doc.getFullBody()));
      }
      return super.visitPackage(tree, nothing);
    }

    @Override
    public Void visitClass(ClassTree type, Void nothing) {
      DocCommentTree doc = docs.getDocCommentTree(getCurrentPath());
      if (doc != null) {
        String name = type.getSimpleName().toString();
        ofTypes.merge(name, words(doc.getFullBody()), (first, second) -> first);
        parameters(name, doc);
      }
      return super.visitClass(type, nothing);
    }

    private void parameters(String name, DocCommentTree doc) {
      for (DocTree tag : doc.getBlockTags()) {
        if (tag instanceof ParamTree parameter) {
          ofParts.put(name + "#" + parameter.getName(), words(parameter.getDescription()));
        }
      }
    }

    @Override
    public Void visitMethod(MethodTree method, Void nothing) {
      DocCommentTree doc = docs.getDocCommentTree(getCurrentPath());
      if (doc != null && getCurrentPath().getParentPath().getLeaf() instanceof ClassTree type) {
        String name = type.getSimpleName() + "#" + method.getName();
        ofMethods.put(name, words(doc.getFullBody()));
        parameters(name, doc);
      }
      return super.visitMethod(method, nothing);
    }
  }

  /** As plain words: links by what they name, no markup. */
  private static String words(List<? extends DocTree> body) {
    String text = body.stream().map(DocTree::toString).collect(Collectors.joining());
    String plain =
        text.replaceAll("\\{@(?:link|code|linkplain)\\s+(?:[\\w.]*#)?([^}]*)}", "$1")
            .replaceAll("<[^>]+>", " ")
            .replaceAll("\\s+", " ")
            .strip();
    return plain.isEmpty() ? plain : Character.toUpperCase(plain.charAt(0)) + plain.substring(1);
  }
}
