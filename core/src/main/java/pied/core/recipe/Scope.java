package pied.core.recipe;

import com.ezylang.evalex.Expression;
import com.ezylang.evalex.config.ExpressionConfiguration;
import com.ezylang.evalex.data.EvaluationValue;
import com.fasterxml.jackson.databind.JsonNode;
import java.math.MathContext;
import java.util.HashMap;
import java.util.Map;
import pied.core.units.Refusal;

/**
 * The values formulas of a recipe can name: w, d and h (width, depth and height, metres), what the
 * recipe lets be, and the counters of repetitions. Functions are those of EvalEx (MIN, MAX, FLOOR,
 * IF, SIN in degrees…).
 */
final class Scope {
  private static final ExpressionConfiguration PLAIN =
      ExpressionConfiguration.builder()
          .mathContext(MathContext.DECIMAL64)
          .allowOverwriteConstants(true)
          .build();

  private final Map<String, Expression> compiled;
  private final Map<String, Double> values = new HashMap<>();

  private final double detail;

  /**
   * @param detail how many of the facets round things have are kept, to 1
   */
  Scope(Map<String, Expression> compiled, double detail) {
    this.compiled = compiled;
    this.detail = detail;
  }

  /** How many facets something has, fewer where less detail is wanted. */
  int facets(JsonNode node, int otherwise) {
    int all = (int) number(node, otherwise);
    return detail == 1 ? all : Math.max(2, (int) Math.ceil(all * detail));
  }

  /** Of so many facets something round has at least, where less detail is wanted. */
  int least(int facets) {
    return detail == 1 ? 3 : facets;
  }

  void let(String name, double value) {
    if (PLAIN.getDefaultConstants().keySet().stream().anyMatch(name::equalsIgnoreCase)) {
      throw new Refusal("A recipe cannot use the name “{}”; it is a constant", name);
    }
    values.put(name, value);
  }

  void forget(String name) {
    values.remove(name);
  }

  double number(JsonNode node, String what) {
    if (node == null || node.isNull() || node.isMissingNode()) {
      throw new Refusal("A recipe lacks “{}”", what);
    }
    return node.isNumber()
        ? node.doubleValue()
        : value(node.asText()).getNumberValue().doubleValue();
  }

  double number(JsonNode node, double otherwise) {
    return node == null || node.isMissingNode() ? otherwise : number(node, "number");
  }

  boolean holds(JsonNode node) {
    return node.isBoolean() ? node.booleanValue() : value(node.asText()).getBooleanValue();
  }

  private EvaluationValue value(String formula) {
    try {
      Expression e = compiled.get(formula);
      if (e == null) {
        e = new Expression(formula, PLAIN);
        compiled.put(formula, e);
      }
      for (String name : e.getUsedVariables()) {
        Double v = values.get(name);
        if (v != null) {
          e.with(name, v);
        }
      }
      return e.evaluate();
    } catch (com.ezylang.evalex.BaseException | RuntimeException problem) {
      throw new Refusal("A recipe's formula “{}” fails: {}", formula, problem.getMessage());
    }
  }
}
