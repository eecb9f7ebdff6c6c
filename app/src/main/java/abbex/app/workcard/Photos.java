package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Iterator;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Photos of steps: told by their content, turned upright, made small enough, and written anew without what a camera adds. */
@Component
class Photos {
    /** No side is longer, pixels. */
    static final int LONGEST = 2560;

    /** More pixels than any camera of a tablet has (ours): a file that unpacks to more is none. */
    private static final long MOST_PIXELS = 120_000_000;

    private static final double QUALITY = 0.85;

    private final JdbcClient jdbc;
    private final Clock clock;

    Photos(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What became of a file. */
    sealed interface Read {
        record Taken(byte[] jpeg) implements Read {}

        /** A picture of a kind that no browser but one shows. */
        record Heic() implements Read {}

        record None() implements Read {}
    }

    static Read read(byte[] file) {
        String head = new String(file, 0, Math.min(16, file.length), StandardCharsets.ISO_8859_1);
        if (head.startsWith("ftyp", 4) && head.substring(8).matches("(?s)(heic|heix|mif1|hevc|msf1|avif).*")) {
            return new Read.Heic();
        }
        boolean jpeg = head.startsWith("\u00ff\u00d8\u00ff");
        boolean png = head.startsWith("\u0089PNG");
        Optional<Size> size = jpeg || png ? size(file) : Optional.empty();
        if (size.isEmpty() || size.get().pixels() > MOST_PIXELS) {
            return new Read.None();
        }
        try {
            var photo = Thumbnails.of(new ByteArrayInputStream(file));
            var fitting = size.get().fits() ? photo.scale(1) : photo.size(LONGEST, LONGEST);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            fitting.imageType(BufferedImage.TYPE_INT_RGB)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(out);
            return new Read.Taken(out.toByteArray());
        } catch (IOException | RuntimeException broken) {
            return new Read.None();
        }
    }

    private record Size(int width, int height) {
        private long pixels() {
            return (long) width * height;
        }

        private boolean fits() {
            return Math.max(width, height) <= LONGEST;
        }
    }

    /** As its head says; empty for what has none. */
    private static Optional<Size> size(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return Optional.empty();
            }
            ImageReader reader = readers.next();
            reader.setInput(in);
            Size size = new Size(reader.getWidth(0), reader.getHeight(0));
            reader.dispose();
            return Optional.of(size);
        } catch (IOException | RuntimeException broken) {
            return Optional.empty();
        }
    }

    UUID add(Person by, Job job, String step, byte[] jpeg) {
        UUID id = Ids.fresh();
        jdbc.sql("""
                        insert into card_photo (id, shop_id, job_id, step, body, person_id, made_at)
                        values (:id, :shop, :job, :step, :body, :person, :at)
                        """)
                .param("id", id.toString())
                .param("shop", by.shop().toString())
                .param("job", job.id().toString())
                .param("step", step)
                .param("body", jpeg)
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        return id;
    }

    Optional<byte[]> find(UUID shop, UUID job, UUID id) {
        return jdbc.sql("select body from card_photo where id = :id and shop_id = :shop and job_id = :job")
                .param("id", id.toString())
                .param("shop", shop.toString())
                .param("job", job.toString())
                .query((row, n) -> row.getBytes("body"))
                .optional();
    }
}
