package org.undanus.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.words.Text;

class WallGeometryTest {

    /** A wall 4 m by 2.5 m with a cabinet 0.8 m by 0.6 m at 1 m from the left, 1.6 m over the floor. */
    private static WallGeometry wall(SitePlan.WallItem... items) {
        return new WallGeometry(
                new SitePlan.WallView(
                        "i",
                        4,
                        2.5,
                        1,
                        1.6,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        List.of(items),
                        Optional.empty()),
                Sites.CABINET);
    }

    private static SitePlan.WallItem item(SitePlan.ItemKind kind, double x, double y, double width, double height) {
        return new SitePlan.WallItem(kind, "Shelf", x, y, width, height);
    }

    @Test
    void cornersCeilingAndShelvesBoundTheRoom() {
        WallGeometry bare = wall();
        assertThat(bare.clear(Face.LEFT).orElseThrow().metres()).isCloseTo(1, within(1e-9));
        assertThat(bare.clear(Face.RIGHT).orElseThrow().metres()).isCloseTo(2.2, within(1e-9));
        assertThat(bare.clear(Face.ABOVE).orElseThrow().metres()).isCloseTo(0.3, within(1e-9));
        assertThat(bare.clear(Face.BELOW)).isEmpty();
        WallGeometry shelved = wall(
                item(SitePlan.ItemKind.OBSTACLE, 2, 1.5, 0.5, 0.3),
                item(SitePlan.ItemKind.OBSTACLE, 1.2, 0.9, 0.3, 0.4));
        assertThat(shelved.clear(Face.RIGHT).orElseThrow().to()).isEqualTo("Shelf");
        assertThat(shelved.clear(Face.RIGHT).orElseThrow().metres()).isCloseTo(0.2, within(1e-9));
        assertThat(shelved.clear(Face.BELOW).orElseThrow().metres()).isCloseTo(0.3, within(1e-9));
    }

    @Test
    void theNearestOfAKindIsMeasuredCornerToCorner() {
        WallGeometry wall = wall(item(SitePlan.ItemKind.HEAT_SOURCE, 2.1, 1.0, 0.4, 0.2));
        assertThat(wall.nearest(SitePlan.ItemKind.HEAT_SOURCE).orElseThrow().metres())
                .isCloseTo(Math.hypot(0.3, 0.4), within(1e-9));
        assertThat(wall.nearest(SitePlan.ItemKind.CURTAIN)).isEmpty();
    }

    @Test
    void whatHangsInTheUnitIsNamed() {
        assertThat(wall(item(SitePlan.ItemKind.OBSTACLE, 1.1, 1.7, 0.2, 0.2)).overlap())
                .isPresent();
        assertThat(wall().overlap()).isEmpty();
    }

    private static WallGeometry at(double left, double underside) {
        return new WallGeometry(
                new SitePlan.WallView(
                        "i",
                        4,
                        2.5,
                        left,
                        underside,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        List.of(),
                        Optional.empty()),
                Sites.CABINET);
    }

    @Test
    void aCabinetBeyondItsWallIsNamed() {
        assertThat(at(0, 0).overlap()).isEmpty();
        assertThat(at(3.2, 1.9).overlap()).isEmpty();
        assertThat(at(-0.1, 1).overlap().map(Text::toString)).hasValue("i reaches beyond its wall.");
        assertThat(at(3.3, 1).overlap().map(Text::toString)).hasValue("i reaches beyond its wall.");
        assertThat(at(1, 2.0).overlap().map(Text::toString)).hasValue("i reaches beyond its wall.");
        assertThat(at(1, -0.1).overlap().map(Text::toString)).hasValue("i reaches beyond its wall.");
    }

    /** The cabinet reaches from 1.0 to 1.8 m and from 1.6 to 2.2 m. */
    @Test
    void onlyWhatHangsBesideOrInItsColumnCounts() {
        WallGeometry wall = wall(
                item(SitePlan.ItemKind.OBSTACLE, 1.9, 0.2, 0.1, 1.4),
                item(SitePlan.ItemKind.OBSTACLE, 0.7, 0.2, 0.3, 0.3),
                item(SitePlan.ItemKind.OBSTACLE, 0.2, 1.7, 0.5, 0.2),
                item(SitePlan.ItemKind.OBSTACLE, 1.2, 2.3, 0.2, 0.1));
        assertThat(wall.clear(Face.LEFT).orElseThrow().metres()).isCloseTo(0.3, within(1e-9));
        assertThat(wall.clear(Face.RIGHT).orElseThrow().metres()).isCloseTo(2.2, within(1e-9));
        assertThat(wall.clear(Face.ABOVE).orElseThrow().metres()).isCloseTo(0.1, within(1e-9));
        assertThat(wall.clear(Face.BELOW)).isEmpty();
        assertThat(wall.overlap()).isEmpty();
        assertThat(wall(item(SitePlan.ItemKind.OBSTACLE, 1.7, 2.1, 0.5, 0.3))
                        .overlap()
                        .map(Text::toString))
                .hasValue("i hangs in Shelf.");
    }
}
