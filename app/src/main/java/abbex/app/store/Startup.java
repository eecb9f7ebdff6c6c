package abbex.app.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Tells the start command that the application answers, and what to sign in with. */
@Component
class Startup {
    private final List<FirstShop> firstShops;
    private final String first;
    private final String signInFile;
    private final String readyFile;

    Startup(
            List<FirstShop> firstShops,
            @Value("${abbex.first}") String first,
            @Value("${abbex.sign-in-file}") String signInFile,
            @Value("${abbex.ready-file}") String readyFile) {
        this.firstShops = firstShops;
        this.first = first;
        this.signInFile = signInFile;
        this.readyFile = readyFile;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) throws IOException {
        Optional<FirstShop> shop =
                firstShops.stream().filter(s -> s.name().equals(first)).findFirst();
        if (shop.isPresent()) {
            Path file = signInFile.isEmpty() ? null : Path.of(signInFile);
            String before =
                    file != null && Files.exists(file) ? Files.readString(file).strip() : "";
            String line = shop.get().signIn(before);
            if (file != null) {
                Files.writeString(file, line + "\n");
            }
        }
        if (!readyFile.isEmpty()) {
            Files.createFile(Path.of(readyFile));
        }
    }
}
