package org.undanus.server.siteplan;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.words.RefusedException;
import org.undanus.server.installation.CaseMaterial;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.siteplan.SitePlanMapper.PlanRow;
import tools.jackson.databind.json.JsonMapper;

/** The drawings there are, one an installation; a new one supersedes the old, which is kept. */
@Service
public class SitePlans implements CaseMaterial.Drawings {

    /** @param version counted from 1 */
    public record Drawing(SitePlan plan, int version) {}

    /** What a drawing's text was read as, so that opening a case need not read it again. */
    private record Read(String content, SitePlan plan) {}

    private final Map<String, Read> read = new ConcurrentHashMap<>();
    private final SitePlanMapper mapper;
    private final Journal journal;
    private final GeoJson geoJson;

    SitePlans(SitePlanMapper mapper, Journal journal, JsonMapper json) {
        this.mapper = mapper;
        this.journal = journal;
        this.geoJson = new GeoJson(json);
    }

    public GeoJson geoJson() {
        return geoJson;
    }

    public Optional<Drawing> of(String installation) {
        return Optional.ofNullable(mapper.find(installation)).map(this::drawing);
    }

    @Override
    public Optional<SitePlan> drawing(String installation) {
        return of(installation).map(Drawing::plan);
    }

    @Override
    public Map<String, SitePlan> drawings() {
        return mapper.all().stream().collect(Collectors.toMap(PlanRow::installationId, row -> drawing(row)
                .plan()));
    }

    @Override
    public Set<String> drawn() {
        return Set.copyOf(mapper.drawn());
    }

    private Drawing drawing(PlanRow row) {
        Read known = read.get(row.installationId());
        if (known == null || !known.content.equals(row.content())) {
            known = new Read(row.content(), geoJson.read(row.content()));
            read.put(row.installationId(), known);
        }
        return new Drawing(known.plan, row.version());
    }

    /**
     * Keeps a drawing.
     *
     * @param basedOn the version it was made from, 0 where there was none
     * @throws ConflictException when someone else has drawn meanwhile
     * @throws UnsuitableException when an outline crosses itself
     */
    @Transactional
    public Drawing keep(String installation, SitePlan plan, int basedOn, String by, Instant at) {
        requireSound(plan);
        int last = Optional.ofNullable(mapper.find(installation))
                .map(PlanRow::version)
                .orElse(0);
        if (last != basedOn) {
            throw new ConflictException(
                    "Someone has drawn this site meanwhile. Yours is not saved yet; choose which one stands.",
                    basedOn,
                    last);
        }
        String content = geoJson.write(plan);
        PlanRow row = new PlanRow(installation, last + 1, content, by, at);
        mapper.insert(row);
        journal.write(by, "site-plan.drawn", row.subject(), row);
        return drawing(row);
    }

    /** @throws UnsuitableException when an outline crosses itself or encloses nothing */
    public static void requireSound(SitePlan plan) {
        try {
            new PlanGeometry(plan, Map.of());
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("plan", RefusedException.said(e));
        }
    }
}
