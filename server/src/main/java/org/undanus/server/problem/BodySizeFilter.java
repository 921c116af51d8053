package org.undanus.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import org.springframework.web.filter.OncePerRequestFilter;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.words.Languages;
import tools.jackson.databind.json.JsonMapper;

/** Bounds what a request may carry, whether or not it says beforehand how much that is. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodySizeFilter extends OncePerRequestFilter {
    private static final long USUAL = 512 * 1024L;
    private static final long PHOTO = 12 * 1024 * 1024L;
    private static final long CERTIFICATE = 4 * 1024 * 1024L;
    private static final long TRACE = 64 * 1024 * 1024L;

    private final JsonMapper json;
    private final Languages languages;
    private final long caseFile;

    BodySizeFilter(JsonMapper json, Languages languages, @Value("${undanus.largest-case-file}") DataSize caseFile) {
        this.caseFile = caseFile.toBytes();
        this.json = json;
        this.languages = languages;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = most(request.getRequestURI());
        if (request.getContentLengthLong() > most) {
            response.setStatus(HttpStatus.CONTENT_TOO_LARGE.value());
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            Wording wording = new Wording(UnitSystem.SI, languages.of(request.getLocale()));
            json.writeValue(response.getOutputStream(), new BodyTooLargeException(most).problem(wording));
            return;
        }
        chain.doFilter(new Bounded(request, most), response);
    }

    private long most(String path) {
        if (path.endsWith("/photos") || path.endsWith("/documents")) {
            return PHOTO;
        }
        if (path.endsWith("/certificates") || path.endsWith("/files")) {
            return CERTIFICATE;
        }
        if (path.endsWith("/traces") || path.endsWith("/logs") || path.equals("/api/record-imports")) {
            return TRACE;
        }
        return path.equals("/api/imports") || path.equals("/api/sealed/check") ? caseFile : USUAL;
    }

    private static final class Bounded extends HttpServletRequestWrapper {
        private final long most;

        Bounded(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CountingStream(super.getInputStream(), most);
        }
    }

    private static final class CountingStream extends ServletInputStream {
        private final ServletInputStream inner;
        private final long most;
        private long count;

        CountingStream(ServletInputStream inner, long most) {
            this.inner = inner;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int value = inner.read();
            count(value < 0 ? 0 : 1);
            return value;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int read = inner.read(into, offset, length);
            count(Math.max(0, read));
            return read;
        }

        private void count(int read) throws BodyTooLargeException {
            count += read;
            if (count > most) {
                throw new BodyTooLargeException(most);
            }
        }

        @Override
        public boolean isFinished() {
            return inner.isFinished();
        }

        @Override
        public boolean isReady() {
            return inner.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            inner.setReadListener(listener);
        }
    }
}
