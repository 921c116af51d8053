package org.undanus.server.seal;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import org.undanus.server.store.Digest;

/**
 * A hash over many parts (RFC 6962, 2.1): one part can be shown to belong to it without the others. A part that does not go in
 * pairs goes up as it is.
 */
final class HashTree {
    private HashTree() {}

    /**
     * @param parts digest by name, in the order of the names
     * @return SHA-256, hexadecimal
     */
    static String root(SortedMap<String, String> parts) {
        List<String> level = new ArrayList<>();
        for (Map.Entry<String, String> part : parts.entrySet()) {
            level.add(hash('\0', part.getKey() + "\n" + part.getValue()));
        }
        if (level.isEmpty()) {
            return Digest.sha256("");
        }
        while (level.size() > 1) {
            List<String> above = new ArrayList<>();
            for (int i = 0; i < level.size(); i += 2) {
                above.add(i + 1 < level.size() ? hash('\1', level.get(i) + level.get(i + 1)) : level.get(i));
            }
            level = above;
        }
        return level.get(0);
    }

    /** What stands before tells a part from a pair. */
    private static String hash(char kind, String content) {
        return Digest.sha256((kind + content).getBytes(StandardCharsets.UTF_8));
    }
}
