package org.undanus.server.seal;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.signing.PublicKeyPart;
import org.undanus.server.store.Digest;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Checks a sealed file by itself: neither a database nor a network is needed. */
public final class SealCheck {
    static final String CASE = "case.json";
    private static final int MOST_ENTRIES = 20_000;
    /** Bytes; of a file within, unpacked. */
    private static final long LARGEST = 128 << 20;
    /** Bytes; of what is signed. */
    private static final long LARGEST_SEAL = 32 << 20;

    private static final Text OLDER =
            Text.of("It is of the older, weaker kind: it holds what the case says, not every byte of the file.");

    private static final int MOST_NAMED = 40;

    /**
     * What came of it.
     *
     * @param sound whether nothing was changed since it was sealed
     * @param exact whether that holds of every byte of the file: what is of the older kind holds what its case says
     * @param sentence whether it is, who sealed what and when
     * @param problems each thing that is not as it was sealed
     * @param fingerprint of the key that it names; empty where it names none
     * @param known whether that key is one of this office; empty where this office's keys are not at hand
     */
    public record Verification(
            boolean sound,
            boolean exact,
            Text sentence,
            List<Text> problems,
            String fingerprint,
            Optional<Boolean> known) {}

    private final JsonMapper json;
    private final Optional<List<PublicKeyPart>> office;

    /** @param office the keys of this office; empty where it is checked elsewhere */
    public SealCheck(JsonMapper json, Optional<List<PublicKeyPart>> office) {
        this.json = json;
        this.office = office;
    }

    public Verification check(Path file) {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            return check(zip, file);
        } catch (ZipException e) {
            return unreadable(Text.of("This is no whole ZIP file: {message}.", RefusedException.said(e)));
        } catch (IOException | IllegalArgumentException e) {
            return unreadable(Text.of("The file cannot be read: {message}.", RefusedException.said(e)));
        }
    }

    private static Verification unreadable(Text why) {
        return new Verification(false, false, Text.of("This is no sealed file."), List.of(why), "", Optional.empty());
    }

    private Verification check(ZipFile zip, Path file) throws IOException {
        Optional<Seal> read = seal(zip, json);
        if (read.isEmpty()) {
            return unreadable(Text.of("It holds no seal.json that says what was sealed."));
        }
        Seal seal = read.get();
        List<Text> problems = new ArrayList<>();
        PublicKeyPart key = new PublicKeyPart(seal.key());
        if (!key.signed(Canonical.of(json.writeValueAsString(seal.with(""))), seal.signature())) {
            problems.add(Text.of("The signature does not belong to what the seal says: seal.json was changed."));
        }
        if (!HashTree.root(seal.parts()).equals(seal.root())) {
            problems.add(Text.of("The hash over all parts is not the one that was signed."));
        }
        Optional<Boolean> known = office.map(keys -> keys.contains(key));
        if (known.filter(one -> !one).isPresent()) {
            problems.add(
                    Text.of("It was signed by a key that is not of this office: {fingerprint}.", key.fingerprint()));
        }
        if (seal.older()) {
            compare(seal.parts(), parts(zip, problems), problems);
        } else {
            new ExactCheck(seal, zip, file, json).into(problems);
        }
        boolean sound = problems.isEmpty();
        Text what = Text.of(
                "{number}, {title}, {stage}, {day}, sealed by {person} on {at}, key {key}.",
                seal.number(),
                seal.title(),
                seal.stage(),
                seal.visitedOn(),
                seal.sealedBy(),
                seal.sealedAt(),
                key.fingerprint());
        return new Verification(
                sound,
                sound && !seal.older(),
                Text.of(
                                sound
                                        ? "Nothing was changed since it was sealed: {what}"
                                        : "This is not what was sealed: {what}",
                                what)
                        .then(seal.older() ? OLDER : Text.empty()),
                shortened(problems),
                key.fingerprint(),
                known);
    }

    private static List<Text> shortened(List<Text> problems) {
        if (problems.size() <= MOST_NAMED) {
            return problems;
        }
        List<Text> first = new ArrayList<>(problems.subList(0, MOST_NAMED));
        first.add(Text.of("And {problems} more.", (problems.size() - MOST_NAMED)));
        return first;
    }

    /** What a file says that it seals, unchecked; empty where it says nothing. */
    static Optional<Seal> seal(Path file, JsonMapper json) {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            return seal(zip, json);
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private static Optional<Seal> seal(ZipFile zip, JsonMapper json) throws IOException {
        ZipEntry entry = zip.getEntry(Seal.FILE);
        if (entry == null) {
            return Optional.empty();
        }
        try (InputStream in = new Limited(zip.getInputStream(entry), LARGEST_SEAL)) {
            return Optional.of(strict(json).readValue(in, Seal.class)).filter(Seal::whole);
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }

    private static JsonMapper strict(JsonMapper json) {
        return json.rebuild()
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .enable(
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .build();
    }

    /** What a file of the older kind holds now. */
    private SortedMap<String, String> parts(ZipFile zip, List<Text> problems) throws IOException {
        if (zip.size() > MOST_ENTRIES) {
            problems.add(Text.of("It holds more than {most} files.", MOST_ENTRIES));
            return new TreeMap<>();
        }
        SortedMap<String, String> parts = caseParts(zip, json, problems);
        Set<String> names = new HashSet<>();
        for (ZipEntry entry : Collections.list(zip.entries())) {
            if (!names.add(entry.getName())) {
                problems.add(Text.of("It holds {name} twice.", entry.getName()));
            } else if (!entry.getName().equals(CASE) && !entry.getName().equals(Seal.FILE)) {
                parts.put(
                        SealParts.FILE + entry.getName(),
                        Digest.sha256(new Limited(zip.getInputStream(entry), LARGEST)));
            }
        }
        return parts;
    }

    /** The parts of the document alone. */
    static SortedMap<String, String> caseParts(ZipFile zip, JsonMapper json, List<Text> problems) throws IOException {
        ZipEntry document = zip.getEntry(CASE);
        if (document == null) {
            problems.add(Text.of("It holds no case.json."));
            return new TreeMap<>();
        }
        try (InputStream in = new Limited(zip.getInputStream(document), LARGEST)) {
            return SealParts.of(in, json).digests();
        } catch (JacksonException | IllegalArgumentException e) {
            problems.add(Text.of(
                    "case.json cannot be read: {why}.",
                    e instanceof JacksonException j ? j.getOriginalMessage() : RefusedException.said(e)));
            return new TreeMap<>();
        }
    }

    static void compare(SortedMap<String, String> was, SortedMap<String, String> is, List<Text> problems) {
        was.forEach((name, digest) -> {
            String now = is.get(name);
            if (now == null) {
                problems.add(Text.of("Missing: {name}.", name));
            } else if (!now.equals(digest)) {
                problems.add(Text.of("Changed: {name}.", name));
            }
        });
        is.keySet().stream()
                .filter(name -> !was.containsKey(name))
                .forEach(name -> problems.add(Text.of("Added: {name}.", name)));
    }
}
