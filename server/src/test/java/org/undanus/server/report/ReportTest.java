package org.undanus.server.report;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.io.IOException;
import java.util.stream.LongStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.Client;
import org.undanus.server.TestPictures;
import org.undanus.server.TestServer;

class ReportTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private Client client;
    private String foundry;

    @BeforeEach
    void signIn() {
        client = SERVER.signedIn("inspector");
        foundry = "/api/installations/" + client.installation("LH-07");
    }

    private byte[] pdf(String path) {
        return client.get(foundry + path).expect(200).response().body();
    }

    private static String text(byte[] pdf, int from, int to) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            stripper.setStartPage(from);
            stripper.setEndPage(to);
            return stripper.getText(document).replaceAll("\\s+", " ");
        }
    }

    private static int pages(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return document.getNumberOfPages();
        }
    }

    @Test
    void pageOneSaysTheOutcomeAndWhatMustBePutRightWithSafetyFirst() throws IOException {
        String first = text(pdf("/report.pdf?units=US"), 1, 1);

        assertThat(first)
                .contains("43 things must be put right, 10 of them for safety.")
                .contains("What must be put right")
                .contains("60 A, 20 A over the maker's 40 A")
                .contains("A licensed electrician replaces the")
                .contains("Inspector, date")
                .contains("Received, date");
        assertThat(first.indexOf("Disconnect fitted")).isPositive().isLessThan(first.indexOf("Metering device suits"));
        assertThat(first).doesNotContain("Age of the unit");
    }

    @Test
    void whatIsNotShownSaysWhatWouldShowIt() throws IOException {
        assertThat(text(pdf("/report.pdf?units=US"), 1, 6))
                .contains("What is not shown, and what would show it")
                .contains("Class and number as stated");
    }

    @Test
    void theFoundryFloorTakesTenPagesAndAppendicesAreAskedFor() throws IOException {
        byte[] plain = pdf("/report.pdf?stations=false&readings=false&units=US");
        assertThat(pages(plain)).isLessThanOrEqualTo(10);
        assertThat(text(plain, 1, 10)).contains("Station by station").doesNotContain("Appendix");
        assertThat(text(pdf("/report.pdf?units=US"), 4, 50))
                .contains("Appendix: stations in detail")
                .contains("Appendix: readings")
                .contains("3' 1\" ± witnessed");
        assertThat(text(pdf("/report.pdf?derivations=true&units=US"), 12, 80)).contains("how each judgement follows");
    }

    @Test
    void photosAreInTheReportOnlyWhenAskedForAndAreNamedByNumberWhereTheyShowWhatFails() throws IOException {
        client.upload(foundry + "/photos?point=electrical.device-rating&component=outdoor-1", TestPictures.jpeg(40, 30))
                .expect(201);
        assertThat(text(pdf("/report.pdf"), 1, 1)).contains("Photo 1.");
        assertThat(text(pdf("/report.pdf"), 1, 30)).doesNotContain("SHA-256");
        assertThat(text(pdf("/report.pdf?photos=true"), 1, 30)).contains("SHA-256");
    }

    @Test
    void theSiteNoteHasAllThatFailsAndACodeThatLeadsToTheCorrections() throws Exception {
        byte[] note = pdf("/site-note.pdf?units=US");
        long failing = client.get("/api/installations?words=LH-07")
                .json()
                .at("/entries/0/counts/FAILS")
                .asLong();
        String whole = text(note, 1, pages(note));
        assertThat(failing).isGreaterThan(24);
        assertThat(whole.split("\\s+"))
                .containsSubsequence(LongStream.rangeClosed(1, failing)
                        .mapToObj(Long::toString)
                        .toArray(String[]::new));
        assertThat(whole)
                .contains("Dunmarrow")
                .contains("20 A over the maker's 40 A")
                .doesNotContain("not shown, and what would show it");
        try (PDDocument document = Loader.loadPDF(note)) {
            var image = new PDFRenderer(document).renderImageWithDPI(0, 200);
            var code = image.getSubimage(image.getWidth() / 2, 0, image.getWidth() / 2, image.getHeight() / 4);
            String read = new QRCodeReader()
                    .decode(new BinaryBitmap(new HybridBinarizer(new BufferedImageLuminanceSource(code))))
                    .getText();
            assertThat(read).contains("/corrections?installation=" + foundry.replaceAll(".*/", ""));
        }
    }

    @Test
    void theOwnerLearnsFirstOfAllThatItMayNotBeUsed() throws IOException {
        String drying = client.installation("LH-23");
        String page = "/api/installations/" + drying + "/owner.html?units=SI";
        assertThat(client.get(page).expect(200).text())
                .contains("Not safe yet: ask Threeways Cooling before you use it.")
                .doesNotContain("Leave it switched off");
        client.save(drying, "fuel.room-carbon-monoxide", "indoor-1", "60 ppm").expect(201);
        String said = client.get(page).expect(200).text();
        assertThat(said)
                .contains("Leave it switched off. It endangers people in the building: Threeways Cooling must")
                .containsPattern("(?s)Leave it switched off.*Room safe to stay in.*Keep this page")
                .contains("checks for safety are still open");
        assertThat(pages(client.get("/api/installations/" + drying + "/owner.pdf")
                        .expect(200)
                        .response()
                        .body()))
                .isEqualTo(1);
        // whatever is found, what everybody leaves for stands first in the report
        String report = client.get("/api/installations/" + drying + "/report.html")
                .expect(200)
                .text();
        assertThat(report.split("class=\"what\"")[1]).contains("Room safe to stay in");
        client.save(client.installation("LH-23"), "fuel.room-carbon-monoxide", "indoor-1", "taken back: a slip")
                .expect(201);
    }

    @Test
    void theOwnerKeepsOnePageOfWhatIsUsedAndLookedAfter() throws IOException {
        byte[] kept = pdf("/owner.pdf?units=US");
        assertThat(pages(kept)).isEqualTo(1);
        assertThat(text(kept, 1, 1))
                .contains("One, 20 by 25 by 1 in, at the return grille")
                .contains("Dunmarrow")
                .contains("no fault")
                .contains("A deeper filter cabinet")
                .contains("R410A, safety class A1, warming potential 2088", "12 oz added")
                .doesNotContain("Fails");
        assertThat(text(pdf("/report.pdf?units=US"), 1, 60))
                .as("recommendations stand in the report, apart from what fails")
                .contains("A deeper filter cabinet");
        client.save(foundry.replaceAll(".*/", ""), "handover.watch", "system", "<script>alert(2)</script>")
                .expect(201);
        assertThat(client.get(foundry + "/owner.html").expect(200).text())
                .contains("&lt;script&gt;alert(2)")
                .doesNotContain("<script")
                .doesNotContain("<img");
        String pictured = "/api/installations/" + client.installation("LH-01");
        client.upload(pictured + "/photos?point=handover.filters&component=system", TestPictures.jpeg(400, 300))
                .expect(201);
        assertThat(client.get(pictured + "/owner.html").expect(200).text())
                .as("where the filters are, in a picture")
                .contains("<img src=\"data:image/jpeg;base64,");
        assertThat(pages(client.get(pictured + "/owner.pdf")
                        .expect(200)
                        .response()
                        .body()))
                .isEqualTo(1);
    }

    @Test
    void theNextServiceComesAsACalendarFile() {
        assertThat(client.get(foundry + "/next-service.ics").expect(200).text())
                .contains("DTSTART:20290301T090000Z", "SUMMARY:Service\\, Foundry floor");
        String none = "/api/installations/" + client.installation("LH-28");
        assertThat(client.get(none + "/next-service.ics").expect(422).detail())
                .contains("No next service is arranged yet");
    }

    @Test
    void onAScreenItIsOnePageThatFetchesAndRunsNothing() {
        client.save(foundry.replaceAll(".*/", ""), "plate.serial", "indoor-1", "<script>alert(1)</script>")
                .expect(201);
        Client.Answer page = client.get(foundry + "/report.html").expect(200);

        assertThat(page.header("Content-Type")).isEqualTo("text/html;charset=UTF-8");
        assertThat(page.header("Content-Security-Policy")).contains("default-src 'none'", "sandbox");
        assertThat(page.text())
                .contains("43 things must be put right")
                .contains("&lt;script&gt;")
                .doesNotContain("<script", "href=", "src=\"http", "@page");
    }

    @Test
    void anotherCrewGetsNoneOfThem() {
        Client other = SERVER.signedIn("nettlebank");
        for (String path : new String[] {
            "/report.pdf", "/report.html", "/site-note.pdf", "/report", "/owner.pdf", "/owner.html", "/next-service.ics"
        }) {
            other.get(foundry + path).expect(404);
        }
    }
}
