package abbex.app.support;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The start command, as a person runs it in a terminal. */
public final class Script {
    /** What a command printed on both streams, and its exit status. */
    public record Run(int status, String said) {}

    private Script() {}

    public static Run abbex(String... arguments) {
        List<String> command = new ArrayList<>(List.of("../abbex"));
        command.addAll(List.of(arguments));
        return run(command.toArray(String[]::new));
    }

    /** A command at work; what it prints goes to the log. The application that it starts is the one under test. */
    public static Process started(Path log, String... command) throws IOException {
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile());
        builder.environment().put("ABBEX_CLASSES", System.getProperty("java.class.path"));
        return builder.start();
    }

    public static Run run(String... command) {
        try {
            Path log = Path.of("target", "script-" + System.nanoTime() + ".log");
            Process process = started(log, command);
            if (!process.waitFor(300, TimeUnit.SECONDS)) {
                process.destroyForcibly();
                throw new IllegalStateException(String.join(" ", command) + " took too long, see " + log);
            }
            return new Run(process.exitValue(), java.nio.file.Files.readString(log, StandardCharsets.UTF_8));
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
