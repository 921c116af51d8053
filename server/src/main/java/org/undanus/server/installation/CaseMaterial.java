package org.undanus.server.installation;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Traces;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.SitePlan;

/** What a case is put together from beside its own tables: the features that keep such things give it. */
public final class CaseMaterial {
    private CaseMaterial() {}

    /** The data sheets there are. */
    public interface Sheets {
        DataSheets sheets();
    }

    /** The sites that have been drawn. */
    public interface Drawings {
        Optional<SitePlan> drawing(String installation);

        /** By installation. */
        Map<String, SitePlan> drawings();

        /** Installations that have one. */
        Set<String> drawn();
    }

    /** The curves that have been logged. */
    public interface Curves {
        /** Equal for the same installation. */
        Traces curves(String installation);
    }
}
