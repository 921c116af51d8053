package org.undanus.server.instrument;

import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Digest;
import org.undanus.server.upload.Upload;

/** A calibration certificate as a file: PDF or picture. */
public record CertificateFile(String mediaType, String sha256, byte[] content) {

    /** @throws UnsuitableException when its content is none of these, whatever it is called */
    static CertificateFile of(byte[] content) {
        String type = Upload.mediaType(content)
                .orElseThrow(() -> new UnsuitableException(
                        "certificate", "A certificate is a PDF, PNG or JPEG file; this one is not, by its content."));
        return new CertificateFile(type, Digest.sha256(content), content);
    }
}
