package org.undanus.core.derived;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.judgement.Examination;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;

/** How much of a flammable refrigerant a room bears. Source: {@link ChargeLimit}. */
public final class RoomCharge {
    private static final Map<String, Setting> HEIGHTS = Map.of(
            "floor", height("floor"), "window", height("window"), "wall", height("wall"), "ceiling", height("ceiling"));
    private static final Setting FREE_VOLUME =
            new Setting("siting.charge-free-volume", Dimension.COUNT, "Room volume times LFL free of limits, m³");
    private static final Setting FREE_VOLUME_MILD =
            new Setting("siting.charge-free-volume-2l", Dimension.COUNT, "The same for class 2L, m³");

    private RoomCharge() {}

    private static Setting height(String place) {
        return new Setting("siting.release-height-" + place, Dimension.LENGTH, "Release height, " + place);
    }

    /** The settings a requirement that asks for it declares. */
    public static Setting[] settings() {
        return Stream.concat(
                        Stream.of("floor", "window", "wall", "ceiling").map(HEIGHTS::get),
                        Stream.of(FREE_VOLUME, FREE_VOLUME_MILD))
                .toArray(Setting[]::new);
    }

    /** How high over the floor the refrigerant would come out there. */
    public static Setting height(Examination room) {
        return HEIGHTS.get(room.chosen(UnitPoints.MOUNTING_PLACE).orElseThrow().id());
    }

    /** What decides how much is free of room limits. */
    public static Setting free(Refrigerant refrigerant) {
        return refrigerant.safetyClass().endsWith("2L") ? FREE_VOLUME_MILD : FREE_VOLUME;
    }

    /** What needs no room at all, kg. */
    public static double free(Examination x, Refrigerant refrigerant) {
        return x.rules().number(free(refrigerant))
                * refrigerant.lowerFlammabilityLimit().orElseThrow();
    }

    /** What the room of an indoor unit bears, kg; empty where its area or the place of the unit is not read. */
    public static Optional<Uncertain> most(Examination room, Refrigerant refrigerant) {
        Optional<Value.Measured> area = room.measured(UnitPoints.ROOM_AREA);
        if (area.isEmpty() || room.chosen(UnitPoints.MOUNTING_PLACE).isEmpty()) {
            return Optional.empty();
        }
        double limit = refrigerant.lowerFlammabilityLimit().orElseThrow();
        double height = room.rules().number(height(room));
        return Optional.of(Propagation.through(
                v -> ChargeLimit.kilograms(limit, height, v[0]), area.get().uncertain()));
    }

    /** The least that any room of the system bears, kg, or what needs no room where that is more; empty where nothing limits it. */
    public static Optional<Double> leastOf(Examination x, Refrigerant refrigerant) {
        if (!refrigerant.flammable()) {
            return Optional.empty();
        }
        return x.facts().subjects(Scope.COIL_UNIT).stream()
                .flatMap(unit -> most(x.at(unit), refrigerant).stream())
                .map(bearable -> Math.max(bearable.value(), free(x, refrigerant)))
                .min(Double::compare);
    }
}
