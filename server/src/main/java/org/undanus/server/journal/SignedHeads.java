package org.undanus.server.journal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.undanus.server.signing.PublicKeyPart;
import org.undanus.server.signing.SigningKey;
import org.undanus.server.store.Digest;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * The journal's end, signed now and then and appended to a file outside the database: whoever shortens the chain or computes it
 * anew contradicts what was signed. Each line holds the hash of the line before it.
 */
@Component
public class SignedHeads {
    private static final int FORM = 1;
    /** Bytes; a line is far shorter. */
    private static final int LONGEST = 8192;

    /**
     * A line of the file.
     *
     * @param occasion why it was signed just then
     * @param before SHA-256 of the line before, empty for the first
     * @param signature of all the rest, base64
     */
    record SignedHead(
            int form,
            long sequence,
            String hash,
            Instant at,
            String occasion,
            String before,
            String key,
            String signature) {
        private String text() {
            return String.join(
                    "\n",
                    "undanus journal head " + form,
                    Long.toString(sequence),
                    hash,
                    at.toString(),
                    occasion,
                    before,
                    key);
        }

        private SignedHead signed(SigningKey by) {
            return new SignedHead(form, sequence, hash, at, occasion, before, key, by.sign(text()));
        }
    }

    /** @param problems what about the file itself is wrong, in sentences */
    record Read(List<SignedHead> heads, List<String> problems, Optional<String> key) {}

    private final Clock clock;
    private final Path folder;
    private final Path file;
    private final JournalMapper mapper;
    private final JsonMapper json;

    SignedHeads(
            Clock clock,
            @Value("${undanus.data}") Path folder,
            @Value("${undanus.signed-heads}") Path file,
            JournalMapper mapper,
            JsonMapper json) {
        this.clock = clock;
        this.folder = folder;
        this.file = file;
        this.mapper = mapper;
        this.json = json;
    }

    public Path file() {
        return file;
    }

    /** The key's file, whether or not it is there. */
    public Path keyFile() {
        return folder.resolve(SigningKey.FILE);
    }

    /** The file of the keys before it; there is none where the key was never changed. */
    public Path retiredKeysFile() {
        return folder.resolve(SigningKey.RETIRED);
    }

    /**
     * Signs the journal's end as it now stands, unless it stands signed already.
     *
     * @return its sequence
     * @throws UncheckedIOException when the file cannot be written
     */
    public synchronized long sign(String occasion) {
        JournalMapper.Head head = mapper.head();
        SigningKey key = SigningKey.ensuredIn(folder);
        try (FileChannel channel =
                FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
            String last = lastLine(channel);
            if (!last.isEmpty() && json.readValue(last, SignedHead.class).hash().equals(head.hash())) {
                return head.sequence();
            }
            SignedHead signed = new SignedHead(
                            FORM,
                            head.sequence(),
                            head.hash(),
                            clock.instant().truncatedTo(ChronoUnit.SECONDS),
                            occasion,
                            last.isEmpty() ? "" : Digest.sha256(last),
                            key.fingerprint(),
                            "")
                    .signed(key);
            channel.write(ByteBuffer.wrap((json.writeValueAsString(signed) + "\n").getBytes(StandardCharsets.UTF_8)));
            channel.force(true);
            return head.sequence();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The last whole line; what a killed process left behind it is cut off, and the channel stands at the end. */
    private static String lastLine(FileChannel channel) throws IOException {
        int length = (int) Math.min(LONGEST, channel.size());
        byte[] tail = new byte[length];
        ByteBuffer into = ByteBuffer.wrap(tail);
        channel.position(channel.size() - length);
        while (into.hasRemaining() && channel.read(into) >= 0) {
            // until all of it is read
        }
        int end = length;
        while (end > 0 && tail[end - 1] != '\n') {
            end--;
        }
        channel.truncate(channel.size() - (length - end));
        channel.position(channel.size());
        String[] lines = new String(tail, 0, end, StandardCharsets.UTF_8).split("\n");
        return lines[lines.length - 1];
    }

    /** Reads and verifies the file. */
    Read read() {
        if (!Files.exists(file)) {
            return new Read(List.of(), List.of(), Optional.empty());
        }
        Optional<SigningKey> key = SigningKey.in(folder);
        Map<String, PublicKeyPart> known = SigningKey.known(folder).stream()
                .collect(Collectors.toMap(PublicKeyPart::fingerprint, Function.identity(), (one, same) -> one));
        if (key.isEmpty()) {
            return new Read(
                    List.of(),
                    List.of("the key that the journal's ends were signed with is missing: " + keyFile()),
                    Optional.empty());
        }
        List<SignedHead> heads = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        String before = "";
        int number = 0;
        for (String line : wholeLines()) {
            number++;
            Optional<SignedHead> head = head(line);
            if (head.isEmpty()
                    || !head.get().before().equals(before)
                    || !known.containsKey(head.get().key())
                    || !known.get(head.get().key())
                            .signed(head.get().text(), head.get().signature())) {
                problems.add("line " + number + " of " + file + " was not signed so");
            } else {
                heads.add(head.get());
            }
            before = Digest.sha256(line);
        }
        return new Read(heads, problems, Optional.of(key.get().fingerprint()));
    }

    private List<String> wholeLines() {
        try {
            String text = Files.readString(file);
            return text.substring(0, text.lastIndexOf('\n') + 1).lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Optional<SignedHead> head(String line) {
        try {
            return Optional.of(json.readValue(line, SignedHead.class))
                    .filter(head -> head.form() == FORM
                            && head.hash() != null
                            && head.at() != null
                            && head.occasion() != null
                            && head.before() != null
                            && head.key() != null
                            && head.signature() != null);
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }
}
