package db.migration;

import abbex.app.facts.Facts;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;

/** What a sheet was made from, and where a low point is measured from, are kept as codes; both were sentences. */
public class V12__codes_not_words extends BaseJavaMigration {
    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (Statement statement = connection.createStatement()) {
            statement.execute("alter table handed_over add column facts mediumtext null");
            statement.execute(
                    "alter table low_point add column along_from varchar(8) not null default '' after along_raw");
        }
        handedOver(connection);
        lowPoints(connection);
        try (Statement statement = connection.createStatement()) {
            statement.execute("alter table handed_over modify facts mediumtext not null");
            statement.execute("alter table handed_over drop column inputs");
        }
    }

    private static void handedOver(Connection connection) throws SQLException {
        try (PreparedStatement all =
                        connection.prepareStatement("select id, job_id, made_at, inputs from handed_over");
                PreparedStatement keep = connection.prepareStatement("update handed_over set facts = ? where id = ?");
                ResultSet row = all.executeQuery()) {
            while (row.next()) {
                String job = row.getString("job_id");
                FormerInputs former =
                        new FormerInputs(stages(connection, job, row.getString("made_at")), lowNames(connection, job));
                Facts facts = former.read(row.getString("inputs"));
                keep.setString(1, facts.stored());
                keep.setString(2, row.getString("id"));
                keep.executeUpdate();
            }
        }
    }

    /** The sheets that a job had by then, each with its stage. */
    private static Map<Integer, String> stages(Connection connection, String job, String by) throws SQLException {
        Map<Integer, String> stages = new TreeMap<>();
        try (PreparedStatement of = connection.prepareStatement(
                "select seq, stage from sheet where job_id = ? and made_at <= ? order by seq")) {
            of.setString(1, job);
            of.setString(2, by);
            try (ResultSet row = of.executeQuery()) {
                while (row.next()) {
                    stages.put(row.getInt("seq"), row.getString("stage"));
                }
            }
        }
        return stages;
    }

    private static List<FormerInputs.Low> lowNames(Connection connection, String job) throws SQLException {
        List<FormerInputs.Low> names = new ArrayList<>();
        try (PreparedStatement of = connection.prepareStatement("""
                select p.kind, p.name, p.along_raw from low_point p join job j on j.vehicle_id = p.vehicle_id
                 where j.id = ?
                """)) {
            of.setString(1, job);
            try (ResultSet row = of.executeQuery()) {
                while (row.next()) {
                    names.add(new FormerInputs.Low(
                            row.getString("kind"), row.getString("name"), row.getString("along_raw")));
                }
            }
        }
        return names;
    }

    private static void lowPoints(Connection connection) throws SQLException {
        try (PreparedStatement all = connection.prepareStatement("select id, kind, name, along_raw from low_point");
                PreparedStatement keep = connection.prepareStatement(
                        "update low_point set name = ?, along_raw = ?, along_from = ? where id = ?");
                ResultSet row = all.executeQuery()) {
            while (row.next()) {
                FormerInputs.Low low =
                        new FormerInputs.Low(row.getString("kind"), row.getString("name"), row.getString("along_raw"));
                keep.setString(1, low.given());
                keep.setString(2, low.raw());
                keep.setString(3, low.from());
                keep.setString(4, row.getString("id"));
                keep.executeUpdate();
            }
        }
    }
}
