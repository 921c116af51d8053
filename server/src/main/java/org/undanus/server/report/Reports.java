package org.undanus.server.report;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.correction.Correction;
import org.undanus.server.correction.Corrections;
import org.undanus.server.journal.HeadSigner;
import org.undanus.server.photo.Photo;
import org.undanus.server.photo.Photos;
import org.undanus.server.upload.PdfPages;
import org.undanus.server.words.Languages;
import org.undanus.server.work.Gate;
import org.undanus.view.CaseFile;

/** Lays reports out as PDF (PDF/A-3, fonts embedded) and shows their pages. The last few are kept in memory. */
@Service
class Reports {
    private static final int KEPT = 8;

    /** What is printed: the report, what a crew has to put right, or what the owner keeps. */
    enum Document {
        REPORT("report"),
        SITE_NOTE("site-note"),
        OWNERS_PAGE("owner");

        private final String template;

        Document(String template) {
            this.template = template;
        }
    }

    /**
     * What somebody asks for.
     *
     * @param link where corrections are answered
     */
    record Wanted(Document document, Wording wording, PaperSize paper, Contents contents, String link) {}

    /** Everything a document says comes from these. */
    private record Key(
            CaseFile.Header header,
            Case facts,
            int readings,
            String rules,
            List<Correction> corrections,
            List<Photo> photos,
            List<RecordNotes.RecordNote> records,
            Wanted wanted,
            String by) {}

    /** Dots; a page's width, and a telephone's. */
    private static final int FIGURE_WIDTH = 620;

    private static final int FIGURE_HEIGHT = 170;
    private static final int SCREEN_FIGURE_WIDTH = 340;
    private static final int SCREEN_FIGURE_HEIGHT = 260;

    private static final int AT_ONCE = 2;
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Clock clock;
    private final Corrections corrections;
    private final Photos photos;
    private final SealNotes seals;
    private final RecordNotes records;
    private final HeadSigner heads;
    private final Languages languages;
    private final Gate gate = new Gate(AT_ONCE, PATIENCE);
    private final TemplateEngine templates;
    private final Cache<Key, byte[]> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    Reports(
            Clock clock,
            Corrections corrections,
            Photos photos,
            SealNotes seals,
            RecordNotes records,
            HeadSigner heads,
            Languages languages) {
        this.languages = languages;
        this.clock = clock;
        this.records = records;
        this.seals = seals;
        this.corrections = corrections;
        this.photos = photos;
        this.heads = heads;
        ClassLoaderTemplateResolver resolver = new ClassLoaderTemplateResolver(Reports.class.getClassLoader());
        resolver.setPrefix("report/");
        resolver.setSuffix(".html");
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding("UTF-8");
        SpringTemplateEngine engine = new SpringTemplateEngine();
        engine.setTemplateResolver(resolver);
        templates = engine;
    }

    byte[] pdf(CaseFile file, Wanted wanted, Person person) {
        List<Correction> raised = corrections.of(file);
        List<Photo> hung = photos.of(file);
        Key key = new Key(
                file.header(),
                file.facts(),
                file.evidence().readings().size(),
                file.rules().id() + "@" + file.rules().version(),
                raised,
                hung,
                records.of(file, person, wanted.wording),
                wanted,
                person.title());
        // whoever asks for the same meanwhile waits for this making
        return kept.get(key, any -> gate.through(() -> make(file, raised, hung, wanted, person)));
    }

    private byte[] make(CaseFile file, List<Correction> raised, List<Photo> hung, Wanted wanted, Person person) {
        ReportModel model = model(file, raised, hung, wanted, person);
        if (wanted.document == Document.REPORT) {
            heads.sign("report of " + file.header().reference());
        }
        return render(page(model, wanted));
    }

    /** The report as a page of its own for a screen. */
    String html(CaseFile file, Wanted wanted, Person person) {
        return gate.through(() -> page(model(file, corrections.of(file), photos.of(file), wanted, person), wanted));
    }

    private ReportModel model(CaseFile file, List<Correction> raised, List<Photo> hung, Wanted wanted, Person person) {
        boolean screen = wanted.paper == PaperSize.SCREEN;
        return ReportModel.of(new ReportModel.Material(
                file,
                raised,
                IntStream.range(0, hung.size())
                        .mapToObj(
                                i -> part(i + 1, hung.get(i), file, shown(hung.get(i), wanted), person, wanted.wording))
                        .toList(),
                wanted.wording,
                screen ? SCREEN_FIGURE_WIDTH : FIGURE_WIDTH,
                screen ? SCREEN_FIGURE_HEIGHT : FIGURE_HEIGHT,
                wanted.link,
                seals.of(file),
                records.of(file, person, wanted.wording),
                clock.instant(),
                person.title()));
    }

    /** @param shown whether the picture itself is wanted, not only its number */
    private ReportModel.PhotoPart part(
            int number, Photo photo, CaseFile file, boolean shown, Person person, Wording wording) {
        String where = photo.component()
                .flatMap(file.facts()::subject)
                .map(Subject::title)
                .map(wording::say)
                .orElseGet(() -> photo.correction().isPresent() ? wording.say("Correction") : "");
        String line = photo.point()
                .flatMap(Walk::point)
                .map(Point::title)
                .map(wording::say)
                .orElse("");
        String day = photo.takenAt().orElse(photo.addedAt()).toString().substring(0, 10);
        return new ReportModel.PhotoPart(
                number,
                photo.point(),
                photo.component(),
                shown ? address(photos.marked(photo, person)) : "",
                Stream.of(where, line, day, "SHA-256 " + photo.sha256().substring(0, 16) + "…")
                        .filter(part -> !part.isEmpty())
                        .collect(Collectors.joining(" · ")),
                OwnersPage.pictured(photo));
    }

    private static boolean shown(Photo photo, Wanted wanted) {
        return wanted.contents.photos() || wanted.document == Document.OWNERS_PAGE && OwnersPage.pictured(photo);
    }

    private static String address(Photos.Picture picture) {
        return "data:" + picture.mediaType() + ";base64," + Base64.getEncoder().encodeToString(picture.content());
    }

    private String page(ReportModel model, Wanted wanted) {
        Context context = new Context();
        context.setVariable("say", new Said(wanted.wording));
        context.setVariable("language", languages.tag(wanted.wording.language()));
        context.setVariable("report", model);
        context.setVariable("paper", wanted.paper);
        context.setVariable("contents", wanted.contents);
        return templates.process(wanted.document.template, context);
    }

    private static byte[] render(String html) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (BatikSVGDrawer svg = new BatikSVGDrawer(
                BatikSVGDrawer.SvgScriptMode.SECURE, BatikSVGDrawer.SvgExternalResourceMode.SECURE)) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useFastMode();
            builder.useSVGDrawer(svg);
            builder.usePdfAConformance(PdfRendererBuilder.PdfAConformance.PDFA_3_U);
            builder.useColorProfile(ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
            font(builder, "atkinson-hyperlegible-next-400.ttf", "Text", 400);
            font(builder, "atkinson-hyperlegible-next-700.ttf", "Text", 700);
            font(builder, "atkinson-hyperlegible-mono-400.ttf", "Reading", 400);
            font(builder, "atkinson-hyperlegible-mono-700.ttf", "Reading", 700);
            font(builder, "dejavu-sans.ttf", "Fallback", 400);
            font(builder, "dejavu-sans-bold.ttf", "Fallback", 700);
            // pictures stand in the page itself; nothing is fetched, from wherever a name or text may point to
            builder.useUriResolver((base, uri) -> uri != null && uri.startsWith("data:image/") ? uri : null);
            builder.withHtmlContent(html, null);
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(() -> open(file), family, weight, FontStyle.NORMAL, true);
    }

    private static InputStream open(String file) {
        return Objects.requireNonNull(Reports.class.getResourceAsStream("/report/fonts/" + file), file);
    }

    /** @param number counted from 1 */
    byte[] page(byte[] pdf, int number) {
        return gate.through(() -> PdfPages.png(pdf, number));
    }
}
