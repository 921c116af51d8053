package org.undanus.server.signing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.Signature;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.words.Text;
import org.undanus.server.problem.StartRefusedException;

/**
 * The Ed25519 key (RFC 8032) that the journal's ends and sealed visits are signed with. It lies in a file of its own beside the
 * database, in PEM (RFC 7468), readable by its owner alone; the public parts of those before it lie in another.
 */
public final class SigningKey {
    public static final String FILE = "signing-key.pem";
    public static final String RETIRED = "retired-keys.pem";
    private static final String ALGORITHM = "Ed25519";
    private static final int LINE = 64;
    private static final Pattern PRIVATE = block("PRIVATE KEY");
    private static final Pattern PUBLIC = block("PUBLIC KEY");

    private final KeyPair pair;

    private SigningKey(KeyPair pair) {
        this.pair = pair;
    }

    private static Pattern block(String label) {
        return Pattern.compile("-----BEGIN " + label + "-----([A-Za-z0-9+/=\\s]+)-----END " + label + "-----");
    }

    /** Empty where the folder has none. */
    public static Optional<SigningKey> in(Path folder) {
        Path file = folder.resolve(FILE);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            String pem = Files.readString(file);
            KeyFactory keys = KeyFactory.getInstance(ALGORITHM);
            return Optional.of(new SigningKey(new KeyPair(
                    keys.generatePublic(new X509EncodedKeySpec(decoded(PUBLIC, pem))),
                    keys.generatePrivate(new PKCS8EncodedKeySpec(decoded(PRIVATE, pem))))));
        } catch (IOException | GeneralSecurityException | IllegalArgumentException e) {
            throw new StartRefusedException(
                    Text.of("The signing key {file} cannot be read. Put back a copy of it.", file));
        }
    }

    /** The folder's key; made at the first call, once, however many ask for it first: what another one signed could never be verified. */
    public static synchronized SigningKey ensuredIn(Path folder) {
        return in(folder).orElseGet(() -> made(folder));
    }

    /**
     * Makes another key to sign with from now on; the public part of the one before is kept to verify what it signed.
     *
     * @return the new one
     */
    public static synchronized SigningKey changed(Path folder) {
        in(folder).ifPresent(before -> retire(folder, before.pair.getPublic().getEncoded()));
        return made(folder);
    }

    /** Public parts of this folder's keys: the one that signs now first, then those before it. */
    public static List<PublicKeyPart> known(Path folder) {
        List<PublicKeyPart> known = new ArrayList<>();
        in(folder).ifPresent(key -> known.add(key.publicPart()));
        Path retired = folder.resolve(RETIRED);
        if (Files.exists(retired)) {
            try {
                Matcher blocks = PUBLIC.matcher(Files.readString(retired));
                while (blocks.find()) {
                    known.add(PublicKeyPart.of(blocks.group(1)));
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return known;
    }

    /** Takes over keys that signed elsewhere, to verify with; those that are known already stay. */
    public static synchronized void adopt(Path folder, List<PublicKeyPart> others) {
        List<PublicKeyPart> known = known(folder);
        for (PublicKeyPart other : others) {
            if (!known.contains(other) && !other.fingerprint().isEmpty()) {
                retire(folder, Base64.getDecoder().decode(other.encoded()));
            }
        }
    }

    private static void retire(Path folder, byte[] key) {
        try {
            Files.writeString(
                    folder.resolve(RETIRED),
                    encoded("PUBLIC KEY", key),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static SigningKey made(Path folder) {
        try {
            KeyPair pair = KeyPairGenerator.getInstance(ALGORITHM).generateKeyPair();
            Path made = Files.createTempFile(folder, "signing-key", ".tmp");
            if (made.getFileSystem().supportedFileAttributeViews().contains("posix")) {
                Files.setPosixFilePermissions(made, PosixFilePermissions.fromString("rw-------"));
            }
            Files.writeString(
                    made,
                    encoded("PRIVATE KEY", pair.getPrivate().getEncoded())
                            + encoded("PUBLIC KEY", pair.getPublic().getEncoded()),
                    StandardOpenOption.WRITE,
                    StandardOpenOption.TRUNCATE_EXISTING,
                    StandardOpenOption.DSYNC);
            Files.move(made, folder.resolve(FILE), StandardCopyOption.ATOMIC_MOVE);
            return new SigningKey(pair);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("Every Java platform has Ed25519", e);
        }
    }

    private static byte[] decoded(Pattern block, String pem) {
        Matcher matcher = block.matcher(pem);
        if (!matcher.find()) {
            throw new IllegalArgumentException("no such block");
        }
        return Base64.getMimeDecoder().decode(matcher.group(1));
    }

    private static String encoded(String label, byte[] key) {
        String body = Base64.getMimeEncoder(LINE, "\n".getBytes(StandardCharsets.US_ASCII))
                .encodeToString(key);
        return "-----BEGIN " + label + "-----\n" + body + "\n-----END " + label + "-----\n";
    }

    /** By which a person tells one key from another: the beginning of its public part's SHA-256. */
    public String fingerprint() {
        return publicPart().fingerprint();
    }

    public PublicKeyPart publicPart() {
        return PublicKeyPart.of(pair.getPublic());
    }

    /** @return base64 */
    public String sign(String text) {
        try {
            Signature signature = Signature.getInstance(ALGORITHM);
            signature.initSign(pair.getPrivate());
            signature.update(text.getBytes(StandardCharsets.UTF_8));
            return Base64.getEncoder().encodeToString(signature.sign());
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
