package org.undanus.server.photo;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.Deflater;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.server.problem.UnsuitableException;

class PngChunksTest {
    private static final int MEGA = 1024 * 1024;

    private static byte[] packed(int size) {
        Deflater deflater = new Deflater();
        deflater.setInput(new byte[size]);
        deflater.finish();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] buffer = new byte[64 * 1024];
        while (!deflater.finished()) {
            out.write(buffer, 0, deflater.deflate(buffer));
        }
        deflater.end();
        return out.toByteArray();
    }

    /** A signature and parts of this kind, each holding so many zeros packed. */
    private static byte[] png(String kind, int... sizes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        for (int size : sizes) {
            ByteArrayOutputStream part = new ByteArrayOutputStream();
            part.writeBytes("key\0".getBytes(StandardCharsets.US_ASCII));
            part.writeBytes(kind.equals("iTXt") ? new byte[] {1, 0, 'e', 'n', 0, 'k', 0} : new byte[] {0});
            part.writeBytes(packed(size));
            out.writeBytes(ByteBuffer.allocate(4).putInt(part.size()).array());
            out.writeBytes(kind.getBytes(StandardCharsets.US_ASCII));
            out.writeBytes(part.toByteArray());
            out.writeBytes(new byte[4]);
        }
        return out.toByteArray();
    }

    @ParameterizedTest
    @ValueSource(strings = {"zTXt", "iCCP", "iTXt"})
    void whatUnpacksToMuchMoreThanItIsIsRefused(String kind) {
        assertThatThrownBy(() -> PngChunks.requireModest(png(kind, 200 * MEGA)))
                .isInstanceOf(UnsuitableException.class)
                .hasMessageContaining("4 MB");
        assertThatCode(() -> PngChunks.requireModest(png(kind, MEGA))).doesNotThrowAnyException();
    }

    @Test
    void manySmallOnesCountTogether() {
        assertThatThrownBy(() -> PngChunks.requireModest(png("zTXt", 2 * MEGA, 2 * MEGA, MEGA)))
                .isInstanceOf(UnsuitableException.class);
    }

    @Test
    void otherPartsAndBrokenOnesAreLeftToTheirReaders() {
        assertThatCode(() -> PngChunks.requireModest(png("IDAT", 200 * MEGA))).doesNotThrowAnyException();
        byte[] cut = png("zTXt", MEGA);
        cut[8] = 0x7F;
        assertThatCode(() -> PngChunks.requireModest(cut)).doesNotThrowAnyException();
    }
}
