package abbex.app.support;

import abbex.app.App;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** The application with the demo over a private MariaDB, started once for all tests of a process; several run side by side. */
public final class Shop implements BeforeAllCallback {
    private static final String FORK = System.getProperty("abbex.fork", "1");
    private static final Path DATA = Path.of("target", "test-data-" + FORK).toAbsolutePath();
    private static ConfigurableApplicationContext app;

    @Override
    public void beforeAll(ExtensionContext context) throws Exception {
        open();
    }

    private static synchronized void open() throws Exception {
        if (app != null) {
            return;
        }
        database("stop");
        run("rm", "-rf", DATA.toString());
        database("start");
        Runtime.getRuntime().addShutdownHook(new Thread(() -> {
            app.close();
            database("stop");
        }));
        app = start();
        // From here on it is a data folder like one that the start command made.
        Files.writeString(DATA.resolve("holds"), "mysql demo\n");
    }

    /** Another process's worth of application over the same database; the caller closes it. */
    public static ConfigurableApplicationContext start(String... more) throws IOException {
        return startOver(DATA, more);
    }

    /** The application over the database of another data folder; the caller closes it. */
    public static ConfigurableApplicationContext startOver(Path data, String... more) throws IOException {
        Properties database = new Properties();
        try (var in = Files.newInputStream(data.resolve("db.properties"))) {
            database.load(in);
        }
        List<String> arguments = new ArrayList<>(List.of(
                "--server.port=0",
                "--abbex.first=demo",
                "--abbex.sign-in-file=" + data.resolve("sign-in"),
                "--abbex.journal=" + data.resolve("own/journal"),
                "--abbex.instruments.port=0",
                "--abbex.api.per-minute=100000",
                "--abbex.strangers.at-once=1000000",
                "--logging.level.root=error"));
        for (String own : more) {
            arguments.removeIf(a -> a.startsWith(own.substring(0, own.indexOf('=') + 1)));
            arguments.add(own);
        }
        database.forEach((name, value) -> arguments.add("--" + name + "=" + value));
        return new SpringApplicationBuilder(App.class)
                .initializers((GenericApplicationContext context) -> context.registerBean(
                        "later", Clock.class, Later::new, definition -> definition.setPrimary(true)))
                .run(arguments.toArray(String[]::new));
    }

    /** The account that migrations have: the application's own can change no table. */
    public static JdbcClient owner() throws IOException {
        Properties database = new Properties();
        try (var in = Files.newInputStream(DATA.resolve("db.properties"))) {
            database.load(in);
        }
        return JdbcClient.create(new DriverManagerDataSource(
                database.getProperty("spring.flyway.url"),
                database.getProperty("spring.flyway.user"),
                database.getProperty("spring.flyway.password")));
    }

    public static Path data() {
        return DATA;
    }

    /** The database dies as in a power cut. */
    public static void killDatabase() throws IOException {
        signal("KILL");
    }

    /** The database stops answering without ending, as on a disk that hangs; {@code false} lets it go on. */
    public static void holdDatabase(boolean hold) throws IOException {
        signal(hold ? "STOP" : "CONT");
    }

    /** By the shell's own command: a bare machine has no program of that name. */
    private static void signal(String name) throws IOException {
        run(
                "bash",
                "-c",
                "kill -" + name + " " + Files.readString(DATA.resolve("db.pid")).strip());
    }

    public static void startDatabase() {
        database("start");
    }

    private static void database(String what) {
        run("../abbex", "database", what, "--data", DATA.toString());
    }

    private static void run(String... command) {
        try {
            ProcessBuilder builder = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(
                            Path.of("target", "test-database-" + FORK + ".log").toFile()));
            // It is killed in tests, and outlives that; a power cut it need not outlive, and a slow disk holds up
            // nobody.
            builder.environment().put("ABBEX_DATABASE_MORE", "--innodb-flush-log-at-trx-commit=2");
            Process process = builder.start();
            if (!process.waitFor(60, TimeUnit.SECONDS) || process.exitValue() != 0) {
                throw new IllegalStateException(
                        String.join(" ", command) + " failed, see target/test-database-" + FORK + ".log");
            }
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    public static ConfigurableApplicationContext context() {
        return app;
    }

    public static <T> T bean(Class<T> type) {
        return app.getBean(type);
    }

    public static String address() {
        return address(app);
    }

    public static String address(ConfigurableApplicationContext of) {
        return "http://127.0.0.1:" + of.getEnvironment().getProperty("local.server.port");
    }

    /** All people of the demo sign in with the one password that its first start made. */
    public static String password() {
        try {
            return Files.readString(DATA.resolve("sign-in")).strip().split(" / ")[1];
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
