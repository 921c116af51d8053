package org.undanus.server;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;

/** A request whose head and first byte are sent, and whose rest is held back until its answer is wanted. */
final class HeldRequest implements AutoCloseable {
    private static final Duration LET_IN = Duration.ofMillis(400);

    private final Socket socket;
    private final byte[] body;

    HeldRequest(URI address, String head, byte[] body) throws IOException, InterruptedException {
        this.body = body;
        socket = new Socket(address.getHost(), address.getPort());
        socket.setSoTimeout((int) Duration.ofSeconds(20).toMillis());
        String all = head + "Content-Length: " + body.length + "\r\nConnection: close\r\n\r\n";
        socket.getOutputStream().write(all.getBytes(StandardCharsets.ISO_8859_1));
        socket.getOutputStream().write(body, 0, 1);
        socket.getOutputStream().flush();
        // until it waits for the rest of its body
        Thread.sleep(LET_IN.toMillis());
    }

    /** Sends the rest; the answer as it came. */
    String answer() throws IOException {
        socket.getOutputStream().write(body, 1, body.length - 1);
        socket.getOutputStream().flush();
        return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
