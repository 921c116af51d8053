package org.undanus.server.signing;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import org.undanus.server.store.Digest;

/**
 * The public part of an Ed25519 key: whoever has it can tell what the key signed.
 *
 * @param encoded X.509, base64
 */
public record PublicKeyPart(String encoded) {
    private static final String ALGORITHM = "Ed25519";
    private static final int FINGERPRINT = 16;

    static PublicKeyPart of(PublicKey key) {
        return new PublicKeyPart(Base64.getEncoder().encodeToString(key.getEncoded()));
    }

    /** @param base64 with or without line ends */
    static PublicKeyPart of(String base64) {
        return new PublicKeyPart(base64.replaceAll("\\s", ""));
    }

    /** By which a person tells one key from another: the beginning of its SHA-256; empty where it is none. */
    public String fingerprint() {
        try {
            return Digest.sha256(Base64.getDecoder().decode(encoded)).substring(0, FINGERPRINT);
        } catch (IllegalArgumentException e) {
            return "";
        }
    }

    /** Whether this key signed this text; anything that is no signature is not one. */
    public boolean signed(String text, String signature) {
        try {
            Signature verifier = Signature.getInstance(ALGORITHM);
            verifier.initVerify(KeyFactory.getInstance(ALGORITHM)
                    .generatePublic(new X509EncodedKeySpec(Base64.getDecoder().decode(encoded))));
            verifier.update(text.getBytes(StandardCharsets.UTF_8));
            return verifier.verify(Base64.getDecoder().decode(signature));
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            return false;
        }
    }
}
