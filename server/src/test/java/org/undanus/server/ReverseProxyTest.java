package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.InputStream;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.Key;
import java.security.KeyStore;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Behind a real reverse proxy, as docs/reverse-proxy.conf sets it up; skipped where none can be installed. */
class ReverseProxyTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--server.forward-headers-strategy=native");

    private static final Path NGINX = Path.of("/usr/sbin/nginx");
    /** Where the proxy seems to come from: told apart from whoever asks it. */
    private static final String PROXY = "127.0.0.5";

    @TempDir
    static Path folder;

    private static SSLContext before;
    private static Process proxy;
    private static String address;

    @BeforeAll
    static void aProxyStands() throws Exception {
        assumeTrue(Files.isExecutable(NGINX), "no nginx");
        Path store = folder.resolve("key.p12");
        Process made = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "keytool")
                                .toString(),
                        "-genkeypair",
                        "-alias",
                        "proxy",
                        "-keyalg",
                        "EC",
                        "-dname",
                        "CN=localhost",
                        "-ext",
                        "SAN=dns:localhost",
                        "-keystore",
                        store.toString(),
                        "-storepass",
                        "for a test")
                .redirectErrorStream(true)
                .start();
        assertThat(made.waitFor(30, TimeUnit.SECONDS)).isTrue();
        KeyStore keys = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(store)) {
            keys.load(in, "for a test".toCharArray());
        }
        Key key = keys.getKey("proxy", "for a test".toCharArray());
        pem("key.pem", "PRIVATE KEY", key.getEncoded());
        pem("certificate.pem", "CERTIFICATE", keys.getCertificate("proxy").getEncoded());
        trust(keys);

        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        address = "https://localhost:" + port;
        String block = Files.readString(Path.of("../docs/reverse-proxy.conf"))
                .replace("127.0.0.1:8443", "127.0.0.1:" + port)
                .replace("http://127.0.0.1:8080;", SERVER.address() + ";\n        proxy_bind " + PROXY + ";")
                .replace("//localhost", "//127.0.0.1")
                .replace("/etc/ssl/undanus", folder.toString());
        Path configuration = Files.writeString(
                folder.resolve("nginx.conf"),
                "daemon off; pid " + folder + "/pid; error_log " + folder
                        + "/error.log; events {}\nhttp { access_log off;"
                        + " client_body_temp_path " + folder + "/body; proxy_temp_path " + folder + "/proxy;"
                        + " fastcgi_temp_path " + folder + "/f; uwsgi_temp_path " + folder + "/u; scgi_temp_path "
                        + folder + "/s;\n" + block + "}\n");
        proxy = new ProcessBuilder(NGINX.toString(), "-c", configuration.toString(), "-p", folder.toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("said").toFile())
                .start();
        for (int i = 0; i < 100 && !answers(port); i++) {
            assertThat(proxy.isAlive())
                    .as(Files.readString(folder.resolve("said")))
                    .isTrue();
            TimeUnit.MILLISECONDS.sleep(50);
        }
    }

    private static boolean answers(int port) {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            return socket.isConnected();
        } catch (IOException e) {
            return false;
        }
    }

    private static void pem(String name, String kind, byte[] content) throws IOException {
        String text = Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(content);
        Files.writeString(
                folder.resolve(name), "-----BEGIN " + kind + "-----\n" + text + "\n-----END " + kind + "-----\n");
    }

    private static void trust(KeyStore keys) throws Exception {
        KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
        trusted.load(null, null);
        trusted.setCertificateEntry("proxy", keys.getCertificate("proxy"));
        TrustManagerFactory managers = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        managers.init(trusted);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, managers.getTrustManagers(), null);
        before = SSLContext.getDefault();
        SSLContext.setDefault(context);
    }

    @AfterAll
    static void theProxyEnds() throws InterruptedException {
        if (proxy != null) {
            proxy.destroy();
            proxy.waitFor(10, TimeUnit.SECONDS);
        }
        if (before != null) {
            SSLContext.setDefault(before);
        }
    }

    private static Client signedIn() {
        Client client = new Client(address);
        client.signIn("inspector", "inspector-demo").expect(200);
        return client;
    }

    @Test
    void cookiesAreSecureAndTheAddressIsThatOfWhoAsksTheProxy() {
        Client client = new Client(address);
        Client.Answer first = client.get("/api/session");
        assertThat(first.response().headers().allValues("Set-Cookie"))
                .isNotEmpty()
                .allMatch(cookie -> cookie.contains("Secure"));
        client.signIn("inspector", "inspector-demo").expect(200);
        JsonNode sessions = client.get("/api/session/list").expect(200).json();
        assertThat(sessions.valueStream().map(each -> each.path("from").asString()))
                .contains("127.0.0.1")
                .doesNotContain(PROXY);
    }

    @Test
    void theSchemeIsTheProxys() {
        assertThat(signedIn().get("/api/session").header("Strict-Transport-Security"))
                .as("said where the request came by HTTPS")
                .contains("max-age");
        assertThat(SERVER.client().get("/api/session").header("Strict-Transport-Security"))
                .isEmpty();
    }

    @Test
    void aChangeIsSavedAndWhatComesInIsHeardAtOnce() throws Exception {
        Client client = signedIn();
        String id = client.installation("LH-36");
        HttpResponse<Stream<String>> feed = client.follow("/api/installations/" + id + "/live/feed");
        CompletableFuture<List<String>> heard = CompletableFuture.supplyAsync(() ->
                feed.body().filter(line -> line.startsWith("event:")).limit(1).toList());
        assertThat(heard.get(5, TimeUnit.SECONDS)).containsExactly("event:following");
        client.save(id, "siting.outdoor-clearance-front", "outdoor-1", "41 in").expect(201);
    }

    @Test
    void whatIsTooLargeIsSaidInWordsByUndanusItself() {
        Client client = signedIn();
        String id = client.installation("LH-36");
        Client.Answer answer =
                client.upload("/api/installations/" + id + "/photos?component=outdoor-1", new byte[13 << 20]);
        assertThat(answer.expect(413).detail()).contains("larger than the 12288 kB");
        assertThat(client.post("/api/installations/" + id + "/corrections", Map.of("words", "x".repeat(2 << 20)))
                        .status())
                .isEqualTo(413);
    }
}
