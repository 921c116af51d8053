package org.undanus.server.seal;

import java.time.Instant;
import java.time.LocalDate;
import java.util.SortedMap;

/**
 * What is signed of a sealed visit. It lies as {@value #FILE} in the sealed file, beside the case.
 *
 * @param number reference of the installation and number of the visit, from 1
 * @param anchor the end of the journal just before
 * @param parts SHA-256 of each part by its name
 * @param root of the hash tree over the parts
 * @param key public part, X.509, base64
 * @param signature over the canonical form of all the rest, base64; empty before it is signed
 */
record Seal(
        String format,
        String number,
        String title,
        String stage,
        LocalDate visitedOn,
        String ruleBook,
        int ruleBookVersion,
        String sealedBy,
        Instant sealedAt,
        Anchor anchor,
        SortedMap<String, String> parts,
        String root,
        String key,
        String signature) {
    static final String FILE = "seal.json";
    static final String FORMAT = "undanus-seal/1";

    record Anchor(long sequence, String hash) {}

    Seal with(String made) {
        return new Seal(
                format,
                number,
                title,
                stage,
                visitedOn,
                ruleBook,
                ruleBookVersion,
                sealedBy,
                sealedAt,
                anchor,
                parts,
                root,
                key,
                made);
    }
}
