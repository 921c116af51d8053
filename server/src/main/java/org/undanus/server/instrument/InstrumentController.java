package org.undanus.server.instrument;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.words.Viewer;

/** The toolcase over HTTP. */
@RestController
@RequestMapping("/api/instruments")
class InstrumentController {

    /**
     * @param until the last day its calibration holds, empty where none is on record
     * @param lapsed whether that day is past
     */
    record InstrumentView(
            InstrumentRecord instrument,
            String id,
            String title,
            String kind,
            String kindTitle,
            List<ChannelView> channels,
            int version,
            Optional<LocalDate> until,
            boolean lapsed) {}

    /**
     * What it shows, in words.
     *
     * @param name empty where it shows one thing only
     * @param accuracy as its maker states it, empty where it is exact
     */
    record ChannelView(String name, String accuracy, Optional<String> resolution, Optional<String> range) {}

    record KindView(String key, String title) {}

    record ChangedInstrument(InstrumentRecord instrument, int version) {}

    record KeptCertificate(String sha256) {}

    private final Clock clock;
    private final Instruments instruments;

    InstrumentController(Clock clock, Instruments instruments) {
        this.clock = clock;
        this.instruments = instruments;
    }

    @GetMapping
    List<InstrumentView> all(Viewer viewer, @AuthenticationPrincipal Person person) {
        return instruments.visible(person).stream()
                .map(kept -> view(kept, viewer))
                .toList();
    }

    /** The kinds an instrument may be of. */
    @GetMapping("/kinds")
    List<KindView> kinds(Viewer viewer) {
        return Arrays.stream(InstrumentKind.values())
                .filter(kind -> kind.dimension().isPresent())
                .map(kind -> new KindView(kind.key(), viewer.language().say(kind.title())))
                .toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    InstrumentView add(
            @RequestBody InstrumentRecord instrument, Viewer viewer, @AuthenticationPrincipal Person person) {
        requireLead(person);
        if (instrument.id() != null && instruments.find(instrument.id()).isPresent()) {
            throw new UnsuitableException(
                    "id", Text.of("An instrument {instrument} is already in the toolcase.", instrument.id()));
        }
        instruments.add(List.of(instrument), person.name());
        return all(viewer, person).stream()
                .filter(view -> view.id().equals(instrument.id()))
                .findFirst()
                .orElseThrow();
    }

    @PutMapping("/{id}")
    InstrumentView change(
            @PathVariable String id,
            @RequestBody ChangedInstrument changed,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        requireLead(person);
        if (changed.instrument() == null || !id.equals(changed.instrument().id())) {
            throw new UnsuitableException("id", "An instrument's id stays what it is.");
        }
        return view(instruments.change(changed.instrument(), changed.version(), person.name()), viewer);
    }

    /** Keeps a certificate's file; told by its content. */
    @PostMapping(path = "/{id}/certificates", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    KeptCertificate certificate(
            @PathVariable String id, @RequestBody byte[] content, @AuthenticationPrincipal Person person) {
        requireLead(person);
        return new KeptCertificate(
                instruments.keepCertificate(id, CertificateFile.of(content), person.name(), clock.instant()));
    }

    @GetMapping(
            path = "/{id}/certificate",
            produces = {MediaType.APPLICATION_PDF_VALUE, MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    ResponseEntity<byte[]> certificate(
            @PathVariable String id, @RequestParam String sha256, @AuthenticationPrincipal Person person) {
        CertificateFile file = instruments.certificate(id, sha256, person);
        String ending = file.mediaType().substring(file.mediaType().indexOf('/') + 1);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.mediaType()))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"certificate-" + id + "." + ending + "\"")
                .body(file.content());
    }

    private static void requireLead(Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("The toolcase is kept by the quality lead.");
        }
    }

    private InstrumentView view(Instruments.JournalledKind kept, Viewer viewer) {
        Instrument instrument = kept.instrument().instrument();
        Optional<LocalDate> until = instrument.calibration().map(Instrument.Calibration::until);
        return new InstrumentView(
                kept.instrument(),
                instrument.id(),
                instrument.title(),
                instrument.kind().key(),
                viewer.language().say(instrument.kind().title()),
                kept.instrument().shown().stream()
                        .map(c -> new ChannelView(
                                c.name().orElse(""),
                                c.accuracy().in(viewer.wording(UnitSystem.SI)),
                                c.resolution(),
                                c.range().map(r -> r.lowest() + " … " + r.highest())))
                        .toList(),
                kept.version(),
                until,
                until.filter(day -> day.isBefore(LocalDate.now(clock))).isPresent());
    }
}
