package org.undanus.server.siting;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.undanus.core.geometry.SmallestMove;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.walk.PlanView;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

class PlanDrawingTest {

    private static PlanView view(String title) {
        PlanView.MoveView move = new PlanView.MoveView("outdoor-1", 2.2, 1, 270, "200 mm right", "", "right");
        return new PlanView(
                List.of(
                        new PlanView.FeatureView(
                                "house",
                                "wall",
                                title,
                                true,
                                true,
                                List.of(
                                        new PlanView.PointView(0, 2),
                                        new PlanView.PointView(5, 2),
                                        new PlanView.PointView(5, 3),
                                        new PlanView.PointView(0, 3))),
                        new PlanView.FeatureView(
                                "flue", "vent", "", false, false, List.of(new PlanView.PointView(4, 2)))),
                List.of(new PlanView.UnitView(
                        "outdoor-1", "Outdoor unit", 2, 1, 270, 0.8, 0.3, "800 mm × 300 mm", Verdict.FAILS)),
                List.of(new PlanView.DistanceView(
                        "outdoor-1",
                        "back",
                        "850 mm",
                        new PlanView.PointView(2, 1.15),
                        new PlanView.PointView(2, 2),
                        Verdict.FAILS,
                        "siting.outdoor-clearance-back@outdoor-1")),
                List.of(),
                List.of(),
                new PlanView.CureView(SmallestMove.Outcome.CURED, "Smallest cure", List.of(move)),
                new PlanView.CureView(SmallestMove.Outcome.CURED, "Smallest cure", List.of(move)));
    }

    private static Document parsed(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
    }

    @Test
    void aDrawingHoldsSolidsUnitsDistancesAndTheGhost() throws Exception {
        Document svg = parsed(PlanDrawing.svg(view("House"), true));
        // the wall, the cabinet with its front, the ghost
        assertThat(svg.getElementsByTagName("polygon").getLength()).isEqualTo(4);
        assertThat(svg.getElementsByTagName("polyline").getLength()).isEqualTo(1);
        assertThat(svg.getElementsByTagName("circle").getLength()).isEqualTo(1);
        assertThat(svg.getElementsByTagName("text").getLength()).isEqualTo(3);
    }

    @Test
    void withoutWordsItDependsOnNoFont() throws Exception {
        assertThat(parsed(PlanDrawing.svg(view("House"), false))
                        .getElementsByTagName("text")
                        .getLength())
                .isZero();
    }

    @Test
    void titlesCannotBreakOutOfIt() throws Exception {
        String svg = PlanDrawing.svg(view("</text><script>alert(1)</script>"), true);
        assertThat(parsed(svg).getElementsByTagName("script").getLength()).isZero();
    }

    @Test
    void anEmptySiteIsAnEmptyDrawing() throws Exception {
        PlanView.CureView none = new PlanView.CureView(SmallestMove.Outcome.NO_AREA, "", List.of());
        PlanView empty = new PlanView(List.of(), List.of(), List.of(), List.of(), List.of(), none, none);
        assertThat(parsed(PlanDrawing.svg(empty, true)).getDocumentElement().getTagName())
                .isEqualTo("svg");
    }
}
