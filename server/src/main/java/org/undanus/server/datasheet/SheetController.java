package org.undanus.server.datasheet;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.station.siting.SheetFigure;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;
import org.undanus.view.FigureView;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Data sheets over HTTP. */
@RestController
@RequestMapping("/api/data-sheets")
class SheetController {
    /**
     * @param kind of unit, and whether it has a circuit of its own, as the sheet tells
     * @param pairs indoor models it is listed with
     */
    record SheetLine(
            String maker,
            String model,
            String document,
            String refrigerant,
            Component.Kind kind,
            boolean ownSupply,
            List<String> pairs,
            int version,
            int installations) {}

    record VersionView(int version, String document, String addedBy, Instant addedAt) {}

    /**
     * @param sections every field the sheet gives but its listed pairs, part by part
     * @param figure the clearances it asks for, where it asks for any
     */
    record SheetView(
            String maker,
            String model,
            String document,
            int version,
            List<VersionView> versions,
            List<SectionView> sections,
            Optional<FigureView> figure,
            List<SheetRecord.PairRecord> pairs) {}

    record SectionView(SheetSection part, String title, List<FieldView> fields) {}

    record FieldView(String key, String title, String value) {}

    /** What a file says otherwise than the library. */
    record SheetPreview(List<SheetChange> sheets) {}

    /** @param known whether a version of this model is kept */
    record SheetChange(String model, boolean known, List<Difference> differences) {}

    /** @param before empty where the field is new; after likewise where it is gone */
    record Difference(String key, String title, Optional<String> before, Optional<String> after) {}

    record Brought(List<String> models) {}

    /** Dots. */
    private static final int FIGURE_WIDTH = 380;

    private static final int FIGURE_HEIGHT = 260;

    private final Clock clock;
    private final SheetLibrary library;
    private final CaseFiles cases;
    private final JsonMapper json;

    SheetController(Clock clock, SheetLibrary library, CaseFiles cases, JsonMapper json) {
        this.clock = clock;
        this.library = library;
        this.cases = cases;
        this.json = json;
    }

    @GetMapping
    List<SheetLine> all(@AuthenticationPrincipal Person person) {
        List<CaseFile> files = cases.all(person);
        return library.newest().stream().map(version -> line(version, files)).toList();
    }

    private static SheetLine line(SheetLibrary.Version version, List<CaseFile> files) {
        DataSheet sheet = version.sheet().sheet();
        return new SheetLine(
                sheet.maker(),
                sheet.model(),
                sheet.document(),
                sheet.refrigerant().orElse(""),
                sheet.kind(),
                sheet.ownSupply(),
                sheet.pairs().stream().map(DataSheet.Pair::indoorModel).toList(),
                version.version(),
                (int) files.stream().filter(file -> file.uses(sheet.model())).count());
    }

    @GetMapping("/sheet")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    SheetView one(@RequestParam String model, @RequestParam Optional<Integer> version, Viewer viewer) {
        List<SheetLibrary.Version> versions = library.versions(model);
        SheetLibrary.Version shown = version(versions, version);
        return new SheetView(
                shown.sheet().maker(),
                shown.sheet().model(),
                shown.sheet().document(),
                shown.version(),
                versions.stream()
                        .map(v -> new VersionView(v.version(), v.sheet().document(), v.addedBy(), v.addedAt()))
                        .toList(),
                sections(shown.sheet(), viewer.wording(UnitSystem.US)),
                SheetFigure.of(shown.sheet().sheet())
                        .map(figure ->
                                FigureView.of(figure, viewer.wording(UnitSystem.US), FIGURE_WIDTH, FIGURE_HEIGHT)),
                shown.sheet().pairs().orElse(List.of()));
    }

    private List<SectionView> sections(SheetRecord sheet, Wording wording) {
        Map<SheetSection, List<FieldView>> sections = new EnumMap<>(SheetSection.class);
        fields(sheet).forEach((key, value) -> {
            if (!key.startsWith("pairs")) {
                sections.computeIfAbsent(SheetSection.of(key), any -> new ArrayList<>())
                        .add(new FieldView(key, title(key), value));
            }
        });
        return sections.entrySet().stream()
                .map(section -> new SectionView(
                        section.getKey(), wording.say(section.getKey().title()), section.getValue()))
                .toList();
    }

    /** Two versions of a model beside each other: only where they differ. */
    @GetMapping("/differences")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    List<Difference> differences(@RequestParam String model, @RequestParam int from, @RequestParam int to) {
        List<SheetLibrary.Version> versions = library.versions(model);
        return differences(
                Optional.of(version(versions, Optional.of(from)).sheet()),
                version(versions, Optional.of(to)).sheet());
    }

    private static SheetLibrary.Version version(List<SheetLibrary.Version> versions, Optional<Integer> wanted) {
        return wanted.map(number -> versions.stream()
                        .filter(v -> v.version() == number)
                        .findFirst()
                        .orElseThrow(() ->
                                new NotFoundException(Text.of("There is no version {number} of this sheet.", number))))
                .orElseGet(() -> versions.get(versions.size() - 1));
    }

    @GetMapping("/file.json")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    ResponseEntity<SheetFile> export(@RequestParam Optional<String> model, @RequestParam Optional<Integer> version) {
        List<SheetRecord> sheets = model.map(
                        m -> List.of(version(library.versions(m), version).sheet()))
                .orElseGet(() -> library.newest().stream()
                        .map(SheetLibrary.Version::sheet)
                        .toList());
        String name = model.map(m -> m.replaceAll("[^A-Za-z0-9-]", "-")).orElse("data-sheets");
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".json\"")
                .body(new SheetFile(SheetFile.FORMAT, sheets));
    }

    /** In what this file differs from the library; what that would change is for a trial to say. */
    @PostMapping("/preview")
    @KeepsNothing
    SheetPreview preview(@RequestBody SheetFile file, @AuthenticationPrincipal Person person) {
        return new SheetPreview(file.sound().stream()
                .map(sheet -> {
                    Optional<SheetRecord> kept = kept(sheet.model());
                    return new SheetChange(sheet.model(), kept.isPresent(), differences(kept, sheet));
                })
                .toList());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Brought bring(@RequestBody SheetFile file, @AuthenticationPrincipal Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("The library is kept by the quality lead.");
        }
        return new Brought(library.revise(file.sound(), person.name(), clock.instant()));
    }

    private Optional<SheetRecord> kept(String model) {
        return library.newest().stream()
                .map(SheetLibrary.Version::sheet)
                .filter(sheet -> sheet.model().equals(model))
                .findFirst();
    }

    private List<Difference> differences(Optional<SheetRecord> before, SheetRecord after) {
        Map<String, String> old = before.map(this::fields).orElse(Map.of());
        Map<String, String> now = fields(after);
        TreeSet<String> keys = new TreeSet<>(old.keySet());
        keys.addAll(now.keySet());
        return keys.stream()
                .filter(key -> !Objects.equals(old.get(key), now.get(key)))
                .map(key -> new Difference(
                        key, title(key), Optional.ofNullable(old.get(key)), Optional.ofNullable(now.get(key))))
                .toList();
    }

    /** Every leaf of the sheet's file form by its path. */
    private Map<String, String> fields(SheetRecord sheet) {
        Map<String, String> fields = new TreeMap<>();
        flatten("", json.valueToTree(sheet), fields);
        fields.computeIfPresent("meteringDevice", (key, id) -> PlatePoints.METERING_DEVICE.said(id));
        List.of("maker", "model", "document").forEach(fields::remove);
        return fields;
    }

    private static void flatten(String path, JsonNode node, Map<String, String> into) {
        if (node.isObject()) {
            node.properties()
                    .forEach(e -> flatten(path.isEmpty() ? e.getKey() : path + "." + e.getKey(), e.getValue(), into));
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                flatten(path + "[" + (i + 1) + "]", node.get(i), into);
            }
        } else if (!node.isNull()) {
            into.put(path, node.isBoolean() ? (node.asBoolean() ? "yes" : "no") : node.asString());
        }
    }

    private static String title(String key) {
        return Arrays.stream(SheetValue.values())
                .filter(figure -> figure.key().equals(key))
                .map(SheetValue::title)
                .findFirst()
                .orElseGet(() -> words(key));
    }

    /** {@code mountingClearances.wall-bracket.back} as words: Mounting clearances, wall bracket, back. */
    private static String words(String key) {
        String parted = key.replaceAll("([a-z])([A-Z])", "$1 $2")
                .replace("[", " ")
                .replace("]", "")
                .replace(".", ", ")
                .replace('-', ' ')
                .toLowerCase(Locale.ROOT);
        return Character.toUpperCase(parted.charAt(0)) + parted.substring(1);
    }
}
