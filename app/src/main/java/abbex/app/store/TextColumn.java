package abbex.app.store;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Free texts that stand in one column of a station's own table. */
public final class TextColumn implements FreeTexts {
    private final JdbcClient jdbc;
    private final String name;
    private final String find;
    private final String put;

    /**
     * @param name what such a text is, as its words are called
     * @param find asks for {@code id} and {@code text} of :shop, :job and :vehicle
     * @param put writes :now into the row :id of :shop
     */
    public TextColumn(JdbcClient jdbc, String name, String find, String put) {
        this.jdbc = jdbc;
        this.name = name;
        this.find = find;
        this.put = put;
    }

    @Override
    public List<FreeText> of(Of stay) {
        return jdbc
                .sql(find)
                .param("shop", stay.shop().toString())
                .param("job", stay.job().toString())
                .param("vehicle", stay.vehicle().toString())
                .query((row, n) -> new FreeText(name, row.getString("id"), row.getString("text")))
                .list()
                .stream()
                .filter(text -> !text.text().isBlank())
                .toList();
    }

    @Override
    public void put(UUID shop, FreeText text, String now) {
        if (text.name().equals(name)) {
            jdbc.sql(put)
                    .param("now", now)
                    .param("id", text.id())
                    .param("shop", shop.toString())
                    .update();
        }
    }
}
