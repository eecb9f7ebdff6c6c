package abbex.app.measure;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What was said of a sheet's state, entry by entry. */
@Component
class StateEntries {
    private static final String SAID = """
            select item, raw from state_entry
             where shop_id = :shop and sheet_id = :sheet and id <= :upto order by id
            """;

    private final JdbcClient jdbc;

    StateEntries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The texts as they stood after an entry. */
    Map<String, String> upTo(UUID shop, SheetRow sheet, int entry) {
        Map<String, String> said = new HashMap<>();
        jdbc.sql(SAID)
                .param("shop", shop.toString())
                .param("sheet", sheet.id().toString())
                .param("upto", entry)
                .query(row -> {
                    said.put(row.getString("item"), row.getString("raw"));
                });
        return said;
    }
}
