package org.undanus.server.photo;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.lang.GeoLocation;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Iterator;
import java.util.Optional;
import java.util.TimeZone;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Digest;
import org.undanus.server.upload.PdfPages;
import org.undanus.server.upload.Upload;

/**
 * A picture or paper as it came in, read once: PNG, JPEG or PDF by its content, whole, and no larger than can be shown. Of a PDF the
 * first page is what is seen.
 *
 * @param takenAt as the camera wrote it, its clock taken as universal time where it does not say otherwise
 * @param thumbnail JPEG, upright
 */
record PhotoFile(
        byte[] content,
        String mediaType,
        String sha256,
        int width,
        int height,
        Optional<Instant> takenAt,
        Optional<Position> position,
        byte[] thumbnail) {

    record Position(double latitude, double longitude) {}

    static final int MOST_MEGAPIXELS = 30;

    private static final int THUMBNAIL = 320;
    private static final double THUMBNAIL_QUALITY = 0.8;
    private static final long MEGA = 1_000_000;

    static final String PDF = "application/pdf";

    /**
     * @param zone in which the camera's clock is read where it does not say
     * @throws UnsuitableException saying what is wrong with it
     */
    static PhotoFile of(byte[] content, ZoneId zone) {
        String type = Upload.mediaType(content)
                .orElseThrow(
                        () -> refused(
                                "A photo is a JPEG or PNG picture, a paper is a PDF; this file is neither, by its content. Nothing was saved."));
        return type.equals(PDF) ? paper(content) : picture(content, type, zone);
    }

    private static PhotoFile paper(byte[] content) {
        if (PdfPages.count(content) == 0) {
            throw refused("This PDF has no page. Nothing was saved.");
        }
        byte[] first = PdfPages.png(content, 1);
        int[] size = size(first);
        return new PhotoFile(
                content,
                PDF,
                Digest.sha256(content),
                size[0],
                size[1],
                Optional.empty(),
                Optional.empty(),
                thumbnail(first));
    }

    private static PhotoFile picture(byte[] content, String type, ZoneId zone) {
        int[] size = size(content);
        if ((long) size[0] * size[1] > MOST_MEGAPIXELS * MEGA) {
            throw refused(
                    "This picture has {megapixels} megapixels; {mostMegapixels} can be taken. Let the camera take it smaller. Nothing was saved.",
                    Math.round((double) size[0] * size[1] / MEGA),
                    MOST_MEGAPIXELS);
        }
        if (type.equals("image/png")) {
            PngChunks.requireModest(content);
        }
        Metadata metadata = metadata(content);
        return new PhotoFile(
                content,
                type,
                Digest.sha256(content),
                size[0],
                size[1],
                takenAt(metadata, zone),
                position(metadata),
                thumbnail(content));
    }

    private static UnsuitableException refused(String template, Object... arguments) {
        return new UnsuitableException("photo", Text.of(template, arguments));
    }

    private static UnsuitableException corrupt() {
        return refused("This picture is damaged and cannot be read to its end. Nothing was saved.");
    }

    /** Width and height from the header alone. */
    private static int[] size(byte[] content) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(content))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw corrupt();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                return new int[] {reader.getWidth(0), reader.getHeight(0)};
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw e instanceof UnsuitableException known ? known : corrupt();
        }
    }

    private static byte[] thumbnail(byte[] content) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            BufferedImage small = Thumbnails.of(new ByteArrayInputStream(content))
                    .size(THUMBNAIL, THUMBNAIL)
                    .imageType(BufferedImage.TYPE_INT_RGB)
                    .asBufferedImage();
            Thumbnails.of(small)
                    .scale(1)
                    .outputFormat("jpg")
                    .outputQuality(THUMBNAIL_QUALITY)
                    .toOutputStream(out);
            return out.toByteArray();
        } catch (IOException | RuntimeException e) {
            // readers of damaged pictures throw all sorts
            throw corrupt();
        }
    }

    private static Metadata metadata(byte[] content) {
        try {
            return ImageMetadataReader.readMetadata(new ByteArrayInputStream(content));
        } catch (ImageProcessingException | IOException e) {
            throw corrupt();
        }
    }

    private static Optional<Instant> takenAt(Metadata metadata, ZoneId zone) {
        return Optional.ofNullable(metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class))
                .map(exif -> exif.getDateOriginal(TimeZone.getTimeZone(zone)))
                .map(date -> date.toInstant());
    }

    private static Optional<Position> position(Metadata metadata) {
        return Optional.ofNullable(metadata.getFirstDirectoryOfType(GpsDirectory.class))
                .map(GpsDirectory::getGeoLocation)
                .filter(place -> !place.isZero())
                .map(PhotoFile::position);
    }

    private static Position position(GeoLocation place) {
        return new Position(place.getLatitude(), place.getLongitude());
    }
}
