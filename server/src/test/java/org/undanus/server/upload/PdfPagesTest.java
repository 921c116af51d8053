package org.undanus.server.upload;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.Test;
import org.undanus.server.problem.UnsuitableException;

class PdfPagesTest {

    /** A small JPEG whose own head says that it has other sides. */
    private static byte[] jpeg(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(16, 16, BufferedImage.TYPE_INT_RGB), "jpeg", out);
        byte[] jpeg = out.toByteArray();
        for (int i = 2; i < jpeg.length; i++) {
            // start of frame, ITU-T T.81, B.2.2: length, precision, height, width
            if ((jpeg[i] & 0xFF) == 0xC0 && (jpeg[i - 1] & 0xFF) == 0xFF) {
                jpeg[i + 4] = (byte) (height >> 8);
                jpeg[i + 5] = (byte) height;
                jpeg[i + 6] = (byte) (width >> 8);
                jpeg[i + 7] = (byte) width;
                return jpeg;
            }
        }
        throw new IllegalStateException("no frame");
    }

    private static byte[] pdf(byte[] jpeg) throws IOException {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDImageXObject image = JPEGFactory.createFromStream(document, new ByteArrayInputStream(jpeg));
            image.getCOSObject().setInt(COSName.WIDTH, 16);
            image.getCOSObject().setInt(COSName.HEIGHT, 16);
            PDPage page = new PDPage();
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.drawImage(image, 0, 0, 100, 100);
            }
            document.save(out);
            return out.toByteArray();
        }
    }

    @Test
    void aJpegIsBoundedByWhatItSaysItself() throws IOException {
        assertThat(PdfPages.count(pdf(jpeg(16, 16)))).isEqualTo(1);
        byte[] liar = pdf(jpeg(30_000, 30_000));
        assertThatThrownBy(() -> PdfPages.count(liar))
                .isInstanceOf(UnsuitableException.class)
                .hasMessageContaining("million pixels");
    }
}
