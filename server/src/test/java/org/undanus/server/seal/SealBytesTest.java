package org.undanus.server.seal;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.undanus.server.signing.SigningKey;
import tools.jackson.databind.json.JsonMapper;

/** A seal holds every byte of its file: whatever is changed, added, moved or taken is named. */
class SealBytesTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String CASE =
            "{\"format\":\"undanus-case/1\",\"ruleBooks\":[\"a: 1\"],\"installations\":[{\"reference\":\"X-1\",\"title\":\"One\","
                    + "\"readings\":[{\"point\":\"a.b\",\"typed\":\"12 in\"},{\"point\":\"c.d\",\"typed\":\"3 A\"}],"
                    + "\"judgements\":[{\"requirement\":\"r.one\",\"verdict\":\"FAILS\"}]}]}";

    @TempDir
    Path folder;

    private final Map<String, byte[]> entries = new LinkedHashMap<>();
    private SigningKey key;
    private byte[] sealed;

    @BeforeEach
    void seal() throws IOException {
        key = SigningKey.ensuredIn(folder);
        entries.put("case.json", bytes(CASE));
        entries.put("photos/1-a.jpeg", new byte[] {1, 2, 3, 4, 5, 6, 7, 8, 9});
        entries.put("traces/ü.csv", bytes("0 s,1\n"));
        sealed = sealed(entries);
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private Seal signed(String format, List<SealArchive.Entry> listed, SealParts parts) {
        Seal seal = new Seal(
                format,
                "X-1/1",
                "One",
                "Final",
                LocalDate.of(2026, 11, 2),
                "book",
                1,
                "inspector",
                Instant.parse("2026-11-02T10:00:00Z"),
                new Seal.Anchor(7, "h"),
                listed,
                parts.digests(),
                HashTree.root(parts.digests()),
                key.publicPart().encoded(),
                "");
        return seal.with(key.sign(Canonical.of(JSON.writeValueAsString(seal))));
    }

    private byte[] sealed(Map<String, byte[]> content) throws IOException {
        SealParts parts = SealParts.of(new ByteArrayInputStream(content.get("case.json")), JSON);
        List<SealArchive.Entry> listed = new ArrayList<>();
        for (Map.Entry<String, byte[]> each : content.entrySet()) {
            SealArchive.Entry entry = SealArchive.Entry.of(each.getKey(), new ByteArrayInputStream(each.getValue()));
            listed.add(entry);
            if (!entry.name().equals("case.json")) {
                parts.file(entry.name(), entry.sha256());
            }
        }
        Seal seal = signed(Seal.FORMAT, listed, parts);
        Map<String, byte[]> all = new LinkedHashMap<>(content);
        all.put(Seal.FILE, ExactCheck.bytes(seal, JSON));
        return written(all);
    }

    /** In the very form that a sealed file has. */
    private static byte[] written(Map<String, byte[]> all) throws IOException {
        List<SealArchive.Entry> listed = new ArrayList<>();
        for (Map.Entry<String, byte[]> each : all.entrySet()) {
            listed.add(SealArchive.Entry.of(each.getKey(), new ByteArrayInputStream(each.getValue())));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SealArchive.write(listed, entry -> new ByteArrayInputStream(all.get(entry.name())), out);
        return out.toByteArray();
    }

    private SealCheck.Verification checked(byte[] file) throws IOException {
        return new SealCheck(JSON, Optional.empty()).check(Files.write(folder.resolve("checked.zip"), file));
    }

    private void assertNamed(byte[] file, String... said) throws IOException {
        SealCheck.Verification outcome = checked(file);
        assertThat(outcome.sound()).isFalse();
        assertThat(outcome.exact()).isFalse();
        assertThat(outcome.problems().toString()).contains(said);
    }

    private Map<String, byte[]> with(String name, byte[] content) throws IOException {
        Map<String, byte[]> all = new LinkedHashMap<>(entries);
        all.put(Seal.FILE, sealBytes());
        all.put(name, content);
        return all;
    }

    private byte[] sealBytes() throws IOException {
        try (java.util.zip.ZipFile zip = new java.util.zip.ZipFile(
                Files.write(folder.resolve("s.zip"), sealed).toFile())) {
            return zip.getInputStream(zip.getEntry(Seal.FILE)).readAllBytes();
        }
    }

    private void assertCase(String changed, String... said) throws IOException {
        assertThat(changed).isNotEqualTo(CASE);
        assertNamed(written(with("case.json", bytes(changed))), said);
    }

    @Test
    void asItWasSealedItIsSoundToTheLastByte() throws IOException {
        SealCheck.Verification outcome = checked(sealed);
        assertThat(outcome.problems()).isEmpty();
        assertThat(outcome.sound()).isTrue();
        assertThat(outcome.exact()).isTrue();
        assertThat(outcome.sentence().toString()).contains("X-1/1").doesNotContain("weaker");
    }

    @Test
    void anyByteChangedAddedMovedOrTakenIsNamed() throws IOException {
        for (int seed = 0; seed < 4000; seed++) {
            Random random = new Random(seed);
            byte[] file = changed(random);
            if (!Arrays.equals(file, sealed)) {
                SealCheck.Verification outcome = checked(file);
                assertThat(outcome.sound()).as("seed " + seed).isFalse();
                assertThat(outcome.problems()).as("seed " + seed).isNotEmpty();
            }
        }
    }

    private byte[] changed(Random random) {
        int at = random.nextInt(sealed.length);
        int to = random.nextInt(sealed.length);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        switch (random.nextInt(4)) {
            case 0 -> {
                byte[] other = sealed.clone();
                other[at] ^= (byte) (1 << random.nextInt(8));
                return other;
            }
            case 1 -> {
                out.write(sealed, 0, at);
                out.write(random.nextInt(256));
                out.write(sealed, at, sealed.length - at);
            }
            case 2 -> {
                out.write(sealed, 0, at);
                out.write(sealed, at + 1, sealed.length - at - 1);
            }
            default -> {
                byte[] other = sealed.clone();
                other[at] = sealed[to];
                other[to] = sealed[at];
                return other;
            }
        }
        return out.toByteArray();
    }

    @Test
    void aNameSaidTwiceIsNoCase() throws IOException {
        assertCase(
                CASE.replace("\"title\":\"One\"", "\"title\":\"Other\",\"title\":\"One\""),
                "case.json cannot be read",
                "title");
    }

    @Test
    void aSecondInstallationOrListBeforeTheSealedOneIsNamed() throws IOException {
        assertCase(
                CASE.replace("\"installations\":[", "\"installations\":[{\"reference\":\"X-1\",\"title\":\"Forged\"},"),
                "it says twice what is its installation");
        assertCase(
                CASE.replace("\"readings\":[", "\"readings\":[{\"point\":\"a.b\",\"typed\":\"99 in\"}],\"readings\":["),
                "case.json cannot be read");
        assertCase(
                CASE.replace("\"judgements\":[", "\"judgements\":[{\"requirement\":\"r.one\",\"verdict\":\"MEETS\"},"),
                "Changed: judgements 1: r.one");
    }

    @Test
    void furtherMembersAndOtherSpellingsAreNamed() throws IOException {
        assertCase(CASE.replace("{\"format\"", "{\"note\":[],\"format\""), "Changed: how case.json is written");
        assertCase(CASE.replace("\"typed\":\"3 A\"", "\"typed\":\"3 A\",\"more\":1"), "Changed: readings 2: c.d");
        assertCase(CASE.replace("\"readings\":[{", "\"readings\": [{"), "Changed: how case.json is written");
        assertCase(CASE.replace("\"reference\":\"X-1\"", "\"reference\":\"X\\u002d1\""), "Changed: how case.json");
        assertCase(CASE + " {}", "something stands after it");
        assertCase(CASE.replaceFirst("\"readings\":\\[.*?]", "\"readings\":7"), "readings is no list");
    }

    @Test
    void aFurtherFileAnotherOrderAndAFileTwiceAreNamed() throws IOException {
        assertNamed(written(with("more.txt", new byte[] {1})), "Added: file more.txt");
        Map<String, byte[]> order = new LinkedHashMap<>();
        order.put(Seal.FILE, sealBytes());
        order.putAll(entries);
        assertNamed(written(order), "Changed: the archive around its files");
        Map<String, byte[]> less = with("case.json", bytes(CASE));
        less.remove("traces/ü.csv");
        assertNamed(written(less), "Missing: file traces/ü.csv");

        List<SealArchive.Entry> twice = new ArrayList<>();
        for (Map.Entry<String, byte[]> each : with("case.json", bytes(CASE)).entrySet()) {
            twice.add(SealArchive.Entry.of(each.getKey(), new ByteArrayInputStream(each.getValue())));
        }
        twice.add(0, twice.get(0));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Map<String, byte[]> all = with("case.json", bytes(CASE));
        SealArchive.write(twice, entry -> new ByteArrayInputStream(all.get(entry.name())), out);
        assertNamed(out.toByteArray(), "It holds case.json twice");
    }

    @Test
    void whatLiesBeforeBehindOrHiddenBetweenIsNamed() throws IOException {
        byte[] page = bytes("<html>forged</html>");
        ByteArrayOutputStream before = new ByteArrayOutputStream();
        before.write(page);
        before.write(sealed);
        assertNamed(before.toByteArray(), "");
        assertNamed(shifted(page), "Changed: the archive around its files, from byte 0 on");

        assertNamed(Arrays.copyOf(sealed, sealed.length + 3), "");
        byte[] comment = Arrays.copyOf(sealed, sealed.length + 3);
        comment[sealed.length - 2] = 3;
        assertNamed(comment, "Changed: the archive around its files, from byte " + (sealed.length - 2) + " on");
    }

    /** With offsets mended, so that it opens everywhere: what lies before is an entry that no directory names, or anything. */
    private byte[] shifted(byte[] prefix) {
        int end = sealed.length - 22;
        ByteBuffer was = ByteBuffer.wrap(sealed).order(ByteOrder.LITTLE_ENDIAN);
        ByteBuffer out = ByteBuffer.allocate(prefix.length + sealed.length).order(ByteOrder.LITTLE_ENDIAN);
        out.put(prefix).put(sealed);
        int directory = was.getInt(end + 16);
        out.putInt(prefix.length + end + 16, directory + prefix.length);
        for (int at = directory; at < end; ) {
            out.putInt(prefix.length + at + 42, was.getInt(at + 42) + prefix.length);
            at += 46 + was.getShort(at + 28) + was.getShort(at + 30) + was.getShort(at + 32);
        }
        return out.array();
    }

    @Test
    void packedBySomebodyElseWhatWasChangedIsNamedAllTheSame() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> each :
                    with("case.json", bytes(CASE.replace("12 in", "13 in"))).entrySet()) {
                zip.putNextEntry(new ZipEntry(each.getKey()));
                zip.write(each.getValue());
            }
        }
        assertNamed(out.toByteArray(), "It is packed otherwise than a sealed file is", "Changed: readings 1: a.b");
    }

    @Test
    void whatIsPackedToUnfoldIsNotUnfolded() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(Seal.FILE));
            zip.write(sealBytes());
            zip.putNextEntry(new ZipEntry("case.json"));
            for (int megabytes = 0; megabytes < 300; megabytes++) {
                zip.write(new byte[1 << 20]);
            }
        }
        assertNamed(out.toByteArray(), "something within is larger than 256 MB");
    }

    @Test
    void aFileOfTheOlderKindVerifiesAndIsSaidToBeWeaker() throws IOException {
        assertThat(checked(older(CASE, CASE)).sentence().toString()).contains("older, weaker kind");
        assertThat(checked(older(CASE, CASE)).sound()).isTrue();
        assertThat(checked(older(CASE, CASE)).exact()).isFalse();
        assertNamed(older(CASE, CASE.replace("12 in", "13 in")), "Changed: readings 1: a.b");
        assertNamed(
                older(CASE, CASE.replace("\"title\":\"One\"", "\"title\":\"Other\",\"title\":\"One\"")),
                "case.json cannot be read");
        assertNamed(
                older(CASE, CASE.replace("\"installations\":[", "\"installations\":[{\"title\":\"Forged\"},")),
                "it says twice what is its installation");
    }

    private byte[] older(String was, String is) throws IOException {
        SealParts parts = SealParts.of(new ByteArrayInputStream(bytes(was)), JSON);
        Seal seal = signed(Seal.OLDER_FORMAT, null, parts);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("case.json"));
            zip.write(bytes(is));
            zip.putNextEntry(new ZipEntry(Seal.FILE));
            zip.write(bytes(JSON.writeValueAsString(seal)));
        }
        return out.toByteArray();
    }

    @Test
    void whatSaysItIsOfTheOlderKindOnceSealedAnewIsNot() throws IOException {
        String weaker = new String(sealBytes(), StandardCharsets.UTF_8)
                .replace("undanus-seal/2", "undanus-seal/1")
                .replaceFirst("\"entries\":\\[.*?],", "");
        assertNamed(written(with(Seal.FILE, bytes(weaker))), "The signature does not belong");
    }

    @Test
    void aCheckSumThatIsNotOfTheFileIsNamed() throws IOException {
        CRC32 crc = new CRC32();
        crc.update(entries.get("case.json"));
        byte[] other = sealed.clone();
        ByteBuffer at = ByteBuffer.wrap(other).order(ByteOrder.LITTLE_ENDIAN);
        assertThat(at.getInt(14)).isEqualTo((int) crc.getValue());
        at.putInt(14, 0);
        assertNamed(other, "from byte 14 on");
    }
}
