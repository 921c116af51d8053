package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.server.Client.Answer;
import org.undanus.server.store.Digest;
import tools.jackson.databind.JsonNode;

/** Photos: told by content, kept whole, shown small, handed out without their place. */
class PhotoTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");
    private final String lido = inspector.installation("LH-01");

    private Answer hang(String query, byte[] content) {
        return inspector.upload("/api/installations/" + lido + "/photos?" + query, content);
    }

    @Test
    void aPhotoHangsOnALineWithWhatTheCameraWrote() throws Exception {
        byte[] taken = TestPictures.jpegFromACamera();
        JsonNode photo = hang("point=siting.indoor-height&component=indoor-1", taken)
                .expect(201)
                .json();
        assertThat(photo.path("sha256").asString()).isEqualTo(Digest.sha256(taken));
        assertThat(photo.path("takenAt").asString()).isEqualTo("2026-08-24T09:30:00Z");
        assertThat(photo.path("positioned").asBoolean()).isTrue();
        String id = photo.path("id").asString();
        Answer small = inspector.get("/api/photos/" + id + "/thumbnail").expect(200);
        assertThat(small.header("Content-Type")).isEqualTo("image/jpeg");
        assertThat(ImageIO.read(new ByteArrayInputStream(small.response().body()))
                        .getWidth())
                .isEqualTo(320);
        byte[] shown = inspector
                .get("/api/photos/" + id + "/picture")
                .expect(200)
                .response()
                .body();
        assertThat(new String(shown, StandardCharsets.ISO_8859_1)).doesNotContain("2026:08:24");
        assertThat(ImageIO.read(new ByteArrayInputStream(shown)).getWidth()).isEqualTo(640);
        byte[] whole = inspector
                .get("/api/photos/" + id + "/picture?position=true")
                .expect(200)
                .response()
                .body();
        assertThat(whole).isEqualTo(taken);
    }

    @Test
    void caseFilesCarryPhotosOnlyWhenAskedAndPlacesOnlyWhenAskedToo() {
        hang("component=indoor-1", TestPictures.jpegFromACamera()).expect(201);
        String path = "/api/installations/" + lido + "/case.json";
        assertThat(inspector.get(path).json().at("/installations/0").has("photos"))
                .isFalse();
        String stripped = inspector.get(path + "?photos=STRIPPED").expect(200).text();
        String positioned =
                inspector.get(path + "?photos=POSITIONED").expect(200).text();
        assertThat(positioned.length()).isGreaterThan(stripped.length());
        JsonNode photos = inspector.get(path + "?photos=STRIPPED").json().at("/installations/0/photos");
        assertThat(photos.size()).isGreaterThanOrEqualTo(2);
    }

    @Test
    void whatIsNoPictureIsRefusedWhateverItIsCalled() {
        byte[] executable = new byte[600];
        executable[0] = 'M';
        executable[1] = 'Z';
        assertThat(hang("component=indoor-1", executable).expect(422).detail()).contains("by its content");
        assertThat(hang("component=indoor-1", "%PDF-1.7 hello".getBytes(StandardCharsets.US_ASCII))
                        .expect(422)
                        .detail())
                .contains("cannot be opened");
    }

    @Test
    void aPaperHangsOnALineAndIsSeenPageByPage() throws Exception {
        byte[] permit = TestPictures.pdf();
        JsonNode paper =
                hang("point=papers.permit&component=system", permit).expect(201).json();
        assertThat(paper.path("mediaType").asString()).isEqualTo("application/pdf");
        assertThat(paper.path("height").asInt())
                .isGreaterThan(paper.path("width").asInt());
        String path = "/api/photos/" + paper.path("id").asString();
        assertThat(picture(path + "/picture").getHeight())
                .isEqualTo(paper.path("height").asInt());
        BufferedImage second = picture(path + "/picture?page=2");
        assertThat(second.getWidth()).isGreaterThan(second.getHeight());
        inspector.get(path + "/picture?page=3").expect(404);
        inspector.get(path + "/picture?page=0").expect(404);
        assertThat(picture(path + "/thumbnail").getHeight()).isEqualTo(320);
        Answer whole = inspector.get(path + "/file").expect(200);
        assertThat(whole.response().body()).isEqualTo(permit);
        assertThat(whole.header("Content-Disposition")).startsWith("attachment").contains(".pdf");
        SERVER.signedIn("dunmarrow").get(path + "/file").expect(404);
        assertThat(hang("component=indoor-1", permit).expect(422).detail())
                .as("a unit's pictures are looked at beside its form")
                .contains("hangs on a line");
        assertThat(inspector
                        .get("/api/installations/" + lido + "/report?photos=true")
                        .expect(200)
                        .json()
                        .path("pages")
                        .asInt())
                .isGreaterThan(5);
        assertThat(inspector
                        .get("/api/installations/" + lido + "/case.json?photos=STRIPPED")
                        .json()
                        .at("/installations/0/photos")
                        .valueStream()
                        .map(photo -> photo.path("mediaType").asString()))
                .contains("application/pdf");
    }

    private BufferedImage picture(String path) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(
                inspector.get(path).expect(200).response().body()));
    }

    @Test
    void damagedAndHugePicturesAreRefusedAndNothingIsKept() {
        int before =
                inspector.get("/api/installations/" + lido + "/photos").json().size();
        byte[] torn = Arrays.copyOf(TestPictures.png(400, 300), 300);
        assertThat(hang("component=indoor-1", torn).expect(422).detail()).contains("damaged");
        byte[] header = TestPictures.png(1, 1);
        // eight thousand by five thousand, by the header alone
        header[18] = 0x1F;
        header[19] = 0x40;
        header[22] = 0x13;
        header[23] = (byte) 0x88;
        assertThat(hang("component=indoor-1", header).expect(422).detail()).contains("40 megapixels");
        hang("component=indoor-1", new byte[13 * 1024 * 1024]).expect(413);
        assertThat(inspector
                        .get("/api/installations/" + lido + "/photos")
                        .json()
                        .size())
                .isEqualTo(before);
    }

    @Test
    void aPhotoHangsOnSomethingThatIsThere() {
        byte[] png = TestPictures.png(20, 20);
        hang("component=indoor-9", png).expect(404);
        hang("point=siting.no-such&component=indoor-1", png).expect(404);
        hang("correction=none", png).expect(404);
        hang("", png).expect(422);
        JsonNode raised = inspector
                .post(
                        "/api/installations/" + inspector.installation("LH-07") + "/corrections",
                        Map.of("judgements", List.of("siting.pad-sound@outdoor-1"), "words", "Lay a pad."))
                .expect(201)
                .json()
                .get(0);
        inspector
                .upload(
                        "/api/installations/" + inspector.installation("LH-07") + "/photos?correction="
                                + raised.path("id").asString(),
                        png)
                .expect(201);
    }

    @ParameterizedTest
    @ValueSource(strings = {"LH-01", "LH-07", "LH-12"})
    void reportsAreLaidOutWithTheirDrawingsAndPhotos(String reference) {
        String report = "/api/installations/" + inspector.installation(reference) + "/report";
        int pages = inspector.get(report).expect(200).json().path("pages").asInt();
        assertThat(pages).isGreaterThan(5);
        assertThat(inspector.get(report + ".pdf").expect(200).response().body()).startsWith('%', 'P', 'D', 'F');
    }

    @Test
    void anotherCrewsPhotoIsNotFound() {
        JsonNode photo =
                hang("component=indoor-1", TestPictures.png(20, 20)).expect(201).json();
        Client other = SERVER.signedIn("dunmarrow");
        String path = "/api/photos/" + photo.path("id").asString();
        other.get(path + "/picture").expect(404);
        other.get(path + "/thumbnail").expect(404);
        other.upload("/api/installations/" + lido + "/photos?component=indoor-1", TestPictures.png(9, 9))
                .expect(404);
    }
}
