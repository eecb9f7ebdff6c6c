package abbex.app.instruments;

import abbex.core.instrument.FrameReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** The line on which instruments come in: on this computer only, a connection a device. */
@Component
class InstrumentPort implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(InstrumentPort.class);
    private static final int MOST_CONNECTIONS = 32;
    private static final int BUFFER = 4096;

    /** A device that says nothing for so long has gone without saying so, ms. */
    private static final int QUIET = 60_000;

    /** Until a port that is held is tried again, ms. */
    private static final int AGAIN = 500;

    private final Intake intake;
    private final int asked;
    private final Set<Socket> connections = ConcurrentHashMap.newKeySet();
    private volatile boolean running;
    private volatile @Nullable ServerSocket server;

    /** @param asked the port; 0 for any that is free, below that none */
    InstrumentPort(Intake intake, @Value("${abbex.instruments.port:-1}") int asked) {
        this.intake = intake;
        this.asked = asked;
    }

    @Override
    public void start() {
        if (asked < 0) {
            return;
        }
        running = true;
        if (!open()) {
            // Typing goes on without instruments; a port that is held for a moment is not given up for good.
            LOG.warn("Port {} for instruments is not free: tried again until it is", asked);
        }
        begin("instruments", this::listen);
    }

    /** False where somebody else holds the port, be it the line itself a moment after it was shut. */
    private synchronized boolean open() {
        try {
            if (running) {
                server = new ServerSocket(asked, MOST_CONNECTIONS, InetAddress.getLoopbackAddress());
            }
            return true;
        } catch (IOException taken) {
            return false;
        }
    }

    /** The port that it listens on; below 0 for none. */
    synchronized int port() {
        return server == null ? -1 : server.getLocalPort();
    }

    private static void begin(String name, Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }

    private void listen() {
        try {
            while (port() < 0) {
                Thread.sleep(AGAIN);
                if (!running) {
                    return;
                }
                open();
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            return;
        }
        ServerSocket on = server;
        while (on != null && !on.isClosed()) {
            try {
                Socket socket = on.accept();
                if (connections.size() >= MOST_CONNECTIONS) {
                    socket.close();
                } else {
                    connections.add(socket);
                    begin("instrument", () -> serve(socket));
                }
            } catch (IOException closed) {
                // Closed while it waited, or a device that left at once.
            }
        }
    }

    private void serve(Socket socket) {
        try (socket) {
            socket.setSoTimeout(QUIET);
            InputStream in = socket.getInputStream();
            Consumer<String> say = out(socket.getOutputStream());
            FrameReader reader = new FrameReader(parsed -> intake.line(parsed, say));
            byte[] bytes = new byte[BUFFER];
            for (int count = in.read(bytes); count >= 0; count = in.read(bytes)) {
                reader.feed(bytes, count);
            }
        } catch (IOException | DataAccessException gone) {
            // What was not acknowledged comes again on the next connection.
        } finally {
            connections.remove(socket);
        }
    }

    private static Consumer<String> out(OutputStream out) {
        return line -> {
            try {
                synchronized (out) {
                    out.write(line.getBytes(StandardCharsets.ISO_8859_1));
                    out.flush();
                }
            } catch (IOException gone) {
                // Its reader ends by itself.
            }
        };
    }

    @Override
    public synchronized void stop() {
        running = false;
        try {
            if (server != null) {
                server.close();
            }
            for (Socket socket : connections) {
                socket.close();
            }
        } catch (IOException closed) {
            // It is closed.
        }
        server = null;
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
