package org.undanus.server.photo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.undanus.server.TestPictures;

class WithoutPositionTest {

    @Test
    void aJpegLosesItsPlaceAndKeepsItsPictureAndWhichWayIsUp() throws Exception {
        byte[] taken = TestPictures.jpegFromACamera();
        assertThat(PhotoFile.of(taken, ZoneOffset.UTC).position()).isPresent();
        assertThat(PhotoFile.of(taken, ZoneOffset.UTC).position().orElseThrow().latitude())
                .isEqualTo(47.5);
        byte[] bare = WithoutPosition.of(taken, "image/jpeg");
        PhotoFile read = PhotoFile.of(bare, ZoneOffset.UTC);
        assertThat(read.position()).isEmpty();
        assertThat(read.takenAt()).isEmpty();
        assertThat(read.width()).isEqualTo(640);
        // orientation 3, upside down, is still said
        assertThat(new String(bare, 0, 40, StandardCharsets.ISO_8859_1)).contains("Exif\0\0MM");
        assertThat(ByteBuffer.wrap(bare).getShort(30)).isEqualTo((short) 3);
    }

    @Test
    void aJpegWithoutAnyStaysAsItIs() {
        byte[] plain = TestPictures.jpeg(40, 30);
        assertThat(WithoutPosition.of(plain, "image/jpeg")).isEqualTo(plain);
    }

    @Test
    void aPngLosesWhatIsWrittenInIt() throws Exception {
        byte[] plain = TestPictures.png(40, 30);
        byte[] words = chunk("tEXt", "Place\0at the lake");
        ByteBuffer told = ByteBuffer.allocate(plain.length + words.length);
        // after the signature and the header
        told.put(plain, 0, 33).put(words).put(plain, 33, plain.length - 33);
        assertThat(ImageIO.read(new ByteArrayInputStream(told.array()))).isNotNull();
        assertThat(WithoutPosition.of(told.array(), "image/png")).isEqualTo(plain);
    }

    private static byte[] chunk(String kind, String content) {
        byte[] body = (kind + content).getBytes(StandardCharsets.ISO_8859_1);
        CRC32 check = new CRC32();
        check.update(body);
        return ByteBuffer.allocate(body.length + 8)
                .putInt(content.length())
                .put(body)
                .putInt((int) check.getValue())
                .array();
    }
}
