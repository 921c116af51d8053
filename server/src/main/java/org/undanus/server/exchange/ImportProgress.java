package org.undanus.server.exchange;

/** Is told how far an import has come, and may end it. */
interface ImportProgress {
    /** Whom nobody watches. */
    ImportProgress UNWATCHED = new ImportProgress() {
        @Override
        public void begins(int steps) {
            // nobody asks
        }

        @Override
        public void step() {
            // nobody asks
        }
    };

    /** @param steps readings, corrections and photos to be kept */
    void begins(int steps);

    /** @throws CancelledException where it is not wanted any more */
    void step();

    /** Ends an import; nothing of it is kept. */
    final class CancelledException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
