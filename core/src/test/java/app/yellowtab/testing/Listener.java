package app.yellowtab.testing;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.util.concurrent.atomic.AtomicInteger;

/** Listens on this machine, and counts who asks. */
public final class Listener implements AutoCloseable {
    private final AtomicInteger asked = new AtomicInteger();
    private final ServerSocket server;

    public Listener() throws IOException {
        server = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        Thread.ofPlatform().daemon().start(() -> {
            while (!server.isClosed()) {
                try {
                    server.accept().close();
                    asked.incrementAndGet();
                } catch (IOException closed) {
                    return;
                }
            }
        });
    }

    /** {@return its address, with a slash at the end} */
    public String address() {
        return "http://127.0.0.1:" + server.getLocalPort() + "/";
    }

    /** {@return how many connections there were} */
    public int asked() {
        return asked.get();
    }

    @Override
    public void close() throws IOException {
        server.close();
    }
}
