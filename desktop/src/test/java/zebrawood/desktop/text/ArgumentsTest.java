package zebrawood.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Types;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/**
 * Every place in a bundle's text gets an argument, and every argument is something that a
 * phrasebook can say. The compiler itself reads the sources and says of what type each argument is.
 */
class ArgumentsTest {
  private static final List<String> CAN_BE_SAID =
      List.of(
          "java.lang.String",
          "java.lang.Integer",
          "java.lang.Long",
          "zebrawood.quantity.Amount",
          "zebrawood.words.Message");

  private final List<String> wrong = new ArrayList<>();
  private int checked;

  @Test
  void everyPlaceGetsAnArgumentThatCanBeSaid() throws IOException {
    Map<String, String> defined = TextTest.defined();
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  null,
                  files,
                  problem -> {},
                  List.of("-proc:none", "-classpath", System.getProperty("java.class.path")),
                  null,
                  files.getJavaFileObjectsFromPaths(TextTest.files(".java")));
      var units = task.parse();
      task.analyze();
      Calls calls = new Calls(Trees.instance(task), task.getTypes(), defined);
      units.forEach(unit -> calls.scan(unit, null));
    }
    assertThat(wrong).isEmpty();
    assertThat(checked).isGreaterThan(500);
  }

  /** What is called with a key and its arguments. */
  private final class Calls extends TreePathScanner<Void, Void> {
    private final Trees trees;
    private final Types types;
    private final Map<String, String> defined;

    Calls(Trees trees, Types types, Map<String, String> defined) {
      this.trees = trees;
      this.types = types;
      this.defined = defined;
    }

    @Override
    public Void visitMethodInvocation(MethodInvocationTree call, Void none) {
      if (trees.getElement(getCurrentPath()) instanceof ExecutableElement method
          && method.isVarArgs()
          && method.getParameters().getLast().asType().toString().equals("java.lang.Object[]")) {
        // The key stands right before the arguments.
        int at = method.getParameters().size() - 2;
        List<? extends ExpressionTree> given = call.getArguments();
        if (at >= 0 && at < given.size()) {
          List<String> keys = keys(given.get(at)).filter(defined::containsKey).toList();
          if (!keys.isEmpty()) {
            check(keys, given.subList(at + 1, given.size()));
          }
        }
      }
      return super.visitMethodInvocation(call, none);
    }

    private Stream<String> keys(ExpressionTree key) {
      return switch (key) {
        case LiteralTree literal when literal.getValue() instanceof String s -> Stream.of(s);
        case ParenthesizedTree inner -> keys(inner.getExpression());
        case ConditionalExpressionTree either ->
            Stream.concat(keys(either.getTrueExpression()), keys(either.getFalseExpression()));
        default -> Stream.empty();
      };
    }

    private void check(List<String> keys, List<? extends ExpressionTree> arguments) {
      List<TypeMirror> given =
          arguments.stream().flatMap(this::alternatives).map(this::type).toList();
      arguments.stream()
          .flatMap(this::alternatives)
          .filter(a -> a instanceof LiteralTree l && l.getValue() instanceof String)
          .filter(a -> a.toString().matches(".*[a-zA-Z]{2}.*"))
          .filter(a -> !a.toString().matches("\"[a-z]+[A-Z]\\w*\"")) // a field of a document
          .forEach(a -> wrong.add(keys + " gets a word that is in no bundle: " + a));
      if (given.size() == 1 && given.getFirst().getKind() == TypeKind.ARRAY) {
        return; // handed on from a method that is itself checked where it is called
      }
      checked++;
      int needed = keys.stream().mapToInt(k -> places(defined.get(k))).max().orElseThrow();
      if (needed != arguments.size()) {
        wrong.add(keys + " has " + needed + " places and gets " + arguments.size());
      }
      given.stream()
          .filter(t -> !canBeSaid(t))
          .forEach(t -> wrong.add(keys + " cannot say a " + t));
    }

    private Stream<ExpressionTree> alternatives(ExpressionTree argument) {
      return switch (argument) {
        case ConditionalExpressionTree either ->
            Stream.concat(
                alternatives(either.getTrueExpression()),
                alternatives(either.getFalseExpression()));
        default -> Stream.of(argument);
      };
    }

    private TypeMirror type(ExpressionTree argument) {
      return trees.getTypeMirror(TreePath.getPath(getCurrentPath(), argument));
    }

    private boolean canBeSaid(TypeMirror type) {
      return switch (type.getKind()) {
        case INT, LONG -> true;
        case DECLARED ->
            CAN_BE_SAID.contains(type.toString())
                || types.directSupertypes(types.erasure(type)).stream()
                    .anyMatch(s -> s.toString().startsWith("java.lang.Enum"));
        case INTERSECTION, TYPEVAR ->
            types.directSupertypes(type).stream()
                .anyMatch(s -> canBeSaid(s) || s.toString().startsWith("java.lang.Enum"));
        default -> false;
      };
    }
  }

  /** Counted here again, apart from what fills them. */
  private static int places(String text) {
    int next = 0;
    int most = 0;
    for (int i = text.indexOf('%'); i >= 0; i = text.indexOf('%', i)) {
      char then = text.charAt(i + 1);
      if (Character.isDigit(then)) {
        most = Math.max(most, then - '0');
      } else if (then == 's') {
        next++;
      }
      i += 2;
    }
    return Math.max(most, next);
  }
}
