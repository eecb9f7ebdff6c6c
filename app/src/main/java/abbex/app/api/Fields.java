package abbex.app.api;

import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;

/** An object of a request: its fields by name, anything unknown or of another type refused. */
final class Fields {
    private final String path;
    private final JsonNode node;

    Fields(String path, JsonNode node, Collection<String> known) {
        this.path = path;
        this.node = node;
        if (!node.isObject()) {
            throw ApiProblem.field(path, node.toString(), "An object is needed here.", "{…}");
        }
        Set<String> unknown = new TreeSet<>(node.propertyNames());
        unknown.removeAll(known);
        if (!unknown.isEmpty()) {
            String first = unknown.iterator().next();
            throw ApiProblem.field(at(first), first, "There is no such field here.", String.join(", ", known));
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
            throw ApiProblem.field(at(name), value.toString(), "A text is needed here.", "\"25 7/16\"");
        }
        return Optional.of(value.stringValue());
    }

    Optional<Fields> object(String name, Collection<String> known) {
        JsonNode value = node.get(name);
        return value == null || value.isNull() ? Optional.empty() : Optional.of(new Fields(at(name), value, known));
    }
}
