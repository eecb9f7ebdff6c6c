package db.migration;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was handed over says the bump of each wheel by itself, and calls a single track's wheels by their ends. */
public class V17__a_bump_a_wheel extends BaseJavaMigration {
    private static final List<String> WALK = List.of("LF", "RF", "RR", "LR");

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (PreparedStatement all = connection.prepareStatement("""
                        select h.id, h.facts, v.kind from handed_over h
                          join job j on j.id = h.job_id join vehicle v on v.id = j.vehicle_id
                        """);
                PreparedStatement keep = connection.prepareStatement("update handed_over set facts = ? where id = ?");
                ResultSet row = all.executeQuery()) {
            while (row.next()) {
                JsonNode stored = JsonMapper.shared().readTree(row.getString("facts"));
                change((ArrayNode) stored.get("facts"), row.getString("kind").equals("MOTORCYCLE"));
                keep.setString(1, JsonMapper.shared().writeValueAsString(stored));
                keep.setString(2, row.getString("id"));
                keep.executeUpdate();
            }
        }
    }

    private static void change(ArrayNode facts, boolean single) {
        for (int i = facts.size() - 1; i >= 0; i--) {
            ObjectNode fact = (ObjectNode) facts.get(i);
            if (fact.get("kind").asString().equals("ROAD_TEST")) {
                bumps(facts, i, fact);
            }
        }
        if (single) {
            ends(facts);
        }
    }

    private static void ends(ArrayNode facts) {
        for (int i = facts.size() - 1; i >= 0; i--) {
            ArrayNode about = (ArrayNode) facts.get(i).get("about");
            if (!List.of("PROBE", "ROAD_MARK", "REMEDY", "ROAD_BUMP")
                    .contains(facts.get(i).get("kind").asString())) {
                continue;
            }
            switch (about.get(0).asString()) {
                case "LF" -> about.set(0, "FRONT");
                case "LR" -> about.set(0, "REAR");
                default -> facts.remove(i);
            }
        }
    }

    /** The four bumps that stood first become a fact each. */
    private static void bumps(ArrayNode facts, int at, ObjectNode fact) {
        ArrayNode says = (ArrayNode) fact.get("says");
        if (says.size() <= WALK.size()) {
            return;
        }
        for (String corner : WALK) {
            ObjectNode own = facts.insertObject(++at);
            own.put("kind", "ROAD_BUMP");
            own.putArray("about").add(corner);
            own.putArray("says").add(says.remove(0).asString());
        }
    }
}
