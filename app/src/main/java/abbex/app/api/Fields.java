package abbex.app.api;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/** An object of a request: its fields by name, anything unknown or of another type refused. */
final class Fields {
    private final String path;
    private final JsonNode node;

    Fields(String path, JsonNode node, Collection<String> known) {
        this.path = path;
        this.node = node;
        if (!node.isObject()) {
            throw ApiProblem.field(path, node.toString(), "api.field.object", "{…}");
        }
        Set<String> unknown = new TreeSet<>(node.propertyNames());
        unknown.removeAll(known);
        if (!unknown.isEmpty()) {
            String first = unknown.iterator().next();
            throw ApiProblem.field(at(first), first, "api.field.unknown", String.join(", ", known));
        }
    }

    /** The name of a field as an error says it. */
    String at(String name) {
        return path.isEmpty() ? name : path + "." + name;
    }

    Optional<String> text(String name) {
        JsonNode value = node.get(name);
        if (value == null || value.isNull()) {
            return Optional.empty();
        }
        if (!value.isString()) {
            throw ApiProblem.field(at(name), value.toString(), "api.field.text", "\"25 7/16\"");
        }
        return Optional.of(value.stringValue());
    }

    Optional<Boolean> bool(String name) {
        JsonNode value = node.get(name);
        if (value == null || value.isNull()) {
            return Optional.empty();
        }
        if (!value.isBoolean()) {
            throw ApiProblem.field(at(name), value.toString(), "api.field.bool", "true");
        }
        return Optional.of(value.booleanValue());
    }

    boolean has(String name) {
        JsonNode value = node.get(name);
        return value != null && !value.isNull();
    }

    /** The objects of an array, each with the same fields; none when there is no array. */
    List<Fields> list(String name, Collection<String> known, int most) {
        JsonNode value = node.get(name);
        if (value == null || value.isNull()) {
            return List.of();
        }
        if (!value.isArray()) {
            throw ApiProblem.field(at(name), value.toString(), "api.field.array", "[{…}]");
        }
        if (value.size() > most) {
            throw ApiProblem.of(422, "api.many", "field", at(name), "count", value.size(), "most", most);
        }
        List<Fields> all = new ArrayList<>();
        for (int i = 0; i < value.size(); i++) {
            all.add(new Fields(at(name) + "[" + i + "]", value.get(i), known));
        }
        return List.copyOf(all);
    }

    /** A plain number between two others. */
    Optional<BigDecimal> number(String name, double least, double most) {
        JsonNode value = node.get(name);
        if (value == null || value.isNull()) {
            return Optional.empty();
        }
        String range = "from " + plain(least) + " to " + plain(most);
        if (!value.isNumber()) {
            throw ApiProblem.field(at(name), value.toString(), "api.field.number", range);
        }
        BigDecimal number = value.decimalValue();
        if (number.doubleValue() < least || number.doubleValue() > most) {
            throw ApiProblem.field(at(name), value.toString(), "api.field.range", range);
        }
        return Optional.of(number);
    }

    private static String plain(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    /** An object whose fields the caller names. */
    Optional<Fields> open(String name, Pattern names, int most) {
        JsonNode value = node.get(name);
        if (value == null || value.isNull()) {
            return Optional.empty();
        }
        Fields open = new Fields(at(name), value, value.isObject() ? value.propertyNames() : Set.of());
        if (open.names().size() > most) {
            throw ApiProblem.of(
                    422, "api.many", "field", at(name), "count", open.names().size(), "most", most);
        }
        open.names().stream()
                .filter(n -> !names.matcher(n).matches())
                .findFirst()
                .ifPresent(n -> {
                    throw ApiProblem.field(at(name), n, "api.field.name", "splitter");
                });
        return Optional.of(open);
    }

    /** Its fields, in order of their names. */
    Set<String> names() {
        return new TreeSet<>(node.propertyNames());
    }

    Optional<Fields> object(String name, Collection<String> known) {
        JsonNode value = node.get(name);
        return value == null || value.isNull() ? Optional.empty() : Optional.of(new Fields(at(name), value, known));
    }
}
