package org.undanus.server.report;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.web.util.HtmlUtils;
import org.undanus.server.Client;
import org.undanus.server.Golden;
import org.undanus.server.TestServer;

/** What others receive of two whole visits, word for word: read the files whenever they change. */
class HandedOutTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    @ParameterizedTest
    @CsvSource({"LH-15, heat-pump-with-strip-heat", "LH-23, furnace-with-coil"})
    void readsAsThePeopleWhoGetItDo(String reference, String visit) throws IOException {
        String path = "/api/installations/" + inspector.installation(reference);
        String whole = String.join(
                "\n",
                "# The report",
                "",
                text(inspector
                        .get(path + "/report.html?units=US&readings=false")
                        .expect(200)
                        .text()),
                "# The site note",
                "",
                paper(inspector
                        .get(path + "/site-note.pdf?units=US")
                        .expect(200)
                        .response()
                        .body()),
                "# The owner's page",
                "",
                text(inspector.get(path + "/owner.html?units=US").expect(200).text()));
        Golden.compare(
                Path.of("src/test/resources/handed-out/" + visit + ".txt"),
                whole.replaceAll("\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d UTC", "(now) UTC"));
    }

    /** Cells of a row stand side by side, all else below one another. */
    private static String text(String html) {
        String said = withoutDrawings(html.replaceAll("(?s)<(head|style)\\b.*?</\\1>", ""))
                .replaceAll("\\s+", " ")
                .replaceAll("</t[dh]>\\s*(?=<t[dh])", " | ")
                .replaceAll("</(h\\d|p|tr|div|li|summary)>|<br ?/?>", "\n")
                .replaceAll("<[^>]+>", "");
        return lines(HtmlUtils.htmlUnescape(said));
    }

    /** Drawings stand within drawings: the innermost goes first. */
    private static String withoutDrawings(String html) {
        String without = html.replaceAll("(?s)<svg\\b(?:(?!<svg\\b).)*?</svg>", "");
        return without.equals(html) ? html : withoutDrawings(without);
    }

    private static String paper(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return lines(new PDFTextStripper().getText(document));
        }
    }

    private static String lines(String said) {
        return Arrays.stream(said.split("\n"))
                .map(line -> line.replaceAll(" +", " ").strip())
                .filter(line -> !line.isEmpty())
                .collect(Collectors.joining("\n", "", "\n"));
    }
}
