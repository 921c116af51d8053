package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.COOLING_CAPACITY;
import static org.undanus.core.installation.PlatePoints.HEATING_CAPACITY;
import static org.undanus.core.installation.PlatePoints.MODEL;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The machine's capacity at the place's design temperatures suits the stated load: from the pair's capacity table, else the
 * rated capacity, which is said to be so.
 */
final class CapacityForLoad implements Requirement {
    private static final Setting SUMMER =
            Setting.ofPlace("papers.design-summer", Dimension.TEMPERATURE, "Design outdoor temperature, summer");
    private static final Setting SUMMER_INDOOR =
            new Setting("papers.design-indoor-wet-bulb", Dimension.TEMPERATURE, "Design indoor wet bulb, summer");
    private static final Setting WINTER =
            Setting.ofPlace("papers.design-winter", Dimension.TEMPERATURE, "Design outdoor temperature, winter");
    private static final Setting WINTER_INDOOR =
            new Setting("papers.design-indoor", Dimension.TEMPERATURE, "Design indoor temperature, winter");

    private final DataSheet.Mode mode;
    private final Point load;
    private final LimitKey limit;
    private final About about;

    CapacityForLoad(DataSheet.Mode mode) {
        this.mode = mode;
        boolean cooling = mode == DataSheet.Mode.COOLING;
        this.load = cooling ? PaperPoints.COOLING_LOAD : PaperPoints.HEATING_LOAD;
        String name = cooling ? "cooling" : "heating";
        this.limit = new LimitKey("papers." + name + "-capacity", Dimension.RATIO, "Capacity over " + name + " load");
        this.about = About.of(
                        limit.id(),
                        Station.PAPERS,
                        Scope.REFRIGERANT_SYSTEM,
                        cooling ? "Cooling capacity suits the load" : "Heating capacity suits the load",
                        Severity.PERFORMANCE)
                .sources("Load summary", "Data sheet, capacity tables")
                .needs(load)
                .limits(limit)
                .settings(SUMMER, SUMMER_INDOOR, WINTER, WINTER_INDOOR);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Component> outdoor = x.facts().outdoorUnit();
        if (outdoor.isEmpty()) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The system has no outdoor unit."), "");
        }
        Point plate = mode == DataSheet.Mode.COOLING ? COOLING_CAPACITY : HEATING_CAPACITY;
        Finding finding = x.finding().step("Stated load", x.need(load).quantity());
        Optional<Power> fromTable = fromTable(x, outdoor.get(), finding);
        Optional<Quantity> capacity = fromTable
                .map(Quantity.class::cast)
                .or(() -> x.at(outdoor.get()).measured(plate).map(m -> {
                    finding.step(
                            "Rated capacity",
                            "no capacity table reaches the design temperature",
                            m.quantity(),
                            "Plate or data sheet");
                    return m.quantity();
                }));
        if (capacity.isEmpty()) {
            return x.at(outdoor.get()).notShown(List.of(plate));
        }
        double ratio = capacity.get().si() / x.need(load).quantity().si();
        return finding.compare(
                limit,
                Uncertain.exact(ratio),
                0,
                x.rules().limits(limit),
                Text.of("Work out the load again, or choose another size."));
    }

    /** Where one indoor unit is listed with the outdoor one and its table holds the design point. */
    private Optional<Power> fromTable(Examination x, Component outdoor, Finding finding) {
        List<Component> indoor =
                x.facts().components().stream().filter(Component::split).toList();
        Optional<DataSheet> sheet = x.at(outdoor).sheet();
        if (indoor.size() != 1 || sheet.isEmpty()) {
            return Optional.empty();
        }
        Setting outside = mode == DataSheet.Mode.COOLING ? SUMMER : WINTER;
        Setting inside = mode == DataSheet.Mode.COOLING ? SUMMER_INDOOR : WINTER_INDOOR;
        Temperature outdoors = (Temperature) x.rules().setting(outside).value();
        Temperature indoors = (Temperature) x.rules().setting(inside).value();
        Optional<Power> capacity = x.at(indoor.get(0))
                .written(MODEL)
                .flatMap(sheet.get()::pairWith)
                .flatMap(pair -> pair.capacity(mode, outdoors, indoors));
        capacity.ifPresent(power -> finding.step(
                        "Design temperatures",
                        "",
                        Text.of("{outdoors} outdoors, {indoors} indoors", outdoors, indoors),
                        x.rules().setting(outside).source())
                .step(
                        "Capacity there",
                        "between the entries of the table",
                        power,
                        sheet.get().document()));
        return capacity;
    }
}
