package org.undanus.server.seal;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.SortedMap;

/**
 * What is signed of a sealed visit. It lies as {@value #FILE} in the sealed file, beside the case.
 *
 * @param number reference of the installation and number of the visit, from 1
 * @param anchor the end of the journal just before
 * @param entries every file beside it in the archive, in order, by its exact bytes; null in the older, weaker form
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
        @JsonInclude(JsonInclude.Include.NON_NULL) List<SealArchive.Entry> entries,
        SortedMap<String, String> parts,
        String root,
        String key,
        String signature) {
    static final String FILE = "seal.json";
    static final String FORMAT = "undanus-seal/2";
    /** Held what the case says, not the bytes of the file. */
    static final String OLDER_FORMAT = "undanus-seal/1";

    record Anchor(long sequence, String hash) {}

    /** Whether it says what a seal of its form says. */
    boolean whole() {
        boolean listed = entries != null && entries.stream().allMatch(entry -> entry != null && entry.name() != null);
        return (FORMAT.equals(format) && listed || OLDER_FORMAT.equals(format) && entries == null)
                && parts != null
                && key != null
                && root != null
                && signature != null;
    }

    boolean older() {
        return OLDER_FORMAT.equals(format);
    }

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
                entries,
                parts,
                root,
                key,
                made);
    }
}
